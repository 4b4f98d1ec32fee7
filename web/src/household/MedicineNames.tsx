import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { MEDICINE } from '../ui/dictionary'

type Named = Schemas['Named']

/** Medicines by the generic name on the packet, with the classes each belongs to; typing errors are forgiven. */
export function MedicineNames({
  chosen,
  onChange,
}: {
  chosen: Named[]
  onChange: (chosen: Named[]) => void
}) {
  const [typed, setTyped] = useState('')
  const found = useQuery({
    queryKey: ['medicines', typed.trim()],
    enabled: typed.trim().length >= 3,
    queryFn: ({ signal }) =>
      ask(api.GET('/api/people/medicines', { params: { query: { name: typed.trim() } }, signal })),
  })
  const open = (found.data ?? []).filter((m) => !chosen.some((c) => c.name === m.name))
  return (
    <div className="space-y-2">
      <Input
        label="Generic name, as on the packet"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        autoComplete="off"
      />
      {typed.trim().length >= 3 && found.data && (
        <ul aria-label="Medicines found" className="space-y-1">
          {open.map((m) => (
            <li key={m.name}>
              <Button
                className="w-full justify-start! text-left"
                onClick={() => {
                  onChange([...chosen, m])
                  setTyped('')
                }}
              >
                <span>
                  <span className="font-semibold">{m.name}</span>{' '}
                  <span className="text-soft text-sm">{classes(m)}</span>
                </span>
              </Button>
            </li>
          ))}
          {open.length === 0 && (
            <li className="text-sm">
              No such name is known here. Tick its class below, or “another prescribed medicine”.
            </li>
          )}
        </ul>
      )}
      {chosen.length > 0 && (
        <ul aria-label="Medicines by name" className="space-y-1">
          {chosen.map((m) => (
            <li key={m.name} className="border-line flex border-2">
              <span className="flex-1 px-2 py-1">
                <span className="font-semibold">{m.name}</span>{' '}
                <span className="text-soft text-sm">{classes(m)}</span>
              </span>
              <button
                type="button"
                className="border-line min-h-9 min-w-9 border-l-2"
                aria-label={`no ${m.name}`}
                onClick={() => onChange(chosen.filter((c) => c.name !== m.name))}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function classes(m: Named) {
  return m.classes.map((c) => MEDICINE[c]).join('; ')
}
