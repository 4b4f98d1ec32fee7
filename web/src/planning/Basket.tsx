import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useStands } from '../field/queries'
import { useTaxon } from '../herbarium/queries'
import { Choose } from '../ui/Choose'
import { ButtonLink, NumberInput } from '../ui/controls'
import { PART, PRODUCT } from '../ui/dictionary'
import { Because, Empty, Figure, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { useLive } from '../ui/useLive'
import { range } from '../ui/words'

type View = Schemas['BasketView']
type Product = View['makes'][number]['product']
type Part = Schemas['HarvestView']['part']

/** How much to pick for what is wanted, and what a basket makes. */
export function BasketPage() {
  const stands = useStands()
  return (
    <Loaded query={stands}>
      {(all) => {
        const known = all.filter((s) => s.taxonId && !s.putAwayOn)
        return (
          <Page title="From the basket to the bottle">
            {known.length === 0 ? (
              <Empty>No stand of a known plant yet. Add one in the field first.</Empty>
            ) : (
              <Both stands={known} />
            )}
          </Page>
        )
      }}
    </Loaded>
  )
}

function Both({ stands }: { stands: Schemas['StandView'][] }) {
  const [search, setSearch] = useSearchParams()
  const stand = stands.find((s) => s.id === search.get('stand')) ?? stands[0]
  const taxon = useTaxon(stand?.taxonId ?? '')
  const parts: Part[] = taxon.data?.parts.map((p) => p.part) ?? []
  const [asked, setPart] = useState<Part>()
  const part = asked && parts.includes(asked) ? asked : parts[0]
  return (
    <>
      <div className="mb-4 grid max-w-3xl gap-3 sm:grid-cols-2">
        <Choose
          label="Stand"
          value={stand?.id ?? ''}
          onChange={(id) => setSearch({ stand: id }, { replace: true })}
          choices={stands.map((s) => ({ value: s.id, label: s.name, hint: s.commonName }))}
        />
        {part && (
          <Choose
            label="Part"
            value={part}
            onChange={setPart}
            choices={parts.map((p) => ({ value: p, label: PART[p] }))}
          />
        )}
      </div>
      {stand && part ? (
        <div className="grid items-start gap-4 lg:grid-cols-2" key={`${stand.id} ${part}`}>
          <Back stand={stand} part={part} />
          <Forth stand={stand} part={part} />
        </div>
      ) : (
        taxon.data && <Empty>The card knows no use of this plant; nothing is made of it.</Empty>
      )}
    </>
  )
}

const useBasket = (
  what: string,
  standId: string,
  query: { part: Part; freshG?: number; product?: Product; wanted?: number } | null,
) =>
  useLive(`basket ${what} ${standId}`, query, (q, signal) =>
    ask(api.GET('/api/planning/stands/{id}/basket', { params: { path: { id: standId }, query: q }, signal })),
  )

function Back({ stand, part }: { stand: Schemas['StandView']; part: Part }) {
  const possible =
    useBasket('possible', stand.id, { part, freshG: 100 }).data?.makes.map((m) => m.product) ?? []
  const [chosen, setProduct] = useState<Product>()
  const product = chosen ?? possible.find((p) => p !== 'DRIED') ?? 'DRIED'
  const [wanted, setWanted] = useState('250')
  const ok = number(wanted) > 0 && possible.length > 0
  const basket = useBasket('back', stand.id, ok ? { part, product, wanted: number(wanted) } : null)
  const view = ok && !basket.isError ? basket.data : undefined
  const over = view?.ofStand && view.ofStand.high > view.quota
  return (
    <Section title="I want">
      <div className="grid gap-3 sm:grid-cols-2">
        <NumberInput label="So much" unit={PRODUCT[product].unit} value={wanted} onChange={setWanted} />
        <Choose
          label="Of"
          value={product}
          onChange={setProduct}
          choices={possible.map((p) => ({ value: p, label: PRODUCT[p].name }))}
        />
      </div>
      <ProblemNotice error={basket.error} />
      {view && (
        <>
          <dl className="mt-3 grid grid-cols-2 gap-3">
            <Figure label="Pick, fresh" value={range(view.freshG)} unit="g" note="the upper end is enough" />
            {view.ofStand && (
              <Figure
                label="Of this stand"
                value={range(view.ofStand, 100)}
                unit="%"
                note={`${Math.round(view.quota * 100)} % is its share in a year`}
              />
            )}
          </dl>
          {over && (
            <p className="border-amber bg-amber-pale mt-2 border-l-8 px-3 py-2">
              That is more than this stand should give. Make less, or pick at several.
            </p>
          )}
          <Because lines={view.because} />
          {/* Whether it may be picked at all is asked at the harvest. */}
          <div className="mt-2">
            <ButtonLink to={`/field/stands/${stand.id}/harvest`}>Harvest there</ButtonLink>
          </div>
        </>
      )}
    </Section>
  )
}

function Forth({ stand, part }: { stand: Schemas['StandView']; part: Part }) {
  const [fresh, setFresh] = useState('300')
  const ok = number(fresh) > 0
  const basket = useBasket('forth', stand.id, ok ? { part, freshG: number(fresh) } : null)
  const view = ok && !basket.isError ? basket.data : undefined
  return (
    <Section title="I have">
      <NumberInput label="In the basket, fresh" unit="g" value={fresh} onChange={setFresh} />
      <ProblemNotice error={basket.error} />
      {view && (
        <>
          <p className="text-soft mt-2 text-sm">Any one of these, if all of it goes into it:</p>
          <ul className="text-lg">
            {view.makes.map((m) => (
              <li
                key={m.product}
                className="border-line flex flex-wrap justify-between gap-x-4 border-b py-1"
              >
                <span>
                  {PRODUCT[m.product].name} <span className="text-soft text-sm">{m.how}</span>
                </span>
                <strong>
                  {range(m.amount)} {m.unit}
                </strong>
              </li>
            ))}
          </ul>
          <Because lines={view.because} />
        </>
      )}
    </Section>
  )
}
