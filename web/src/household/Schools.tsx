import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { kitchen, setKitchen, type Kitchen } from '../ui/kitchen'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { useSchools, useSession } from './queries'

type Question = Schemas['SchoolQuestionView']

const KITCHENS: { value: Kitchen; label: string; hint: string }[] = [
  { value: 'METRIC', label: 'metric', hint: 'a cup is 250 mL, a tablespoon 15, a teaspoon 5' },
  { value: 'US', label: 'US', hint: 'a cup is 236.6 mL, a fluid ounce 29.6' },
  { value: 'IMPERIAL', label: 'imperial', hint: 'a cup is half a pint, 284.1 mL, a fluid ounce 28.4' },
]

/** Where practitioners disagree: what this household does, and why one might do otherwise. */
export function Schools() {
  const questions = useSchools()
  const [own, setOwn] = useState(kitchen)
  return (
    <Page title="How this household works">
      <p className="mb-3 max-w-3xl">
        On these practitioners disagree. Each stands on the safer side until you choose; a batch may always be
        done otherwise.
      </p>
      <Section title="Cups and spoons">
        <div className="max-w-md">
          <Choose
            label="Whose are meant when you type them"
            value={own}
            choices={KITCHENS}
            onChange={(k) => {
              setKitchen(k)
              setOwn(k)
            }}
          />
        </div>
        <p className="text-soft mt-1 text-sm">
          Kept in this browser. In a field for grams, mL, % vol or °C you can type “2 oz”, “1 1/2 cups”, “86
          proof” or “104 °F”.
        </p>
      </Section>
      <Loaded query={questions}>
        {(all) => (
          <ul className="mt-4 grid gap-x-6 gap-y-4 md:grid-cols-2">
            {all.map((q) => (
              <OneQuestion key={q.id} question={q} />
            ))}
          </ul>
        )}
      </Loaded>
    </Page>
  )
}

function OneQuestion({ question }: { question: Question }) {
  const session = useSession()
  const choose = useCommand('household', {
    mutationFn: (school: Question['school']) =>
      ask(
        api.PUT('/api/household/schools/{question}', {
          params: { path: { question: question.id } },
          body: { school },
        }),
      ),
  })
  const now = question.schools.find((s) => s.id === question.school)
  const keeper = session.data?.role === 'KEEPER'
  return (
    <li className="border-line bg-sheet border-t-2 px-4 py-3">
      {keeper ? (
        <Choose
          label={question.words}
          value={question.school}
          choices={question.schools.map((s) => ({
            value: s.id,
            label: s.words + (s.usual ? ', usual' : ''),
            hint: s.reason,
          }))}
          onChange={(s) => choose.mutate(s)}
        />
      ) : (
        <p>
          <span className="text-soft block text-sm font-medium">{question.words}</span>
          {now?.words}
        </p>
      )}
      <p className="text-soft mt-1 text-sm">{now?.reason}</p>
      {now?.risk && (
        <p className="text-amber mt-1 text-sm font-medium">
          <span aria-hidden>△ </span>
          {now.risk}
        </p>
      )}
      <ProblemNotice error={choose.error} />
    </li>
  )
}
