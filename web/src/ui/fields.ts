/** What the server calls a field, as people call it. */
const WORDS: Record<string, string> = {
  massG: 'weight',
  freshG: 'weight on the rack',
  bornOn: 'day of birth',
  weightKg: 'weight',
  heightCm: 'height',
  yieldAmount: 'what came out',
  capacityMl: 'what each holds',
  strengthPercent: 'strength',
  menstruumPercent: 'strength',
  relativeHumidity: 'humidity',
  temperatureC: 'temperature',
  storageTemperatureC: 'temperature where it is kept',
  startedOn: 'day it was begun',
  startOn: 'first day',
  on: 'day',
  at: 'time',
  shareTaken: 'share of the stand',
  perDose: 'each dose',
  perDoseMl: 'each dose',
  startFraction: 'what it begins with',
  endFraction: 'what it ends with',
  everyHours: 'hours apart',
  toHours: 'hours apart at most',
  timesPerDay: 'times a day',
  courseDays: 'days of the course',
  driedGPerDay: 'dried herb a day',
  harvestedOn: 'day it was gathered',
  bestBefore: 'best before',
  lotId: 'what it is taken from',
  taxonId: 'plant',
  herbs: 'herb',
  oils: 'oil',
  parts: 'part',
  containers: 'bottles',
  tins: 'tins',
  spirits: 'spirit',
  essentialOils: 'essential oil',
  username: 'name to sign in with',
  displayName: 'name',
  seen: 'what was seen',
  comeBack: 'coming back',
  aboutId: 'what it is about',
}

const one = (name: string) =>
  WORDS[name] ??
  // The name of a value, as PREGNANCY, is no camel.
  (/^[A-Z_]+$/.test(name) ? name.replaceAll('_', ' ').toLowerCase() : name)
    .replace(/(Ml|G|Kg|Cm|C|Percent|Fraction)$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase()
    .trim()

/** `herbs[0].massG` is "weight of herb 1". */
export function fieldWords(field: string): string {
  const steps = field.split('.').map((step) => {
    const match = /^(\w+)\[(\d+)\]$/.exec(step)
    return match ? `${one(match[1] ?? '')} ${Number(match[2]) + 1}` : one(step)
  })
  return steps.toReversed().join(' of ')
}
