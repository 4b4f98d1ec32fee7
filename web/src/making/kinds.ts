import type { ComponentType } from 'react'
import type { BatchRequest } from './useBench'

/** A preparation as the bench offers it; a new kind is one entry here and one file beside it. */
export interface Kind {
  path: string
  group: string
  name: string
  says: string
  /** The school of measuring that it is; the household's own is marked. */
  school?: 'WEIGHT_TO_VOLUME' | 'FILL_AND_COVER' | 'PERCOLATION'
  page: () => Promise<ComponentType>
}

/** Every kind that the server makes, in the order of the page: one that is missing here does not compile. */
const OF: Record<BatchRequest['kind'], Kind> = {
  TINCTURE: {
    path: 'tincture',
    group: 'In spirit',
    name: 'Tincture',
    says: 'herb weighed into spirit',
    school: 'WEIGHT_TO_VOLUME',
    page: async () => (await import('./tincture/Tincture')).Tincture,
  },
  FILL_AND_COVER: {
    path: 'fill-and-cover',
    group: 'In spirit',
    name: 'Fill and cover',
    says: 'a jar filled by eye; every figure a range',
    school: 'FILL_AND_COVER',
    page: async () => (await import('./tincture/FillAndCover')).FillAndCover,
  },
  PERCOLATION: {
    path: 'percolation',
    group: 'In spirit',
    name: 'Percolation',
    says: 'spirit dripped through a powder',
    school: 'PERCOLATION',
    page: async () => (await import('./tincture/Percolation')).Percolation,
  },
  FORMULA: {
    path: 'formula',
    group: 'In spirit',
    name: 'Formula',
    says: 'several tinctures into one, and into bottles',
    page: async () => (await import('./tincture/Formula')).Formula,
  },
  JOINED: {
    path: 'joined',
    group: 'In spirit',
    name: 'Two extractions',
    says: 'a tincture and a decoction joined',
    page: async () => (await import('./tincture/Joined')).Joined,
  },
  STEEPED: {
    path: 'steeped',
    group: 'In another liquid',
    name: 'Vinegar, honey, glycerine, wine',
    says: 'herbal vinegar, oxymel, glycerite',
    page: async () => (await import('./tincture/Steeped')).Steeped,
  },
  TEA: {
    path: 'tea',
    group: 'In water',
    name: 'Tea',
    says: 'one pot, infused, simmered or cold',
    page: async () => (await import('./tea/Tea')).Tea,
  },
  WASH: {
    path: 'wash',
    group: 'In water',
    name: 'Wash, bath, gargle',
    says: 'compress and steam as well',
    page: async () => (await import('./tea/Wash')).Wash,
  },
  SYRUP: {
    path: 'syrup',
    group: 'In water',
    name: 'Syrup',
    says: 'a decoction kept by sugar or honey',
    page: async () => (await import('./tea/Syrup')).Syrup,
  },
  ICE_CUBES: {
    path: 'cubes',
    group: 'In water',
    name: 'Ice cubes',
    says: 'a tea frozen in portions',
    page: async () => (await import('./tea/Cubes')).Cubes,
  },
  INFUSED_OIL: {
    path: 'oil',
    group: 'Oil and skin',
    name: 'Infused oil',
    says: 'herb in a carrier oil',
    page: async () => (await import('./oil/Oil')).Oil,
  },
  EVAPORATED_OIL: {
    path: 'evaporated',
    group: 'Oil and skin',
    name: 'A decoction into oil',
    says: 'the water boiled away',
    page: async () => (await import('./oil/Evaporated')).Evaporated,
  },
  SALVE: {
    path: 'salve',
    group: 'Oil and skin',
    name: 'Salve',
    says: 'oil and wax, into tins',
    page: async () => (await import('./salve/Salve')).Salve,
  },
  CREAM: {
    path: 'cream',
    group: 'Oil and skin',
    name: 'Cream',
    says: 'water and oil; keeps for days',
    page: async () => (await import('./salve/Cream')).Cream,
  },
  POULTICE: {
    path: 'poultice',
    group: 'Oil and skin',
    name: 'Poultice',
    says: 'crushed herb on a cloth',
    page: async () => (await import('./salve/Poultice')).Poultice,
  },
  DRY: {
    path: 'dry',
    group: 'Dry, salted, frozen',
    name: 'Tea mixture, powder',
    says: 'several jars by parts, or ground',
    page: async () => (await import('./dry/Dry')).Dry,
  },
  KEPT: {
    path: 'kept',
    group: 'Dry, salted, frozen',
    name: 'Salted or frozen',
    says: 'fresh herb kept without drying',
    page: async () => (await import('./kept/Kept')).Kept,
  },
}

export const KINDS = Object.values(OF)

/** The kinds by what they are made in, in the order above. */
export const GROUPS = [...new Set(KINDS.map((k) => k.group))].map((name) => ({
  name,
  kinds: KINDS.filter((k) => k.group === name),
}))
