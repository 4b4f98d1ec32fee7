import { useRenew } from '../ui/command'
import { useState } from 'react'
import type { Schemas } from '../api/client'
import { BoughtForm } from '../shelf/BoughtForm'
import { SUPPLIES, SupplyForm } from '../shelf/SupplyForm'
import { Button, ButtonLink } from '../ui/controls'
import { Section } from '../ui/page'

type MissingView = Schemas['Missing']

/** What was only described: it is put on the shelf here, and then the batch can begin. */
export function Missing({
  missing,
  onPut,
}: {
  missing: MissingView[]
  onPut: (field: string, lotId: string) => void
}) {
  const renew = useRenew(['lots'])
  const [open, setOpen] = useState('')
  // Put just now: the reckoning that still calls it missing is being renewed.
  const [put, setPut] = useState<MissingView[]>([])
  const shown = missing.filter((m) => !put.includes(m))
  if (shown.length === 0) return null
  const onShelf = async (m: MissingView, lotId: string) => {
    await renew()
    setOpen('')
    setPut(missing.filter((x) => x.field === m.field))
    onPut(`${m.field}.lotId`, lotId)
  }
  return (
    <Section title="Not on the shelf yet">
      <p className="text-soft mb-2 text-sm">
        It is reckoned as described. To begin it, each of these must stand on the shelf, so that the bottle
        can be traced to it.
      </p>
      <ul className="space-y-2">
        {shown.map((m) => (
          <li key={m.field}>
            <div className="flex flex-wrap items-center justify-between gap-2">
              <span className="font-medium">{m.name}</span>
              {m.form === 'HERB' || SUPPLIES.includes(m.form) ? (
                <Button onClick={() => setOpen(open === m.field ? '' : m.field)}>
                  {open === m.field ? 'Cancel' : 'Put it on the shelf'}
                </Button>
              ) : (
                // What is made here is not bought: it comes onto the shelf with its herb and its hours.
                <ButtonLink to="/making">Make it first</ButtonLink>
              )}
            </div>
            {open === m.field &&
              (m.form === 'HERB' ? (
                <BoughtForm
                  key={`${m.field} ${m.name}`}
                  taxon={m.taxonId}
                  part={m.part}
                  narrow
                  onDone={(lot) => (lot ? void onShelf(m, lot.id) : setOpen(''))}
                />
              ) : (
                <SupplyForm
                  key={`${m.field} ${m.name}`}
                  form={m.form}
                  name={m.name}
                  narrow
                  onDone={(lot) => (lot ? void onShelf(m, lot.id) : setOpen(''))}
                />
              ))}
          </li>
        ))}
      </ul>
    </Section>
  )
}
