import type { Schemas } from '../api/client'

type Sheet = Schemas['Sheet']
type Tone = Schemas['Text']['tone']

const TONE: Record<Tone, string> = {
  HEADING: 'mt-2 text-lg font-semibold',
  PLAIN: '',
  LARGE: 'text-xl font-bold',
  SOFT: 'text-soft text-sm',
  GRAVE: 'text-madder text-lg font-bold',
  LATIN: 'font-plant italic',
}

/** A document as its page shows it; its paper is set from the same blocks. */
export function SheetOf({ sheet }: { sheet: Sheet }) {
  return (
    <article className="bg-sheet border-ink max-w-3xl space-y-2 border-2 px-5 py-4" aria-label={sheet.title}>
      {sheet.blocks.map((block, i) => (
        <Block key={i} block={block} />
      ))}
    </article>
  )
}

function Block({ block }: { block: Sheet['blocks'][number] }) {
  switch (block.kind) {
    case 'TEXT':
      return block.tone === 'HEADING' ? (
        <h2 className={TONE.HEADING}>{block.words}</h2>
      ) : (
        <p className={TONE[block.tone]}>{block.words}</p>
      )
    case 'POINTS':
      return (
        <ul className="list-disc pl-5">
          {block.words.map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ul>
      )
    case 'ROWS':
      return (
        <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4">
          {block.rows.map((r, i) => (
            <div key={i} className="contents">
              <dt>{r.label}</dt>
              <dd className="font-semibold">{r.words}</dd>
            </div>
          ))}
        </dl>
      )
    case 'PICTURE':
      return <img className="max-h-80" src={`data:image/jpeg;base64,${block.jpeg}`} alt={block.words} />
    case 'CODE':
      return <p className="text-soft text-sm">{block.caption}</p>
  }
}

/** Opens the paper of a page. */
export function OnPaper({ href, children }: { href: string; children: React.ReactNode }) {
  return (
    <a
      className="border-line bg-sheet hover:border-water inline-flex min-h-11 items-center border-2 px-4 font-semibold"
      href={href}
      target="_blank"
      rel="noreferrer"
    >
      {children}
    </a>
  )
}
