import type { UseQueryResult } from '@tanstack/react-query'
import { useEffect } from 'react'
import { ProblemError } from '../api/client'
import { fieldWords } from './fields'
import { capital } from './words'
import { useNarrow } from './useNarrow'
import { Findings } from './Findings'

export function Page({
  title,
  actions,
  more,
  children,
}: {
  title: React.ReactNode
  actions?: React.ReactNode
  /** What is done less often: beside the others on a desk, behind one touch on a phone. */
  more?: React.ReactNode
  children: React.ReactNode
}) {
  const narrow = useNarrow()
  useEffect(() => {
    if (typeof title === 'string') document.title = `${title} · Sallowbrook`
  }, [title])
  return (
    <main id="main" className="mx-auto max-w-7xl px-4 pt-3 pb-36 lg:pb-20">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-2xl font-semibold">{title}</h1>
        <div className="flex flex-wrap gap-2">
          {!narrow && more}
          {actions}
          {narrow && more && (
            <details className="open:w-full">
              <summary className="border-line bg-sheet inline-flex min-h-11 cursor-pointer items-center border-2 px-4 font-semibold">
                More
              </summary>
              <div className="mt-2 flex flex-wrap gap-2">{more}</div>
            </details>
          )}
        </div>
      </div>
      {children}
    </main>
  )
}

/** A part of a page on a ruled sheet; no box, a graduated edge on the left. */
export function Section({
  title,
  aside,
  children,
}: {
  title?: string
  aside?: React.ReactNode
  children: React.ReactNode
}) {
  return (
    <section className="border-line bg-sheet border-t-2 px-4 py-3">
      {title && (
        <div className="mb-2 flex items-baseline justify-between gap-2">
          <h2 className="text-lg font-semibold">{title}</h2>
          {aside}
        </div>
      )}
      {children}
    </section>
  )
}

/** A figure read from two metres: number, unit, and what it is. */
export function Figure({
  label,
  value,
  unit,
  note,
}: {
  label: string
  value: React.ReactNode
  unit?: string
  note?: React.ReactNode
}) {
  return (
    <div className="border-line border-l-2 pl-3">
      <dt className="text-soft text-sm">{label}</dt>
      <dd className="text-xl leading-tight font-semibold">
        {value} {unit && <span className="text-soft text-base font-normal">{unit}</span>}
      </dd>
      {note && <dd className="text-soft text-sm">{note}</dd>}
    </div>
  )
}

/** An uncertain figure drawn as a band on a scale. */
export function RangeBar({
  low,
  high,
  min,
  max,
  marks = [],
}: {
  low: number
  high: number
  min: number
  max: number
  marks?: { at: number; label: string }[]
}) {
  const x = (v: number) => Math.min(100, Math.max(0, ((v - min) / (max - min)) * 100))
  return (
    <svg viewBox="0 0 100 14" className="h-9 w-full" preserveAspectRatio="none" aria-hidden>
      <path d="M0 7H100" stroke="var(--line)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      <rect x={x(low)} y="3" width={Math.max(0.8, x(high) - x(low))} height="8" fill="var(--water)" />
      {marks.map((m) => (
        <path
          key={m.label}
          d={`M${x(m.at)} 0V14`}
          stroke="var(--madder)"
          strokeWidth="2"
          strokeDasharray="3 2"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  )
}

export function Because({ lines }: { lines: string[] }) {
  if (lines.length === 0) return null
  return (
    <details className="text-sm">
      <summary className="text-note min-h-6 cursor-pointer underline">How this was reckoned</summary>
      <ol className="text-soft mt-1 list-decimal space-y-1 pl-5">
        {lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ol>
    </details>
  )
}

/** Why something was not saved, in words, with findings where a gate spoke. */
export function ProblemNotice({ error }: { error: unknown }) {
  if (!error) return null
  const problem = error instanceof ProblemError ? error.problem : undefined
  return (
    <div role="alert" className="border-madder bg-sheet space-y-2 border-2 p-3">
      <p className="text-madder font-semibold">
        {problem?.detail ?? 'Something went wrong in this page. Load it again.'}
      </p>
      {problem?.errors && (
        <ul className="list-disc pl-5 text-sm">
          {problem.errors.map((e) => (
            <li key={e.field + e.message}>
              {e.field ? <strong>{capital(fieldWords(e.field))}</strong> : null} {e.message}
            </li>
          ))}
        </ul>
      )}
      {problem?.findings && <Findings findings={problem.findings} label="Why it was refused" />}
    </div>
  )
}

/** Waits for a query and shows its failure. */
export function Loaded<T>({
  query,
  children,
}: {
  query: { data: T | undefined; error: UseQueryResult['error'] }
  children: (data: T) => React.ReactNode
}) {
  if (query.data !== undefined) return <>{children(query.data)}</>
  if (query.error) {
    return (
      <div className="mx-auto max-w-3xl p-4">
        <ProblemNotice error={query.error} />
      </div>
    )
  }
  return (
    <p role="status" className="text-soft p-4">
      Reading the records
    </p>
  )
}

export function Empty({ children }: { children: React.ReactNode }) {
  return <p className="text-soft border-line border-l-2 py-2 pl-3">{children}</p>
}

/** The product's own words on what it is not; stands where a dose or an identification is shown. */
export function SafetyLine() {
  return (
    <p className="text-soft text-sm">
      Sallowbrook keeps your records and reckons with them. It does not identify from a photograph, diagnose,
      or replace a poison centre, pharmacist, doctor or registered herbalist. Local law on plants, land,
      spirits and selling always comes first.
    </p>
  )
}
