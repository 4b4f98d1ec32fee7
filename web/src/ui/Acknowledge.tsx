import { useState } from 'react'
import type { Finding } from '../api/client'
import { Input } from './controls'

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

/** A warning lets through only whoever says why they go on. */
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
      {codes.map((code) => (
        <Input
          key={code}
          label={`Why you go on in spite of: ${warnings.find((f) => f.code === code)?.message ?? code}`}
          value={reasons.byCode[code] ?? ''}
          onChange={(e) => reasons.set(code, e.target.value)}
        />
      ))}
    </div>
  )
}
