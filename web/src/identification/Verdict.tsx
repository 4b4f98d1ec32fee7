import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { Danger } from '../ui/Danger'
import { Findings } from '../ui/Findings'
import { STAGE } from '../ui/dictionary'
import { figure, month } from '../ui/words'

type Answer = Schemas['IdentifyAnswer']

const STATUS = {
  CONFIRMED: { word: 'CONFIRMED', tone: 'border-lichen text-lichen bg-lichen-pale' },
  SECOND_WANTED: { word: 'A SECOND LOOK', tone: 'border-water text-water bg-water-pale' },
  NOT_YET: { word: 'NOT YET', tone: 'border-amber text-amber bg-amber-pale' },
  STOP: { word: 'STOP', tone: 'border-madder text-madder bg-madder-pale' },
}

export function Verdict({ answer, characters }: { answer: Answer; characters: Schemas['CharacterView'][] }) {
  const { verdict } = answer
  const name = (id: string) => answer.candidates.find((c) => c.taxon === id)?.commonName ?? id
  const look = (ids: string[]) => ids.map((id) => characters.find((c) => c.id === id)?.name ?? id).join(', ')
  const status = STATUS[verdict.status]
  const inTheWay = verdict.open.filter((o) => o.inTheWay)
  const never = inTheWay.filter((o) => !o.later)
  const listed = (some: typeof verdict.open) =>
    some.length > 6
      ? `${some
          .slice(0, 5)
          .map((o) => name(o.taxon))
          .join(', ')} and ${some.length - 5} more`
      : some.map((o) => name(o.taxon)).join(', ')
  const others = verdict.open.filter((o) => !o.inTheWay)
  const likely = answer.candidates.filter((c) => c.posterior >= 0.001 && c.taxon !== 'none-of-these')
  return (
    <section
      id="verdict"
      aria-label="Verdict"
      aria-live="polite"
      className={`border-l-8 px-3 py-2 ${status.tone}`}
    >
      <h2 className="text-2xl font-bold">{status.word}</h2>
      <div className="text-ink space-y-2">
        {verdict.taxon && (
          <p className="text-lg">
            {verdict.genus
              ? `The genus ${verdict.genus} is certain, and all of it serves.`
              : `Most like ${name(verdict.taxon)}.`}
          </p>
        )}
        <p className="text-sm">
          {likely.length} of {answer.candidates.length - 1} plants still possible
        </p>
        <ul className="space-y-0.5">
          {answer.candidates
            .filter((c, i) => c.posterior >= 0.005 || i < 2)
            .slice(0, 5)
            .map((c) => (
              <li key={c.taxon} className="text-sm">
                <div className="flex items-center justify-between gap-2">
                  <span>
                    {c.commonName} {c.taxon !== 'none-of-these' && <Danger level={c.danger} />}
                  </span>
                  <span className="font-semibold">
                    {c.posterior > 0.999 ? 'over 99.9' : figure(c.posterior * 100)} %
                  </span>
                </div>
                <div className="bg-sheet h-1.5" aria-hidden>
                  <div className="bg-water h-1.5" style={{ width: `${c.posterior * 100}%` }} />
                </div>
              </li>
            ))}
        </ul>
        {inTheWay.length > 0 && (
          <p>
            In the way now, whatever else is looked at: <strong>{listed(inTheWay)}</strong>.
            {never.length > 0 && never.length < inTheWay.length && (
              <> At no stage is it told by looking from {listed(never)}.</>
            )}
          </p>
        )}
        {others.length > 0 && (
          <details open={inTheWay.length === 0 && others.length <= 3}>
            <summary className="min-h-6 cursor-pointer text-sm font-medium">
              {verdict.status === 'SECOND_WANTED'
                ? 'Excluded by too little for one look'
                : inTheWay.length > 0
                  ? 'Not looked into'
                  : 'Still to be told from'}
              : {others.length} dangerous {others.length === 1 ? 'plant' : 'plants'}
            </summary>
            <ul className="text-sm">
              {others.slice(0, 12).map((o) => (
                <li key={o.taxon}>
                  <strong>{name(o.taxon)}</strong>
                  {o.would.length > 0 && <> by {look(o.would.slice(0, 3)).toLowerCase()}</>}
                </li>
              ))}
              {others.length > 12 && <li>and {others.length - 12} more</li>}
            </ul>
          </details>
        )}
        {verdict.excluded.length > 0 && (
          <details>
            <summary className="min-h-6 cursor-pointer text-sm font-medium">
              Excluded: {verdict.excluded.length} dangerous plants
            </summary>
            <ul className="text-sm">
              {verdict.excluded.map((e) => (
                <li key={e.taxon}>
                  <strong>{name(e.taxon)}</strong> by {look(e.by.slice(0, 4)).toLowerCase()}
                </li>
              ))}
            </ul>
          </details>
        )}
        {verdict.tellableAt && (
          <p className="font-medium">
            It can be told {STAGE[verdict.tellableAt.stage]}, about{' '}
            {verdict.tellableAt.months.map(month).join(', ')}, by{' '}
            {look(verdict.tellableAt.characters).toLowerCase()}.
          </p>
        )}
        {verdict.taxon && (verdict.status === 'NOT_YET' || verdict.status === 'SECOND_WANTED') && (
          <p>
            <Link to={`/herbarium/${verdict.taxon}/when`} className="underline">
              When can I be sure of {name(verdict.taxon)}?
            </Link>
          </p>
        )}
        <Findings findings={answer.findings.filter((f) => f.code !== 'UNGATED')} label="Verdict findings" />
      </div>
    </section>
  )
}
