import { useState } from 'react'
import type { Finding } from '../api/client'

type Severity = Finding['severity']

const tone: Record<Severity, string> = {
  STOP: 'bg-madder-pale border-madder text-madder',
  HOLD: 'bg-amber-pale border-amber text-amber',
  WARN: 'bg-sheet border-amber text-amber',
  NOTE: 'bg-note-pale border-note text-note',
}

/** A sluice for STOP (shut) and HOLD (half down), a stone in the stream for WARN, a tag for NOTE. */
export function FindingMark({ severity }: { severity: Severity }) {
  const shapes: Record<Severity, React.ReactNode> = {
    STOP: <path d="M3 2v16M17 2v16M3 6h14M3 10h14M3 14h14" />,
    HOLD: <path d="M3 2v16M17 2v16M3 4h14M3 8h14" />,
    WARN: <path d="M1 14c3-4 5-4 6-4s2-4 4-4 3 4 4 4 2 0 4 4M1 18h18" />,
    NOTE: <path d="M2 10 8 4h10v12H8zM9 10h.5" />,
  }
  return (
    <svg
      viewBox="0 0 20 20"
      className="size-6 shrink-0"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.4"
      aria-hidden
    >
      {shapes[severity]}
    </svg>
  )
}

export function FindingRow({ finding }: { finding: Finding }) {
  return (
    <li className={`flex gap-3 border-l-4 px-3 py-2 ${tone[finding.severity]}`}>
      <FindingMark severity={finding.severity} />
      <div>
        <p className="font-semibold">
          <span className="mr-2 tracking-wide">{finding.severity}</span>
          <span className="text-ink font-medium">{finding.message}</span>
        </p>
        <p className="text-ink text-sm">{finding.action}</p>
      </div>
    </li>
  )
}

/** In one breath, the gravest only: for whoever listens. */
export function inBreath(findings: Finding[]): string {
  const of = (s: Severity) => findings.filter((f) => f.severity === s)
  const worst = [of('STOP'), of('HOLD'), of('WARN')].find((some) => some.length > 0)
  if (!worst?.[0]) return 'Nothing stands against it'
  return `${worst[0].severity}: ${worst[0].message}${worst.length > 1 ? ` And ${worst.length - 1} more.` : ''}`
}

const order: Severity[] = ['STOP', 'HOLD', 'WARN', 'NOTE']

/** The gravest first; notes fold away when there are many. */
export function Findings({ findings, label = 'Findings' }: { findings: Finding[]; label?: string }) {
  const [all, setAll] = useState(false)
  const sorted = [...findings].sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity))
  const grave = sorted.filter((f) => f.severity !== 'NOTE')
  const notes = sorted.filter((f) => f.severity === 'NOTE')
  const shown = all || notes.length <= 1 ? sorted : grave
  if (sorted.length === 0) return null
  return (
    <section aria-label={label} className="space-y-1">
      <ul className="space-y-1">
        {shown.map((f, i) => (
          <FindingRow key={`${f.code}-${i}`} finding={f} />
        ))}
      </ul>
      {shown.length < sorted.length && (
        <button type="button" className="text-note text-sm underline" onClick={() => setAll(true)}>
          {notes.length} notes
        </button>
      )}
    </section>
  )
}
