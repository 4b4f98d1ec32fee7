import { ProblemError } from '../api/client'
import { Button } from './controls'

const words = (value: unknown) =>
  value === null || value === undefined || value === ''
    ? 'empty'
    : typeof value === 'object'
      ? JSON.stringify(value)
      : String(value)

const QUIET = ['id', 'version', 'identification']

/** After "changed meanwhile": what the other changed, and the way to save one's own all the same. */
export function WhatChanged({
  error,
  before,
  onMine,
}: {
  error: unknown
  before: object | undefined
  onMine: (version: number) => void
}) {
  const problem = error instanceof ProblemError ? error.problem : undefined
  const { version, current } = problem ?? {}
  if (problem?.status !== 409 || version === undefined || !current || !before) return null
  const changed = Object.entries(before).filter(
    ([key, value]) => !QUIET.includes(key) && words(value) !== words(current[key]),
  )
  return (
    <div className="border-amber bg-amber-pale space-y-2 border-l-4 p-3">
      <p className="font-semibold">What {problem.changedBy} changed</p>
      <ul className="list-disc pl-5">
        {changed.length === 0 && <li>Nothing that this form shows.</li>}
        {changed.map(([key, value]) => (
          <li key={key}>
            {key}: {words(value)} became {words(current[key])}
          </li>
        ))}
      </ul>
      <Button onClick={() => onMine(version)}>Save mine over it</Button>
    </div>
  )
}
