import { DANGER } from './dictionary'

type Level = 'HARMLESS' | 'WEAKER' | 'IRRITANT' | 'POISONOUS' | 'DEADLY'

const tone: Record<Level, string> = {
  HARMLESS: 'text-lichen',
  WEAKER: 'text-note',
  IRRITANT: 'text-amber',
  POISONOUS: 'text-madder',
  DEADLY: 'text-madder',
}

type TakenFor = { commonName: string; danger: Level }

/** What a plant does itself and, where it is known, the worst that it is taken for. */
export function Danger({ level, takenFor }: { level: Level; takenFor?: TakenFor }) {
  if (!takenFor) return <Badge level={level} words={DANGER[level]} />
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-2">
      <Badge level={level} words={DANGER[level]} />
      <Badge level={takenFor.danger} words={`taken for ${takenFor.commonName}, ${DANGER[takenFor.danger]}`} />
    </span>
  )
}

/** Danger by word and shape: more drops in the phial, the last one struck through. */
function Badge({ level, words }: { level: Level; words: string }) {
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
    <span className={`inline-flex items-baseline gap-1 align-bottom text-sm font-semibold ${tone[level]}`}>
      <svg
        viewBox="0 0 20 20"
        className="size-4 shrink-0 self-center"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        aria-hidden
      >
        {drops[level]}
      </svg>
      {words}
    </span>
  )
}
