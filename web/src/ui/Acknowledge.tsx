import { useState } from 'react'
import type { Finding } from '../api/client'
import { Input, Toggle } from './controls'

/** Reasons given for warnings, by code. */
export function useAcknowledged() {
  const [byCode, setByCode] = useState<Record<string, string>>({})
  return {
    byCode,
    set: (code: string, reason: string) => setByCode({ ...byCode, [code]: reason }),
    list: Object.entries(byCode)
      .filter(([, reason]) => reason.trim() !== '')
      .map(([code, reason]) => ({ code, reason })),
  }
}

/** What is kept of a warning that one touch was enough for. */
const SEEN = 'seen'

/** A warning lets through only whoever says why they go on; where nobody can be hurt, whoever says that they have seen it. */
export function Acknowledge({
  findings,
  reasons,
}: {
  findings: Finding[]
  reasons: ReturnType<typeof useAcknowledged>
}) {
  const warnings = findings.filter((f) => f.severity === 'WARN')
  const codes = [...new Set(warnings.map((f) => f.code))]
  if (codes.length === 0) return null
  return (
    <div className="space-y-2">
      {codes.map((code) => {
        const said = warnings.filter((f) => f.code === code)
        const message = said[0]?.message ?? code
        return said.every((f) => f.trifle) ? (
          <Toggle
            key={code}
            label={`Go on all the same: ${message}`}
            checked={reasons.byCode[code] === SEEN}
            onChange={(on) => reasons.set(code, on ? SEEN : '')}
          />
        ) : (
          <Input
            key={code}
            label={`Why you go on in spite of: ${message}`}
            value={reasons.byCode[code] ?? ''}
            onChange={(e) => reasons.set(code, e.target.value)}
          />
        )
      })}
    </div>
  )
}
