/**
 * What the interface reckons and reads by itself, put where a test can call it: built for tests only
 * (`npm run build:tests`), driven from TestNG in Chromium (`WebTest`).
 */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { useState } from 'react'
import { createRoot } from 'react-dom/client'
import { renderToStaticMarkup } from 'react-dom/server'
import { ask, serialize } from '../src/api/client'
import type { Entry } from '../src/api/device'
import { upgraded } from '../src/api/versions'
import { PlantDrawing, StateDrawing, usualStates } from '../src/herbarium/drawing'
import { Basket, Jar } from '../src/shelf/Vessel'
import * as clock from '../src/ui/clock'
import { Danger } from '../src/ui/Danger'
import * as dictionary from '../src/ui/dictionary'
import { merge } from '../src/ui/merge'
import * as read from '../src/ui/read'
import { useLive } from '../src/ui/useLive'
import * as words from '../src/ui/words'

interface Asked {
  body: string
  aborted: boolean
  answer: (text: string) => void
}

/** A live check whose answers the test gives by hand, in the order it likes. */
const asked: Asked[] = []

function Live() {
  const [text, setText] = useState('')
  const live = useLive('test', text === '' ? null : { text }, ({ text: body }, signal) => {
    return new Promise<string>((resolve) => {
      const entry: Asked = { body, aborted: false, answer: resolve }
      signal.addEventListener('abort', () => (entry.aborted = true))
      asked.push(entry)
    })
  })
  return (
    <>
      <input aria-label="typed" value={text} onChange={(e) => setText(e.target.value)} />
      <output aria-label="answer">{live.data ?? ''}</output>
      <output aria-label="behind">{live.behind ? 'behind' : 'current'}</output>
    </>
  )
}

const drawn = (node: React.ReactNode) => renderToStaticMarkup(node)

Object.assign(window, {
  web: {
    ...read,
    ...words,
    ...clock,
    merge,
    serialize,
    /** A weight that was in grams, then had a name for what it weighs, then a unit of its own. */
    upgraded: (entry: Entry) =>
      upgraded(entry, [
        ({ variables, fields }) => ({
          variables: { mass: (variables as { massG: number }).massG },
          ...(fields ? { fields: { mass: fields['massG'] } } : {}),
        }),
        ({ variables, fields }) => ({
          variables: { ...(variables as object), unit: 'g' },
          ...(fields ? { fields: { ...fields, unit: 'g' } } : {}),
        }),
      ]),
    /** What an answer of the server becomes for the page: its data, or the words of the refusal. */
    outcome: async (status: number, body: unknown) =>
      ask(
        status === 0
          ? Promise.reject(new TypeError('Failed to fetch'))
          : Promise.resolve({
              ...(status < 400 ? { data: body } : { error: body }),
              response: new Response(null, { status: status }),
            }),
      ).then(
        (data) => ({ data }),
        (e: Error) => ({ refused: e.message }),
      ),
    usualStates,
    dictionary,
    state: (character: string, state: string, known: Record<string, string>) =>
      drawn(<StateDrawing character={character} state={state} on={known} />),
    plant: (characters: Record<string, string>, stage: string) =>
      drawn(<PlantDrawing characters={characters} stage={stage} label="a plant" />),
    jar: (jarMl: number, herbMl: number, liquidMl: number) =>
      drawn(<Jar jarMl={jarMl} herbMl={herbMl} liquidMl={liquidMl} label="a jar" />),
    basket: (full: number) => drawn(<Basket full={full} label="a basket" />),
    danger: (level: 'HARMLESS' | 'DEADLY', takenFor?: { commonName: string; danger: 'DEADLY' }) =>
      drawn(<Danger level={level} {...(takenFor ? { takenFor } : {})} />),
    asked,
    live: () => {
      const root = document.body.appendChild(document.createElement('div'))
      createRoot(root).render(
        <QueryClientProvider client={new QueryClient()}>
          <Live />
        </QueryClientProvider>,
      )
    },
  },
})
