import type { Schemas } from '../api/client'
import { numberOf, rangeOf } from '../ui/read'
import { figure, range } from '../ui/words'

type Part = Schemas['PartView']
type File = Schemas['PartFile']

/** A figure of a part: a line on its page, and what is typed into it. */
interface Row {
  name: string
  label: string
  kind: 'number' | 'range'
  unit?: string
  written: (p: Part) => string
  shown: (p: Part) => string
  set: (typed: string) => Partial<File>
}

type NumberField =
  'sharePerPlant' | 'shareOfStand' | 'leastAgeYears' | 'dryAtC' | 'storageMonths' | 'ageingMonths'
type RangeField = 'degreeDays' | 'freshMoisture' | 'bulkDensityGPerMl' | 'freshBulkDensityGPerMl'

const one = (
  field: NumberField,
  name: string,
  label: string,
  shown: (value: number) => string,
  none: string,
  unit?: string,
): Row => ({
  name,
  label,
  kind: 'number',
  ...(unit ? { unit } : {}),
  written: (p) => (p[field] == null ? '' : String(p[field])),
  shown: (p) => (p[field] == null ? none : shown(p[field])),
  // A share has to be said; NaN is refused at its field.
  set: (typed) => ({ [field]: numberOf(typed) ?? (field.startsWith('share') ? NaN : undefined) }),
})

const two = (field: RangeField, name: string, label: string, unit: string, times = 1): Row => ({
  name,
  label,
  kind: 'range',
  written: (p) => (p[field] ? `${p[field].low} to ${p[field].high}` : ''),
  shown: (p) => (p[field] ? `${range(p[field], times)} ${unit}` : 'not known'),
  set: (typed) => ({ [field]: rangeOf(typed) }),
})

const percent = (value: number) => `${figure(value * 100)} %`

/** Every field of a part, one entry each: its line, or what the page says it with. One that is forgotten does not compile. */
const FIELDS: Record<keyof File, Row | 'IN_WORDS'> = {
  part: 'IN_WORDS',
  routes: 'IN_WORDS',
  moment: 'IN_WORDS',
  stages: 'IN_WORDS',
  months: 'IN_WORDS',
  frost: 'IN_WORDS',
  method: 'IN_WORDS',
  tools: 'IN_WORDS',
  aromatic: 'IN_WORDS',
  sharePerPlant: one('sharePerPlant', 'of each plant', 'share of each plant', percent, ''),
  shareOfStand: one('shareOfStand', 'of the stand', 'share of the stand', percent, ''),
  leastAgeYears: one(
    'leastAgeYears',
    'of plants from',
    'least age',
    (years) => `${years} years`,
    'any age',
    'years',
  ),
  degreeDays: two('degreeDays', 'warmth since January', 'warmth', 'degree-days'),
  dryAtC: one('dryAtC', 'dry at', 'drying temperature', (c) => `${figure(c)} °C`, 'not known', '°C'),
  freshMoisture: two('freshMoisture', 'moisture, fresh', 'fresh moisture', '%', 100),
  freshBulkDensityGPerMl: two('freshBulkDensityGPerMl', 'fresh and cut weighs', 'fresh bulk density', 'g/mL'),
  bulkDensityGPerMl: two('bulkDensityGPerMl', 'dried and cut weighs', 'bulk density', 'g/mL'),
  storageMonths: one(
    'storageMonths',
    'dried it keeps',
    'months in the jar',
    (months) => `${months} months`,
    'as its kind does',
    'months',
  ),
  ageingMonths: one(
    'ageingMonths',
    'rests before use',
    'resting time',
    (months) => `${months} months`,
    'not at all',
    'months',
  ),
  spirit: 'IN_WORDS',
  tea: 'IN_WORDS',
  doses: 'IN_WORDS',
  contents: 'IN_WORDS',
}

export const ROWS = Object.values(FIELDS).filter((field) => field !== 'IN_WORDS')
