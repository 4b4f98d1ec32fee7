import type { ComponentType } from 'react'

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

export const KINDS: Kind[] = [
  {
    path: 'tincture',
    group: 'In spirit',
    name: 'Tincture',
    says: 'herb weighed into spirit',
    school: 'WEIGHT_TO_VOLUME',
    page: async () => (await import('./Tincture')).Tincture,
  },
  {
    path: 'fill-and-cover',
    group: 'In spirit',
    name: 'Fill and cover',
    says: 'a jar filled by eye; every figure a range',
    school: 'FILL_AND_COVER',
    page: async () => (await import('./FillAndCover')).FillAndCover,
  },
  {
    path: 'percolation',
    group: 'In spirit',
    name: 'Percolation',
    says: 'spirit dripped through a powder',
    school: 'PERCOLATION',
    page: async () => (await import('./Percolation')).Percolation,
  },
  {
    path: 'formula',
    group: 'In spirit',
    name: 'Formula',
    says: 'several tinctures into one, and into bottles',
    page: async () => (await import('./Formula')).Formula,
  },
  {
    path: 'joined',
    group: 'In spirit',
    name: 'Two extractions',
    says: 'a tincture and a decoction joined',
    page: async () => (await import('./Joined')).Joined,
  },
  {
    path: 'steeped',
    group: 'In another liquid',
    name: 'Vinegar, honey, glycerine, wine',
    says: 'herbal vinegar, oxymel, glycerite',
    page: async () => (await import('./Steeped')).Steeped,
  },
  {
    path: 'tea',
    group: 'In water',
    name: 'Tea',
    says: 'one pot, infused, simmered or cold',
    page: async () => (await import('./Tea')).Tea,
  },
  {
    path: 'wash',
    group: 'In water',
    name: 'Wash, bath, gargle',
    says: 'compress and steam as well',
    page: async () => (await import('./Wash')).Wash,
  },
  {
    path: 'syrup',
    group: 'In water',
    name: 'Syrup',
    says: 'a decoction kept by sugar or honey',
    page: async () => (await import('./Syrup')).Syrup,
  },
  {
    path: 'cubes',
    group: 'In water',
    name: 'Ice cubes',
    says: 'a tea frozen in portions',
    page: async () => (await import('./Cubes')).Cubes,
  },
  {
    path: 'oil',
    group: 'Oil and skin',
    name: 'Infused oil',
    says: 'herb in a carrier oil',
    page: async () => (await import('./Oil')).Oil,
  },
  {
    path: 'evaporated',
    group: 'Oil and skin',
    name: 'A decoction into oil',
    says: 'the water boiled away',
    page: async () => (await import('./Evaporated')).Evaporated,
  },
  {
    path: 'salve',
    group: 'Oil and skin',
    name: 'Salve',
    says: 'oil and wax, into tins',
    page: async () => (await import('./Salve')).Salve,
  },
  {
    path: 'cream',
    group: 'Oil and skin',
    name: 'Cream',
    says: 'water and oil; keeps for days',
    page: async () => (await import('./Cream')).Cream,
  },
  {
    path: 'poultice',
    group: 'Oil and skin',
    name: 'Poultice',
    says: 'crushed herb on a cloth',
    page: async () => (await import('./Poultice')).Poultice,
  },
  {
    path: 'dry',
    group: 'Dry, salted, frozen',
    name: 'Tea mixture, powder',
    says: 'several jars by parts, or ground',
    page: async () => (await import('./Dry')).Dry,
  },
  {
    path: 'kept',
    group: 'Dry, salted, frozen',
    name: 'Salted or frozen',
    says: 'fresh herb kept without drying',
    page: async () => (await import('./Kept')).Kept,
  },
]

/** The kinds by what they are made in, in the order above. */
export const GROUPS = [...new Set(KINDS.map((k) => k.group))].map((name) => ({
  name,
  kinds: KINDS.filter((k) => k.group === name),
}))
