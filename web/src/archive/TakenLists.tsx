import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { useCommand } from '../ui/command'
import { Button } from '../ui/controls'
import { Empty, Loaded, ProblemNotice, Section } from '../ui/page'
import { moment } from '../ui/words'

type Taken = Schemas['TakenListView']

/** What was read in, each to be taken back in one touch. */
export function TakenLists() {
  const taken = useQuery({
    queryKey: ['archive', 'taken'],
    queryFn: () => ask(api.GET('/api/archive/tables/taken')),
  })
  return (
    <Section title="Read in so far">
      <Loaded query={taken}>
        {(all) =>
          all.length === 0 ? (
            <Empty>Nothing yet. What you read in can be taken back here.</Empty>
          ) : (
            <ul>
              {all.map((t) => (
                <TakenList key={t.id} taken={t} />
              ))}
            </ul>
          )
        }
      </Loaded>
    </Section>
  )
}

function TakenList({ taken }: { taken: Taken }) {
  const back = useCommand('household', {
    mutationFn: () =>
      ask(api.POST('/api/archive/tables/taken/{id}/back', { params: { path: { id: taken.id } } })),
  })
  return (
    <li className="border-line flex flex-wrap items-center justify-between gap-x-3 border-b py-2">
      <span>
        <strong>{taken.words}</strong>, {taken.lines} {taken.lines === 1 ? 'line' : 'lines'} of {taken.file}
        <span className="text-soft block text-sm">
          {moment(taken.takenAt)}, {taken.takenBy}
          {taken.backAt && `; taken back ${moment(taken.backAt)} by ${taken.backBy ?? ''}`}
        </span>
      </span>
      {!taken.backAt && (
        <Button disabled={back.isPending} onClick={() => back.mutate()}>
          Take all of it back
        </Button>
      )}
      <ProblemNotice error={back.error} />
    </li>
  )
}
