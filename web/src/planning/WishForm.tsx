import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { Choose } from '../ui/Choose'
import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { PART, PRODUCT } from '../ui/dictionary'
import { Loaded, ProblemNotice } from '../ui/page'
import { number } from '../ui/read'
import { needed, useFields } from '../ui/useFields'
import { capital } from '../ui/words'
import { ForNeed } from './ForNeed'
import { called, useOffers, type Product, type WishView } from './year'

type Offers = Schemas['OffersView']

interface Typed {
  words: string
  product: Product
  amount: string
  from: string
  until: string
  evenly: boolean
  mayBuy: boolean
  person: string
  herbs: string[]
}

const PRODUCTS: Product[] = ['TEA', 'DRIED', 'TINCTURE', 'OIL', 'SALVE']
const HOUSE = 'house'

function begun(wish: WishView | undefined, offers: Offers): Typed {
  if (!wish) {
    return {
      words: '',
      product: 'TEA',
      amount: '',
      from: offers.coldFrom,
      until: offers.coldUntil,
      evenly: true,
      mayBuy: false,
      person: HOUSE,
      herbs: [''],
    }
  }
  return {
    words: wish.words,
    product: wish.product,
    amount: String(wish.amount),
    from: wish.from,
    until: wish.until,
    evenly: wish.evenly,
    mayBuy: wish.mayBuy,
    person: wish.personId ?? HOUSE,
    herbs: wish.herbs.map((h) => `${h.taxonId} ${h.part}`),
  }
}

const wants = (v: Typed) => ({
  amount: number(v.amount) > 0 ? undefined : 'how much of it',
  herbs: v.herbs.some((h) => h !== '') ? undefined : 'of which plant',
  from: needed(v.from, 'from when'),
  until: needed(v.until, 'until when') ?? (v.until < v.from ? 'lies before the first day' : undefined),
})

/** What is wanted, of what, how much, when, for whom; sentence by sentence. */
export function WishForm(props: { wish?: WishView | undefined; onDone?: () => void }) {
  const offers = useOffers()
  // A wish that was sent is done with: the next one has an id of its own and begins anew.
  const [id, setId] = useState(() => props.wish?.id ?? v7())
  return (
    <Loaded query={offers}>
      {(known) => <Form key={id} {...props} id={id} offers={known} onSent={() => setId(v7())} />}
    </Loaded>
  )
}

function Form({
  id,
  wish,
  onDone,
  onSent,
  offers,
}: {
  id: string
  onSent: () => void
  wish?: WishView | undefined
  onDone?: () => void
  offers: Offers
}) {
  const state = useState(() => begun(wish, offers))
  const save = useCommand(['wishes', 'year'], {
    mutationFn: (v: Typed) => {
      const herbs = offers.herbs.filter((o) => v.herbs.includes(`${o.taxonId} ${o.part}`))
      const body = {
        id,
        words: v.words.trim() || called(v.product, herbs),
        product: v.product,
        amount: number(v.amount),
        from: v.from,
        until: v.until,
        evenly: v.evenly,
        mayBuy: v.mayBuy,
        ...(v.person === HOUSE ? {} : { personId: v.person }),
        herbs: herbs.map((h) => ({ taxonId: h.taxonId, part: h.part })),
      }
      return wish
        ? ask(
            api.PUT('/api/planning/wishes/{id}', {
              params: { path: { id }, header: ifMatch(wish.version) },
              body,
            }),
          )
        : ask(api.POST('/api/planning/wishes', { body }))
    },
    onSuccess: onDone ?? onSent,
  })
  const form = useFields(state, wants, save.error)
  const v = form.values
  return (
    <form className="grid gap-3" onSubmit={form.submit(save.mutate)}>
      <div className="grid gap-3 sm:grid-cols-2">
        <Choose
          label="What"
          {...form.chosen('product')}
          onChange={(product) =>
            form.set({ product, evenly: product === 'TEA' || product === 'DRIED', herbs: [''] })
          }
          choices={PRODUCTS.map((p) => ({ value: p, label: PRODUCT[p].name }))}
        />
        <NumberInput
          label="How much"
          unit={PRODUCT[v.product].unit}
          {...form.chosen('amount')}
          hint={v.product === 'TEA' ? 'two cups a day for two through the cold months are about 730' : ''}
        />
      </div>
      <Herbs
        form={{ product: v.product, herbs: v.herbs, error: form.wrongAt('herbs') }}
        offers={offers}
        set={form.set}
      />
      <ForNeed
        product={v.product}
        person={v.person === HOUSE ? undefined : v.person}
        onChosen={(herbs, need) =>
          form.set({
            herbs,
            ...(v.words === '' ? { words: `${capital(PRODUCT[v.product].name)}, for ${need}` } : {}),
          })
        }
      />
      <Times v={v} offers={offers} set={form.set} text={form.text} />
      <Whom person={v.person} onChange={(person) => form.set({ person })} />
      <Toggle
        label="May be bought if it can't be picked"
        checked={v.mayBuy}
        onChange={(mayBuy) => form.set({ mayBuy })}
      />
      <Input label="In your own words" hint="or leave it empty" maxLength={200} {...form.text('words')} />
      <ProblemNotice error={save.error} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" kind="main" disabled={save.isPending}>
          {wish ? 'Change the wish' : 'Wish for it'}
        </Button>
        {onDone && <Button onClick={onDone}>Cancel</Button>}
      </div>
    </form>
  )
}

type Set = (some: Partial<Typed>) => void

function Times({
  v,
  offers,
  set,
  text,
}: {
  v: Typed
  offers: Offers
  set: Set
  text: (field: 'from' | 'until') => Pick<React.ComponentProps<typeof Input>, 'value' | 'onChange' | 'error'>
}) {
  const today = isoToday()
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <Input type="date" {...text('from')} label={v.evenly ? 'From' : 'In hand by'} />
        <Input type="date" {...text('until')} label="Until" min={today} />
      </div>
      <div className="flex flex-wrap gap-x-4">
        <button
          type="button"
          className="min-h-8 text-sm underline"
          onClick={() => set({ from: offers.coldFrom, until: offers.coldUntil, evenly: true })}
        >
          through the cold months
        </button>
        <button
          type="button"
          className="min-h-8 text-sm underline"
          onClick={() => set({ from: today, until: `${Number(today.slice(0, 4)) + 1}${today.slice(4)}` })}
        >
          all year
        </button>
      </div>
      <Toggle label="Used a little at a time" checked={v.evenly} onChange={(evenly) => set({ evenly })} />
    </>
  )
}

function Whom({ person, onChange }: { person: string; onChange: (person: string) => void }) {
  const people = usePeople().data ?? []
  if (people.length === 0) return null
  return (
    <Choose
      label="For whom"
      value={person}
      onChange={onChange}
      choices={[
        { value: HOUSE, label: 'the house', hint: 'nobody in particular' },
        ...people.map((p) => ({ value: p.id, label: p.name })),
      ]}
    />
  )
}

/** One plant, or any of several. */
function Herbs({
  form,
  offers: all,
  set,
}: {
  form: { product: Product; herbs: string[]; error: string | undefined }
  offers: Offers
  set: Set
}) {
  const offers = all.herbs.filter((o) => o.products.includes(form.product))
  return (
    <div className="grid gap-2">
      {form.herbs.map((herb, i) => (
        <div key={i} className="flex flex-wrap items-end gap-2">
          <div className="least-48 flex-1">
            <Choose
              label={i === 0 ? 'Of' : 'or of'}
              value={herb}
              error={i === 0 ? form.error : undefined}
              onChange={(to) => set({ herbs: form.herbs.map((h, j) => (j === i ? to : h)) })}
              choices={offers.map((o) => ({
                value: `${o.taxonId} ${o.part}`,
                label: `${o.commonName}, ${PART[o.part].toLowerCase()}`,
              }))}
            />
          </div>
          {i > 0 && (
            <button
              type="button"
              className="min-h-11 text-sm underline"
              onClick={() => set({ herbs: form.herbs.filter((_, j) => j !== i) })}
            >
              not of this
            </button>
          )}
        </div>
      ))}
      {form.herbs.length < 8 && form.herbs[0] !== '' && (
        <div>
          <button
            type="button"
            className="min-h-8 text-sm underline"
            onClick={() => set({ herbs: [...form.herbs, ''] })}
          >
            or of another plant, whichever is nearer
          </button>
        </div>
      )}
    </div>
  )
}
