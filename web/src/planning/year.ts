import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { PART, PRODUCT } from '../ui/dictionary'
import { capital, figure } from '../ui/words'

export type WishView = Schemas['WishView']
export type YearView = Schemas['PlannedYearView']
export type Granted = YearView['wishes'][number]
export type Product = WishView['product']

export const useWishes = () =>
  useQuery({ queryKey: ['wishes'], queryFn: () => ask(api.GET('/api/planning/wishes')) })

export const useOffers = () =>
  useQuery({
    queryKey: ['taxa', 'offers'],
    queryFn: () => ask(api.GET('/api/planning/wishes/offers')),
    staleTime: 600_000,
  })

/** What was used in the past year and is not wished for yet. */
export const useProposals = () =>
  useQuery({
    queryKey: ['wishes', 'proposals'],
    queryFn: () => ask(api.GET('/api/planning/wishes/proposals')),
  })

/** For whoever has gathered nothing yet; empty afterwards. */
export const useFirstYear = () =>
  useQuery({
    queryKey: ['year', 'first'],
    queryFn: () => ask(api.GET('/api/planning/year/first')),
  })

/** Asked for by what is wished: an answer to other wishes, that is still on its way, is not taken for this one's. */
const asked = (wishes: WishView[]) => wishes.map((w) => `${w.id} ${w.version}`).join()

/** Planned anew by the server whenever something has changed. */
export const useYear = (wishes: WishView[]) =>
  useQuery({
    queryKey: ['year', 'plan', asked(wishes)],
    queryFn: () => ask(api.GET('/api/planning/year')),
    enabled: wishes.length > 0,
    placeholderData: keepPreviousData,
  })

export const useSure = (wishes: WishView[]) =>
  useQuery({
    queryKey: ['year', 'sure', asked(wishes)],
    queryFn: () => ask(api.GET('/api/planning/year/sure')),
    enabled: wishes.length > 0,
    placeholderData: keepPreviousData,
  })

export const useHelps = (wishes: WishView[]) =>
  useQuery({
    queryKey: ['year', 'helps', asked(wishes)],
    queryFn: () => ask(api.GET('/api/planning/year/helps')),
    enabled: wishes.length > 0,
    placeholderData: keepPreviousData,
  })

/** Why a wish is not met in full, and what can be done. */
export const WHY: Record<Granted['why'][number], string> = {
  NOTHING_ALLOWED: 'Nobody may have it of these plants: choose another.',
  NO_STAND: 'No stand of it that is certain, may be picked, and of which it is known how much grows there.',
  TOO_LATE: 'It can not be picked, dried and made by then any more.',
  STANDS: 'What grows there, less what is left standing, is not enough.',
  RACK: 'The rack is full in the weeks in which it could be picked.',
  HOURS: 'The hours are full in the weeks in which it could be picked.',
  KEEPING: 'It would be past its date before it is used: it must be picked later.',
}

/** As a sentence begins: "Tea of lime, flower". */
export const called = (product: Product, herbs: { commonName: string; part: keyof typeof PART }[]) =>
  `${capital(PRODUCT[product].name)} of ${herbs.map((h) => `${h.commonName}, ${PART[h.part].toLowerCase()}`).join(' or ')}`

export const percent = (share: number) => {
  const rounded = Math.round(share * 100)
  // Nearly all is not all, and a little is not nothing.
  if (rounded === 100 && share < 0.999) return '99 %'
  if (rounded === 0 && share > 0.001) return '1 %'
  return `${rounded} %`
}

/** Of a basket: nobody weighs to the gram what is still to be picked. */
export const about = (g: number) =>
  g >= 1000
    ? `${figure(Math.round(g / 100) / 10)} kg`
    : `${g >= 100 ? Math.round(g / 10) * 10 : Math.round(g)} g`

export const amountOf = (amount: number, product: Product) => `${figure(amount)} ${PRODUCT[product].unit}`
