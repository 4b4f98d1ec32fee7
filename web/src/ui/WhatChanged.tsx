import { useState } from 'react'
import { ProblemError } from '../api/client'
import { Button } from './controls'
import { merge } from './merge'

const words = (value: unknown): string =>
  value === null || value === undefined || value === ''
    ? 'empty'
    : Array.isArray(value)
      ? value.length === 0
        ? 'none'
        : value.map(words).join(', ')
      : typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : String(value)

/**
 * After "changed meanwhile": what the other changed. What only one of the two touched is kept from whoever did; where both
 * changed the same, somebody decides. Nothing of the other's is dropped unasked.
 */
export function WhatChanged({
  error,
  before,
  mine,
  labels,
  say = (_, value) => words(value),
  onMerged,
}: {
  error: unknown
  before: object | undefined
  mine: object
  labels: Record<string, string>
  say?: (field: string, value: unknown) => string
  onMerged: (fields: Record<string, unknown>, version: number) => void
}) {
  const [own, setOwn] = useState<string[]>([])
  const problem = error instanceof ProblemError ? error.problem : undefined
  const { version, current } = problem ?? {}
  if (problem?.status !== 409 || version === undefined || !current || !before) return null
  const was = before as Record<string, unknown>
  const typed = mine as Record<string, unknown>
  const { fields, clashes } = merge(was, typed, current)
  const changed = Object.keys(labels).filter((k) => say(k, was[k]) !== say(k, current[k]))
  return (
    <div className="border-amber bg-amber-pale space-y-2 border-l-4 p-3">
      <p className="font-semibold">What {problem.changedBy} changed</p>
      <ul className="list-disc pl-5">
        {changed.length === 0 && <li>Nothing that this form shows.</li>}
        {changed.map((key) => (
          <li key={key}>
            {labels[key]}: {say(key, was[key])} became {say(key, current[key])}
          </li>
        ))}
      </ul>
      {clashes.map((key) => (
        <label key={key} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={own.includes(key)}
            onChange={() => setOwn(own.includes(key) ? own.filter((k) => k !== key) : [...own, key])}
          />
          {labels[key] ?? key}: keep mine, {say(key, typed[key])}
        </label>
      ))}
      <Button
        onClick={() => onMerged({ ...fields, ...Object.fromEntries(own.map((k) => [k, typed[k]])) }, version)}
      >
        Save mine with theirs
      </Button>
    </div>
  )
}
