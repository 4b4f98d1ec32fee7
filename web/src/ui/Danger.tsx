import { DANGER } from './dictionary'

type Level = 'HARMLESS' | 'WEAKER' | 'IRRITANT' | 'POISONOUS' | 'DEADLY'

const tone: Record<Level, string> = {
  HARMLESS: 'text-lichen',
  WEAKER: 'text-note',
  IRRITANT: 'text-amber',
  POISONOUS: 'text-madder',
  DEADLY: 'text-madder',
}

/** Danger by word and shape: more drops in the phial, the last one struck through. */
export function Danger({ level }: { level: Level }) {
  const drops: Record<Level, React.ReactNode> = {
    HARMLESS: <path d="M4 13c0-5 4-9 10-10 0 6-3 11-9 11M4 17l2-4" />,
    WEAKER: <path d="M4 13c0-5 4-9 10-10 0 6-3 11-9 11" strokeDasharray="3 2" />,
    IRRITANT: <path d="M3 16 6 5l3 8 3-9 3 9 3-6" />,
    POISONOUS: <path d="M10 2c4 5 5 8 5 10a5 5 0 0 1-10 0c0-2 1-5 5-10z" fill="currentColor" />,
    DEADLY: (
      <>
        <path d="M10 1c5 6 6 9 6 11a6 6 0 0 1-12 0c0-2 1-5 6-11z" fill="currentColor" />
        <path d="M7 9l6 6M13 9l-6 6" stroke="var(--sheet)" />
      </>
    ),
  }
  return (
    <span
      className={`inline-flex items-center gap-1 align-bottom text-sm font-semibold whitespace-nowrap ${tone[level]}`}
    >
      <svg
        viewBox="0 0 20 20"
        className="size-4"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        aria-hidden
      >
        {drops[level]}
      </svg>
      {DANGER[level]}
    </span>
  )
}
