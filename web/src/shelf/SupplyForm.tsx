import { useKept, useKeptId } from '../ui/kept'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { FORM } from '../ui/dictionary'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { useSaved } from '../ui/useSaved'
import { PERCENT } from './percent'

type Supply = Schemas['SupplyRequest']

export const SUPPLIES: Supply['form'][] = [
  'SPIRIT',
  'CARRIER_OIL',
  'WAX',
  'VINEGAR',
  'HONEY',
  'GLYCERINE',
  'WINE',
  'SUGAR',
  'SALT',
  'BUTTER',
  'ESSENTIAL_OIL',
  'EMULSIFIER',
  'PRESERVATIVE',
]
const IN_ML: Supply['form'][] = ['SPIRIT', 'CARRIER_OIL', 'VINEGAR', 'GLYCERINE', 'WINE']

/** What a household keeps to make things with. */
export function SupplyForm({
  form: given = 'SPIRIT',
  name: called = '',
  narrow = false,
  onDone,
}: {
  form?: Supply['form']
  name?: string
  /** Beside something else rather than across the page. */
  narrow?: boolean
  onDone: (lot?: Schemas['LotView']) => void
}) {
  const kept = `supply ${given} ${called}`
  const id = useKeptId(kept)
  const [form, setForm] = useKept(kept, 'form', given)
  const [name, setName] = useKept(kept, 'name', called)
  const [amount, setAmount] = useKept(kept, 'amount', '')
  const [strength, setStrength] = useKept(kept, 'strength', '')
  const [denatured, setDenatured] = useKept(kept, 'denatured', false)
  const [open, setOpen] = useKept(kept, 'open', false)
  const [best, setBest] = useKept(kept, 'best', '')
  const [place, setPlace] = useKept(kept, 'place', '')
  const percent = PERCENT[form]
  const save = useSaved(
    'shelf',
    kept,
    () =>
      ask(
        api.POST('/api/shelf/supplies', {
          body: {
            id,
            form,
            name,
            amount: number(amount),
            strengthPercent: percent ? number(strength) : undefined,
            denatured: form === 'SPIRIT' && denatured,
            open,
            bestBefore: best || undefined,
            place,
          },
        }),
      ),
    onDone,
  )
  const at = (field: string) => errorAt(save.error, field)
  return (
    <form
      className="mb-4"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <Section title="Onto the shelf">
        <div className={narrow ? 'grid gap-3' : 'grid gap-3 sm:grid-cols-2 lg:grid-cols-4'}>
          <Choose
            label="What"
            value={form}
            onChange={setForm}
            choices={SUPPLIES.map((f) => ({ value: f, label: FORM[f] }))}
          />
          <Input label="Name" value={name} onChange={(e) => setName(e.target.value)} error={at('name')} />
          <NumberInput
            label="How much"
            unit={IN_ML.includes(form) ? 'mL' : 'g'}
            value={amount}
            onChange={setAmount}
            error={at('amount')}
          />
          {percent && (
            <NumberInput
              label={percent.label}
              unit={percent.unit}
              value={strength}
              onChange={setStrength}
              error={at('strengthPercent')}
            />
          )}
          <Input label="Best before" type="date" value={best} onChange={(e) => setBest(e.target.value)} />
          <Input
            label="Where it stands"
            value={place}
            onChange={(e) => setPlace(e.target.value)}
            error={at('place')}
          />
          <Toggle label="Opened" checked={open} onChange={setOpen} />
          {form === 'SPIRIT' && (
            <Toggle label="Denatured, methylated or isopropyl" checked={denatured} onChange={setDenatured} />
          )}
        </div>
        <div className="mt-3 space-y-3">
          <ProblemNotice error={save.error} />
          <Button kind="main" type="submit" disabled={save.isPending}>
            Put it on the shelf
          </Button>
        </div>
      </Section>
    </form>
  )
}
