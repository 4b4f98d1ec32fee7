import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask, ifMatch } from '../api/client'
import { useCommand } from '../ui/command'
import { Button, ButtonLink } from '../ui/controls'
import { PART } from '../ui/dictionary'
import { Only } from '../ui/may'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { OnPaper } from '../ui/Sheet'
import { date, dayMonth, figure } from '../ui/words'
import { AsLastYear } from './AsLastYear'
import { FirstYear } from './FirstYear'
import { Bears, MeansForm } from './Means'
import { WishForm } from './WishForm'
import {
  about,
  amountOf,
  percent,
  useHelps,
  useSure,
  useWishes,
  useYear,
  WHY,
  type Granted,
  type WishView,
  type YearView,
} from './year'
import { Weeks } from './Weeks'

/** What a household wants in hand, and the year that brings it. */
export function Year() {
  const wishes = useWishes()
  return (
    <Page
      title="Enough for winter"
      actions={
        <>
          <ButtonLink to="/calendar">In your calendar</ButtonLink>
          <ButtonLink to="/basket">From a basket to a bottle</ButtonLink>
        </>
      }
    >
      <Loaded query={wishes}>
        {(all) => (
          <div className="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
            <div className="grid gap-4">
              <Wanted wishes={all} />
              <FirstYear wishes={all} />
              {all.length > 0 && <TheYear wishes={all} />}
            </div>
            <div className="grid gap-4">
              <Only deed="record">
                <AsLastYear />
                <Section title="A wish">
                  <WishForm />
                </Section>
              </Only>
              {all.length > 0 && <Means wishes={all} />}
            </div>
          </div>
        )}
      </Loaded>
    </Page>
  )
}

function Wanted({ wishes }: { wishes: WishView[] }) {
  const year = useYear(wishes)
  const sure = useSure(wishes)
  const order = useCommand(['wishes', 'year'], {
    mutationFn: (ids: string[]) => ask(api.PUT('/api/planning/wishes/order', { body: { ids } })),
  })
  const move = (from: number, to: number) => {
    const ids = wishes.map((w) => w.id)
    const [moved] = ids.splice(from, 1)
    if (moved) order.mutate([...ids.slice(0, to), moved, ...ids.slice(to)])
  }
  return (
    <Section title="What we want in hand">
      {wishes.length === 0 && (
        <Empty>
          Nothing yet. Say what you want to have this winter, a tea or a few bottles: what is on the shelf is
          counted first, then the walks are planned that bring the rest.
        </Empty>
      )}
      <ProblemNotice error={year.error ?? order.error} />
      <ol>
        {wishes.map((w, i) => (
          <Row
            key={w.id}
            wish={w}
            granted={year.data?.wishes.find((g) => g.wish === w.id)}
            sure={sure.data?.wishes.find((s) => s.wish === w.id)?.sure}
            first={i === 0}
            last={i === wishes.length - 1}
            onMove={(by) => move(i, i + by)}
          />
        ))}
      </ol>
      {wishes.length > 1 && (
        <p className="text-soft mt-2 text-sm">
          The first is met before the second, and so on. Where it costs little a quarter more is planned: some
          of it will fail.
        </p>
      )}
    </Section>
  )
}

function Row({
  wish,
  granted,
  sure,
  first,
  last,
  onMove,
}: {
  wish: WishView
  granted: Granted | undefined
  sure: number | undefined
  first: boolean
  last: boolean
  onMove: (by: number) => void
}) {
  const [open, setOpen] = useState(false)
  const giveUp = useCommand(['wishes', 'year'], {
    mutationFn: () => ask(api.DELETE('/api/planning/wishes/{id}', { params: { path: { id: wish.id } } })),
  })
  const mind = 'min-h-9 min-w-9 text-sm underline disabled:opacity-40'
  return (
    <li className="border-line border-b py-3">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="least-56 flex-1">
          <strong className="text-lg">{wish.words}</strong>
          <span className="text-soft block">
            {amountOf(wish.amount, wish.product)}, {dayMonth(wish.from)} to {date(wish.until)}
            {wish.person && `, for ${wish.person}`}
          </span>
        </div>
        <Only deed="record">
          <span className="flex gap-1">
            <button type="button" className={mind} disabled={first} onClick={() => onMove(-1)}>
              <span aria-hidden>↑</span>
              <span className="sr-only">{wish.words}: more important</span>
            </button>
            <button type="button" className={mind} disabled={last} onClick={() => onMove(1)}>
              <span aria-hidden>↓</span>
              <span className="sr-only">{wish.words}: less important</span>
            </button>
            <button type="button" className={mind} onClick={() => setOpen(!open)} aria-expanded={open}>
              change
            </button>
            <button type="button" className={mind} onClick={() => giveUp.mutate()}>
              give up
            </button>
          </span>
        </Only>
      </div>
      <ProblemNotice error={giveUp.error} />
      {open ? <WishForm wish={wish} onDone={() => setOpen(false)} /> : <Met {...{ wish, granted, sure }} />}
    </li>
  )
}

/** How much of it there will be, from where, and how sure that is. */
function Met({
  wish,
  granted,
  sure,
}: {
  wish: WishView
  granted: Granted | undefined
  sure: number | undefined
}) {
  if (!granted) return <p className="text-soft">Being reckoned</p>
  const fell = granted.metBefore != null && granted.metBefore - granted.met > 0.02
  return (
    <>
      <div className="mt-1 flex flex-wrap items-center gap-x-3">
        <span className="border-line h-4 w-32 shrink-0 border-2 sm:w-40" aria-hidden>
          <span
            className={`block h-full ${granted.met >= 0.999 ? 'bg-water' : 'bg-amber'}`}
            style={{ width: `${granted.met * 100}%` }}
          />
        </span>
        <strong className="whitespace-nowrap">
          {granted.met >= 0.999 ? 'all of it' : percent(granted.met)}
        </strong>
        {sure !== undefined && granted.met > 0.001 && (
          <span className="text-soft text-sm">in full in {Math.round(sure * 100)} of 100 seasons</span>
        )}
      </div>
      {fell && (
        <p className="border-amber bg-amber-pale mt-1 border-l-8 px-3 py-1">
          By the plan you go by it was {percent(granted.metBefore ?? 0)}.
        </p>
      )}
      <ul className="text-sm">
        {granted.from.map((f, i) => (
          <li key={i}>
            {f.kind === 'THERE' && (
              <>
                <Link className="underline" to={`/shelf/${f.of ?? ''}`}>
                  {f.what}
                </Link>
                : {amountOf(f.amount, wish.product)}
              </>
            )}
            {f.kind === 'PICKED' &&
              `picked from ${dayMonth(f.on)}: ${f.what}, ${about(f.driedG ?? 0)} dried, ready by ${dayMonth(f.readyOn)}`}
            {f.kind === 'BOUGHT' &&
              `to buy: ${f.what}, ${about(f.driedG ?? 0)} dried, by ${dayMonth(f.makeOn)}`}
          </li>
        ))}
      </ul>
      {granted.takes && <p className="text-sm">It takes {takes(granted.takes)}.</p>}
      <Missing wish={wish} granted={granted} />
      {granted.why.map((w) => (
        <p key={w} className="text-sm">
          {WHY[w]}
        </p>
      ))}
      {wish.herbs
        .filter((h) => h.against)
        .map((h) => (
          <p key={h.taxonId + h.part} className="border-madder mt-1 border-l-8 px-3 text-sm">
            Not of {h.commonName}: {h.against}.
          </p>
        ))}
    </>
  )
}

/** What is poured and melted for it, beside the plant. */
function takes(t: NonNullable<Granted['takes']>) {
  return [
    t.spiritMl > 0 && `${figure(t.spiritMl, 2)} mL of spirit at ${figure(t.spiritPercent, 2)} %`,
    t.oilMl > 0 && `${figure(t.oilMl, 2)} mL of oil`,
    t.waxG > 0 && `${figure(t.waxG, 2)} g of wax`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** What can still be done where it falls short. */
function Missing({ wish, granted }: { wish: WishView; granted: Granted }) {
  const buy = useCommand(['wishes', 'year'], {
    mutationFn: () => {
      const { id, words, product, amount, from, until, evenly, personId, herbs } = wish
      return ask(
        api.PUT('/api/planning/wishes/{id}', {
          params: { path: { id }, header: ifMatch(wish.version) },
          body: {
            id,
            words,
            product,
            amount,
            from,
            until,
            evenly,
            mayBuy: true,
            ...(personId ? { personId } : {}),
            herbs: herbs.map((h) => ({ taxonId: h.taxonId, part: h.part })),
          },
        }),
      )
    },
  })
  const missing = granted.wanted * (1 - granted.met)
  if (granted.met >= 0.999 || granted.why.includes('NOTHING_ALLOWED')) return null
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-sm">
      <strong>
        Missing: {amountOf(missing, wish.product)}
        {granted.missingDriedG != null &&
          wish.product !== 'DRIED' &&
          `, ${about(granted.missingDriedG)} of dried herb`}
        .
      </strong>
      {granted.still.map((s) => (
        <span key={s.standId + s.part}>
          There is still{' '}
          <Link className="underline" to={`/field/stands/${s.standId}`}>
            {s.commonName}, {PART[s.part].toLowerCase()}
          </Link>
          , until {dayMonth(s.until)}.
        </span>
      ))}
      {!wish.mayBuy && (
        <Only deed="record">
          <button type="button" className="min-h-9 underline" onClick={() => buy.mutate()}>
            Let the rest be bought
          </button>
        </Only>
      )}
      <ProblemNotice error={buy.error} />
    </div>
  )
}

function TheYear({ wishes }: { wishes: WishView[] }) {
  const year = useYear(wishes)
  const keep = useCommand(['year'], { mutationFn: () => ask(api.POST('/api/planning/year/keep')) })
  return (
    <Section title="The year">
      <Loaded query={year}>
        {(y) => (
          <>
            <Weeks year={y} wishes={wishes} />
            <ProblemNotice error={keep.error} />
            {y.weeks.length > 0 && (
              <p className="mt-3">
                <OnPaper href="/api/planning/year.pdf">On paper</OnPaper>
              </p>
            )}
            <Only deed="record">
              <div className="mt-3 flex flex-wrap items-center gap-3">
                <Button disabled={keep.isPending} onClick={() => keep.mutate()}>
                  Go by this plan
                </Button>
                <span className="text-soft text-sm">
                  {y.keptOn
                    ? `The house goes by the plan of ${date(y.keptOn)}; later ones stay near it and say what changed.`
                    : 'Later plans then stay near it and say what changed.'}
                </span>
              </div>
            </Only>
          </>
        )}
      </Loaded>
    </Section>
  )
}

function Means({ wishes }: { wishes: WishView[] }) {
  const year = useYear(wishes)
  return year.data ? (
    <>
      <Bears year={year.data} />
      <MeansForm year={year.data} />
      <Materials year={year.data} />
      <Helps wishes={wishes} year={year.data} />
    </>
  ) : null
}

const MATERIAL: Record<YearView['materials'][number]['material'], [string, string]> = {
  ALCOHOL: ['Spirit, reckoned as pure alcohol', 'mL'],
  OIL: ['Oil', 'mL'],
  WAX: ['Wax', 'g'],
  BOTTLES: ['Bottles, by what they hold', 'mL'],
}

/** What all of it takes beside plants, against what is there. */
function Materials({ year }: { year: YearView }) {
  if (year.materials.length === 0) return null
  return (
    <Section title="What all of it takes">
      <table className="w-full text-left">
        <thead className="text-soft text-sm">
          <tr>
            <th className="font-medium">What</th>
            <th className="text-right font-medium">takes</th>
            <th className="text-right font-medium">there</th>
          </tr>
        </thead>
        <tbody>
          {year.materials.map((m) => {
            const [name, unit] = MATERIAL[m.material]
            const short = m.takes - m.there
            return (
              <tr key={m.material} className="border-line border-t align-top">
                <th className="py-1 font-normal" scope="row">
                  {name}
                  {short > 0.5 && (
                    <span className="text-madder block text-sm font-medium">
                      {figure(short, 2)} {unit} too little
                    </span>
                  )}
                </th>
                <td className="py-1 text-right whitespace-nowrap">
                  {figure(m.takes, 2)} {unit}
                </td>
                <td className="py-1 text-right whitespace-nowrap">
                  {figure(m.there, 2)} {unit}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </Section>
  )
}

function Helps({ wishes, year }: { wishes: WishView[]; year: YearView }) {
  const helps = useHelps(wishes)
  const name = (id: string | null | undefined) => wishes.find((w) => w.id === id)?.words ?? ''
  if (year.wishes.every((g) => g.met > 0.995)) return null
  return (
    <Section title="What would help">
      <Loaded query={helps}>
        {(all) =>
          all.length === 0 ? (
            <Empty>
              Neither one more screen nor one more hour a week: what is missing grows nowhere you know of.
            </Empty>
          ) : (
            <ul>
              {all.map((h, i) => (
                <li key={i} className="border-line border-b py-1">
                  <strong>
                    {h.kind === 'SCREEN' && 'One more screen of half a square metre'}
                    {h.kind === 'HOUR' && 'One more hour a week'}
                    {h.kind === 'WITHOUT' && `Giving up: ${name(h.of)}`}
                  </strong>
                  {h.gains.map((g) => {
                    const wish = wishes.find((w) => w.id === g.wish)
                    return wish ? (
                      <span key={g.wish} className="block text-sm">
                        {wish.words}: {amountOf(g.amount, wish.product)} more
                      </span>
                    ) : null
                  })}
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
    </Section>
  )
}
