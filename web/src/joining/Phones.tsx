import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { SessionList } from '../household/SessionList'
import { useCommand } from '../ui/command'
import { pageOnly } from '../ui/may'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { date } from '../ui/words'

type Joining = Schemas['JoiningView']

/** How phones of the house come in, and how one that was lost is shut out. */
export const Phones = pageOnly('keep', function Phones() {
  const joining = useQuery({ queryKey: ['joining'], queryFn: () => ask(api.GET('/api/joining')) })
  return (
    <Page title="Phones of the house">
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Loaded query={joining}>{(all) => (all[0] ? <Bring joining={all[0]} /> : <ToItselfAlone />)}</Loaded>
        <SignedIn />
      </div>
    </Page>
  )
})

function ToItselfAlone() {
  return (
    <Section title="Bring a phone in">
      <p>
        This machine listens to itself alone. For the phones of the house it is started with one word more, on
        the machine:
      </p>
      <p className="my-2 font-mono font-semibold">./sallowbrook run --home</p>
      <p>
        Then it listens in the house’s own network too, over lines that nobody else can read, and this page
        shows a code for each phone to begin with. Nothing beyond the house reaches it.
      </p>
    </Section>
  )
}

function Bring({ joining }: { joining: Joining }) {
  return (
    <Section title="Bring a phone in">
      {joining.another && (
        <p className="border-amber bg-amber-pale mb-3 border-l-4 px-3 py-2">
          The household’s certificate was lost or had ended, and was made anew at this start. Phones that had
          joined before join once more.
        </p>
      )}
      {joining.join && joining.code ? (
        <div className="flex flex-wrap items-start gap-4">
          <svg
            role="img"
            aria-label={`Code that leads to ${joining.join}`}
            viewBox={`0 0 ${joining.code.side} ${joining.code.side}`}
            className="w-48 bg-white"
            shapeRendering="crispEdges"
          >
            <path d={joining.code.path} fill="#000" />
          </svg>
          <div className="min-w-0 flex-1 basis-60 space-y-2">
            <p>
              Let the phone’s camera read the code, or type this into its browser, in the house’s own network:
            </p>
            <p className="figures text-lg font-semibold break-words">{joining.join}</p>
            <p>It leads through the three steps there; about two minutes for each phone.</p>
          </div>
        </div>
      ) : (
        <p>This machine is in no network just now. Connect it to the house’s, then load this page again.</p>
      )}
      <dl className="mt-3 space-y-2 text-sm">
        <div>
          <dt className="text-soft">Fingerprint of the household’s certificate, the same on the phone</dt>
          <dd className="figures font-medium break-words">{joining.fingerprint}</dd>
        </div>
        {joining.links.length > 0 && (
          <div>
            <dt className="text-soft">Where a phone that has joined finds Sallowbrook</dt>
            {joining.links.map((link) => (
              <dd key={link} className="figures break-words">
                {link}
              </dd>
            ))}
          </div>
        )}
        <div>
          <dt className="text-soft">Lasts</dt>
          <dd>
            The household’s certificate until {date(joining.authorityUntil.slice(0, 10))}
            {joining.certificateUntil &&
              `; this machine’s until ${date(joining.certificateUntil.slice(0, 10))}, renewed by itself before`}
            .
          </dd>
        </div>
      </dl>
    </Section>
  )
}

function SignedIn() {
  const sessions = useQuery({
    queryKey: ['sessions', 'all'],
    queryFn: () => ask(api.GET('/api/household/members/sessions')),
  })
  const end = useCommand(['sessions'], {
    mutationFn: (handle: string) =>
      ask(api.DELETE('/api/household/members/sessions/{handle}', { params: { path: { handle } } })),
  })
  return (
    <Section title="Who is signed in, and where">
      <Loaded query={sessions}>
        {(all) => <SessionList named sessions={all} ending={end.isPending} onEnd={end.mutate} />}
      </Loaded>
      <ProblemNotice error={end.error} />
      <h3 className="mt-4 font-semibold">A phone was lost</h3>
      <p>
        End what it is signed in to: from then on it is shut out. What was packed on it for the field, stands
        and cards and nothing of people or doses, opens there without a line for at most 30 days after it last
        heard from this machine. What was written down on it and not sent is on it alone.
      </p>
    </Section>
  )
}
