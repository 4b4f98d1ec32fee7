import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { MEDICINE } from '../ui/dictionary'

type Named = Schemas['Named']

/** Medicines by the name of the substance on the packet, with the classes each belongs to. */
export function MedicineNames({
  chosen,
  onChange,
}: {
  chosen: Named[]
  onChange: (chosen: Named[]) => void
}) {
  const [typed, setTyped] = useState('')
  const wanted = typed.trim()
  const found = useQuery({
    queryKey: ['medicines', wanted],
    enabled: wanted.length >= 2,
    queryFn: ({ signal }) =>
      ask(api.GET('/api/people/medicines', { params: { query: { name: wanted } }, signal })),
  })
  const take = (m: Named) => {
    if (!chosen.some((c) => c.name === m.name)) onChange([...chosen, m])
    setTyped('')
  }
  const { known, holding = [], like = [] } = found.data ?? {}
  // Enter takes the name that was typed, or the only one that holds it; never one that is only written alike.
  const only = known ?? (holding.length === 1 ? holding[0] : undefined)
  const nothing = found.data !== undefined && !known && holding.length === 0
  return (
    <div className="space-y-2">
      <Input
        label="Name of the substance, as on the packet"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || wanted === '') return
          e.preventDefault()
          if (only) take(only)
        }}
        autoComplete="off"
        data-held={wanted || undefined}
        error={
          nothing && wanted.length >= 3
            ? `“${wanted}” is not known here: take the name of the substance from the packet, not the maker’s own, or tick its kind below and clear this`
            : undefined
        }
        hint={wanted ? 'choose below, or press Enter; until then it is not taken over' : undefined}
      />
      {wanted && (known || holding.length > 0) && (
        <ul aria-label="Medicines found" className="space-y-1">
          {[...(known ? [known] : []), ...holding].map((m) => (
            <Hit key={m.name} medicine={m} onTake={take} />
          ))}
        </ul>
      )}
      {wanted && like.length > 0 && (
        <div>
          <p className="text-sm font-medium">Not this name. Only if you misspelt it:</p>
          <ul aria-label="Medicines written alike" className="space-y-1">
            {like.map((m) => (
              <Hit key={m.name} medicine={m} onTake={take} />
            ))}
          </ul>
        </div>
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

function Hit({ medicine, onTake }: { medicine: Named; onTake: (m: Named) => void }) {
  return (
    <li>
      <Button className="w-full justify-start! text-left" onClick={() => onTake(medicine)}>
        <span>
          <span className="font-semibold">{medicine.name}</span>{' '}
          <span className="text-soft text-sm">{classes(medicine)}</span>
        </span>
      </Button>
    </li>
  )
}

function classes(m: Named) {
  return m.classes.map((c) => MEDICINE[c]).join('; ')
}
