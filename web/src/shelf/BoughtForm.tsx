import { useKept, useKeptId } from '../ui/kept'
import { number } from '../ui/read'
import { isoToday } from '../ui/clock'
import { api, ask, type Schemas, errorAt } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { PART } from '../ui/dictionary'
import { useSaved } from '../ui/useSaved'

type Bought = Schemas['BoughtRequest']

export const LABELS: { value: Bought['label']; label: string; hint: string }[] = [
  { value: 'SCIENTIFIC_NAME', label: 'the scientific name and the part', hint: 'printed, with a lot' },
  { value: 'COMMON_NAME', label: 'a common name only', hint: 'held where a dangerous plant may be meant' },
  { value: 'DOUBTFUL', label: 'nothing certain', hint: 'held until it is cleared up' },
]

/** Dried herb from a shop: nobody here saw the plant, so the label is asked about. */
export function BoughtForm({
  taxon = '',
  part: given,
  narrow = false,
  onDone,
}: {
  taxon?: string | undefined
  part?: Bought['part'] | undefined
  /** Beside something else rather than across the page. */
  narrow?: boolean
  onDone: (lot?: Schemas['LotView']) => void
}) {
  const taxa = useTaxa()
  const kept = `bought ${taxon} ${given ?? ''}`
  const id = useKeptId(kept)
  const [taxonId, setTaxonId] = useKept(kept, 'taxonId', taxon)
  const [part, setPart] = useKept<Bought['part'] | ''>(kept, 'part', given ?? '')
  const [label, setLabel] = useKept<Bought['label']>(kept, 'label', 'SCIENTIFIC_NAME')
  const [mass, setMass] = useKept(kept, 'mass', '')
  const [supplier, setSupplier] = useKept(kept, 'supplier', '')
  const [harvested, setHarvested] = useKept(kept, 'harvested', '')
  const [best, setBest] = useKept(kept, 'best', '')
  const [place, setPlace] = useKept(kept, 'place', '')
  const [mould, setMould] = useKept(kept, 'mould', false)
  const parts = taxa.data?.find((t) => t.id === taxonId)?.parts ?? []
  const chosen = part !== '' && parts.includes(part) ? part : parts[0]
  const save = useSaved(
    'shelf',
    kept,
    () => {
      if (!chosen) throw new Error('Choose the plant and the part first.')
      return ask(
        api.POST('/api/shelf/bought', {
          body: {
            id,
            taxonId,
            part: chosen,
            massG: number(mass),
            supplier,
            label,
            mouldSeen: mould,
            on: isoToday(),
            harvestedOn: harvested || undefined,
            bestBefore: best || undefined,
            place,
          },
        }),
      )
    },
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
      <Section title="Herb that is there already, or from a shop">
        <div className={narrow ? 'grid gap-3' : 'grid gap-3 sm:grid-cols-2 lg:grid-cols-4'}>
          <Choose
            label="Plant"
            value={taxonId}
            onChange={setTaxonId}
            choices={(taxa.data ?? [])
              .filter((t) => !t.draft && t.parts.length > 0)
              .map((t) => ({ value: t.id, label: t.commonName, hint: t.name }))}
          />
          <Choose
            label="Part"
            value={chosen ?? ''}
            onChange={setPart}
            choices={parts.map((p) => ({ value: p, label: PART[p] }))}
          />
          <Choose label="The label gives" value={label} onChange={setLabel} choices={LABELS} />
          <NumberInput label="How much" unit="g" value={mass} onChange={setMass} error={at('massG')} />
          <Input
            label="Supplier"
            value={supplier}
            onChange={(e) => setSupplier(e.target.value)}
            error={at('supplier')}
          />
          <Input
            label="Harvested on"
            hint="if the label says so"
            type="date"
            value={harvested}
            onChange={(e) => setHarvested(e.target.value)}
            error={at('harvestedOn')}
          />
          <Input
            label="Best before"
            hint="by the label; the earlier counts"
            type="date"
            value={best}
            onChange={(e) => setBest(e.target.value)}
          />
          <Input
            label="Where it stands"
            value={place}
            onChange={(e) => setPlace(e.target.value)}
            error={at('place')}
          />
          <Toggle label="Shows or smells of mould" checked={mould} onChange={setMould} />
        </div>
        <div className="mt-3 space-y-3">
          <ProblemNotice error={save.error} />
          <Button kind="main" type="submit" disabled={save.isPending || !chosen}>
            Put the herb on the shelf
          </Button>
        </div>
      </Section>
    </form>
  )
}
