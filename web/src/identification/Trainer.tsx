import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { StateDrawing } from '../herbarium/drawing'
import { Button } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { STAGE } from '../ui/dictionary'
import { Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { date, figure } from '../ui/words'

type Round = Schemas['TrainingRound']

/**
 * Short rounds: which of the two is this, and by what? What comes back when is reckoned by the server.
 *
 * @param own taxa of the household's stands, whose pairs come first
 */
export function Trainer({ own }: { own: string[] }) {
  const [turn, setTurn] = useState(0)
  const round = useQuery({
    queryKey: ['training', 'round', turn],
    staleTime: Infinity,
    queryFn: ({ signal }) =>
      ask(api.GET('/api/training/next', { params: { query: { first: own } }, signal })),
  })
  return (
    <Page title="Tell them apart">
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <Loaded query={round}>
          {(r) => <Asked key={turn} round={r} onNext={() => setTurn(turn + 1)} />}
        </Loaded>
        <div className="space-y-3">
          <Mine />
          <SafetyLine />
        </div>
      </div>
    </Page>
  )
}

function Asked({ round, onNext }: { round: Round; onNext: () => void }) {
  const [id] = useState(() => v7())
  const [by, setBy] = useState<string>()
  const answer = useCommand(['trained'], {
    mutationFn: (said: string) =>
      ask(
        api.POST('/api/training/answers', {
          body: { id, a: round.a.taxon, b: round.b.taxon, stage: round.stage, seed: round.seed, said, by },
        }),
      ),
  })
  const outcome = answer.data
  const plants = [round.a, round.b]
  const truth = plants.find((p) => p.taxon === outcome?.truth)
  return (
    <section aria-label="Round" className="bg-sheet border-water space-y-3 border-t-4 px-3 py-2">
      <h2 className="text-xl font-semibold">
        {round.a.commonName} or {round.b.commonName}, {STAGE[round.stage]}: which is it, and by what?
      </h2>
      {!round.due && <p className="text-soft text-sm">Nothing is due today; this one comes next.</p>}
      <fieldset disabled={outcome !== undefined}>
        <legend className="text-soft text-sm">Tap what tells it</legend>
        <ul className="mt-1 grid gap-2 sm:grid-cols-2">
          {round.shown.map((s) => (
            <li key={s.character}>
              <Button
                className="w-full justify-start! text-left"
                kind={by === s.character ? 'main' : 'quiet'}
                aria-pressed={by === s.character}
                onClick={() => setBy(s.character)}
              >
                <StateDrawing character={s.character} state={s.state} on={{}} />
                <span>
                  <span className="block text-sm font-normal">{s.name}</span>
                  {s.words}
                </span>
              </Button>
            </li>
          ))}
        </ul>
      </fieldset>
      {outcome === undefined ? (
        <div className="flex flex-wrap gap-2">
          {plants.map((p) => (
            <Button
              key={p.taxon}
              disabled={by === undefined || answer.isPending}
              onClick={() => answer.mutate(p.taxon)}
            >
              It is {p.commonName}
            </Button>
          ))}
        </div>
      ) : (
        <div
          role="status"
          className={`space-y-1 border-l-8 px-3 py-2 ${outcome.right ? 'border-lichen bg-lichen-pale' : 'border-madder bg-madder-pale'}`}
        >
          <p className="text-lg font-semibold">
            {outcome.right
              ? outcome.rightReason
                ? 'Right, and for the right reason.'
                : 'Right, but what you tapped does not tell them apart.'
              : `No: it is ${truth?.commonName ?? outcome.truth}.`}{' '}
            {truth && <Danger level={truth.danger} />}
          </p>
          <p>
            It is told by{' '}
            {outcome.by
              .map((c) => round.shown.find((s) => s.character === c))
              .map((s) => (s ? `${s.name.toLowerCase()}: ${s.words}` : ''))
              .join('; ')}
            .
          </p>
          <p className="text-soft text-sm">The pair comes back on {date(outcome.dueOn)}.</p>
          <Button kind="main" onClick={onNext}>
            Next
          </Button>
        </div>
      )}
      <ProblemNotice error={answer.error} />
    </section>
  )
}

/** A person's weak pairs and characters. */
function Mine() {
  const mine = useQuery({
    queryKey: ['trained'],
    queryFn: ({ signal }) => ask(api.GET('/api/training/mine', { signal })),
  })
  const weak = (mine.data?.pairs ?? []).filter((p) => p.wrong > 0)
  return (
    <Section title="Where you slip">
      {mine.data && weak.length === 0 && mine.data.characters.length === 0 && (
        <p className="text-soft">
          Nothing yet. What is misread here, or comes out differently when asked again at a look, is listed.
        </p>
      )}
      <ul>
        {weak.map((p) => (
          <li key={p.a.taxon + p.b.taxon} className="border-line border-b py-1">
            {p.a.commonName} and {p.b.commonName}: {p.wrong} of {p.asked} wrong, again on {date(p.dueOn)}
          </li>
        ))}
      </ul>
      {(mine.data?.characters.length ?? 0) > 0 && (
        <table className="mt-2 w-full text-sm">
          <caption className="text-soft text-left">
            Counted against your own looks: a misread character proves less, never more
          </caption>
          <thead>
            <tr className="border-line border-b text-left">
              <th scope="col">Character</th>
              <th scope="col">Misread</th>
              <th scope="col">Reckoned with</th>
            </tr>
          </thead>
          <tbody>
            {mine.data?.characters.map((c) => (
              <tr key={c.character} className="border-line border-b">
                <td>{c.name}</td>
                <td>
                  {c.wrong} of {c.asked}
                </td>
                <td>{figure(c.own * 100)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Section>
  )
}
