import { api, ask, type Schemas } from '../api/client'
import { Section } from '../ui/page'
import { StrikeOut } from '../ui/StrikeOut'
import { date, figure } from '../ui/words'
import { useAccount } from './queries'

type LotView = Schemas['LotView']
type Change = Schemas['ChangeView']

const WHAT: Record<Change['what'], string> = {
  BEFORE: 'was there',
  PUT: 'came in',
  TAKEN: 'went into a batch',
  PRESSED: 'pressed',
  FILLED: 'filled',
  DOSE: 'taken as a dose',
  DRIED: 'dried',
  FINISHED: 'used up',
  THROWN_AWAY: 'thrown away',
  COMPOSTED: 'to the compost',
  SPLIT: 'between two jars',
  TOGETHER: 'poured together with another',
  GIVEN: 'handed out',
  BACK: 'came back',
  COUNTED: 'counted',
}

/** What came in and went out; a line that was wrong is struck out and stays readable. */
export function Account({ lot }: { lot: LotView }) {
  const account = useAccount(lot.id)
  return (
    <Section title="What came and went">
      <ul className="text-sm">
        {(account.data ?? []).map((c) => (
          <li key={c.id} className="border-line border-b py-1">
            <div className="flex justify-between gap-3">
              <span className={c.struckReason == null ? '' : 'text-soft line-through'}>
                {date(c.on)}: {WHAT[c.what]}
                {c.reason ? `, ${c.reason}` : ''} <span className="text-soft">({c.by})</span>
              </span>
              <span className={c.struckReason == null ? 'font-semibold' : 'text-soft line-through'}>
                {c.delta !== 0 && `${c.delta > 0 ? '+' : ''}${figure(c.delta)} ${lot.unit}`}
              </span>
            </div>
            {c.struckReason != null && (
              <p className="text-soft">
                struck out by {c.struckBy}: {c.struckReason}
              </p>
            )}
            {c.mayBeStruck && (
              <StrikeOut
                what={`${WHAT[c.what]} on ${date(c.on)}`}
                word="strike it out"
                onStrike={(because) =>
                  ask(
                    api.POST('/api/shelf/lots/{id}/changes/{change}/strike', {
                      params: { path: { id: lot.id, change: c.id } },
                      body: because,
                    }),
                  )
                }
              />
            )}
          </li>
        ))}
      </ul>
    </Section>
  )
}
