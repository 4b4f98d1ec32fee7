import { useParams, useSearchParams } from 'react-router'
import type { Schemas } from '../api/client'
import { OnPaper } from '../ui/Sheet'
import { Choose } from '../ui/Choose'
import { Button } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Loaded, Page, SafetyLine } from '../ui/page'
import { useTray } from '../ui/tray'
import { STAGE } from '../ui/dictionary'
import { capital } from '../ui/words'
import { PlantDrawing, usualStates } from './drawing'
import { useComparison, useTaxa, useTaxon } from './queries'
import { Tells } from './Tells'

type TaxonView = Schemas['TaxonView']
type Stage = TaxonView['months'][number]['stage']

/** A plant and its look-alikes side by side in the same frame, what tells them apart marked; made to be printed. */
export function Compare() {
  const { id = '' } = useParams()
  const taxon = useTaxon(id)
  return <Loaded query={taxon}>{(t) => <Sheet key={t.id} t={t} />}</Loaded>
}

function Sheet({ t }: { t: TaxonView }) {
  const [search, setSearch] = useSearchParams()
  const taxa = useTaxa()
  const carried = useTray()
    .filter((i) => i.kind === 'plant' && i.id !== t.id)
    .map((i) => i.id)
  const wanted = search.getAll('with')
  const others = wanted.length > 0 ? wanted : [...t.lookAlikes.map((l) => l.taxon), ...carried].slice(0, 3)
  const stages = t.months.map((m) => m.stage)
  const best = t.lookAlikes.find((l) => l.taxon === others[0])?.tellable.find((x) => stages.includes(x))
  const stage = (search.get('stage') as Stage | null) ?? best ?? stages[stages.length - 1] ?? 'LEAFY'
  const set = (values: { stage?: Stage; with?: string[] }) =>
    setSearch(
      [
        ['stage', values.stage ?? stage],
        ...(values.with ?? others).map((w) => ['with', w] as [string, string]),
      ] as [string, string][],
      { replace: true },
    )
  const name = t.commonNames[0] ?? t.name
  return (
    <Page
      title={`${name} and what it is taken for`}
      actions={
        <>
          <Button onClick={() => print()}>Print</Button>
          <OnPaper href={`/api/herbarium/taxa/${t.id}/teaching.pdf?stage=${stage}`}>
            Teaching sheet (PDF)
          </OnPaper>
        </>
      }
    >
      <div className="mb-3 flex flex-wrap items-end gap-3 print:hidden">
        <div className="w-52">
          <Choose
            label="It is now"
            value={stage}
            choices={stages.map((s) => ({ value: s, label: STAGE[s] }))}
            onChange={(s) => set({ stage: s })}
          />
        </div>
        <div className="w-64">
          <Choose
            label="Lay another beside it"
            value=""
            choices={(taxa.data ?? [])
              .filter((x) => x.id !== t.id && !others.includes(x.id))
              .map((x) => ({ value: x.id, label: x.commonName, hint: x.name }))}
            onChange={(x) => set({ with: [...others.slice(-2), x] })}
          />
        </div>
      </div>
      <p className="mb-3 hidden print:block">{capital(STAGE[stage])}</p>
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-[repeat(auto-fit,minmax(17rem,1fr))]">
        <Column t={t} stage={stage} />
        {others.map((o) => (
          <Other
            key={o}
            t={t}
            id={o}
            stage={stage}
            onDrop={() => set({ with: others.filter((x) => x !== o) })}
          />
        ))}
      </div>
      {others.length === 0 && <p>No look-alike is listed. Lay another plant beside it.</p>}
      <div className="mt-4">
        <SafetyLine />
      </div>
    </Page>
  )
}

function Column({ t, stage, children }: { t: TaxonView; stage: Stage; children?: React.ReactNode }) {
  const here = t.months.some((m) => m.stage === stage)
  return (
    <section
      aria-label={t.commonNames[0] ?? t.name}
      className="bg-sheet border-line break-inside-avoid border-t-2 px-3 py-2"
    >
      <h2 className="text-lg font-semibold">{t.commonNames[0]}</h2>
      <p className="flex justify-between gap-2">
        <span className="font-plant italic">{t.name}</span> <Danger level={t.danger} takenFor={t.takenFor} />
      </p>
      <PlantDrawing
        characters={usualStates(t.characters, stage)}
        stage={stage}
        label={`${t.commonNames[0] ?? t.name}, ${STAGE[stage]}`}
      />
      {!here && <p className="text-soft text-sm">Seldom seen {STAGE[stage]}.</p>}
      <p className="text-soft text-sm">{t.habitat}</p>
      {children}
    </section>
  )
}

function Other({ t, id, stage, onDrop }: { t: TaxonView; id: string; stage: Stage; onDrop: () => void }) {
  const other = useTaxon(id)
  const comparison = useComparison(t.id, id, stage)
  return (
    <Loaded query={other}>
      {(o) => (
        <Column t={o} stage={stage}>
          <p className="my-2">{t.lookAlikes.find((l) => l.taxon === o.id)?.tells}</p>
          {comparison.data && (
            <Tells comparison={comparison.data} harmful={o.danger === 'POISONOUS' || o.danger === 'DEADLY'} />
          )}
          <div className="mt-2 print:hidden">
            <Button onClick={onDrop}>Take away</Button>
          </div>
        </Column>
      )}
    </Loaded>
  )
}
