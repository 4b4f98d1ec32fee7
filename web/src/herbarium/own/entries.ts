import type { Schemas } from '../../api/client'
import {
  CONDITION,
  CONSTITUENT,
  HAZARD,
  MEDICINE,
  PART,
  POTENCY,
  ROUTE,
  STAGE,
  TEA_METHOD,
  choicesOf,
  keysOf,
  type Stage,
} from '../../ui/dictionary'
import { number } from '../../ui/read'
import { figure } from '../../ui/words'
import { withPart } from '../Edit'
import { STAGES } from '../stages'
import type { Entry, Field } from './fields'
import { SOURCE, withSource } from './source'

type Card = Schemas['CardFile']
type TaxonView = Schemas['TaxonView']
type Part = Schemas['PartFile']
type Caution = Schemas['CautionFile']
type Use = Schemas['UseFile']
type Dose = Schemas['DoseFile']

const share = (typed: string) => number(typed) / 100
const without = <T>(list: T[], i: number) => list.filter((_, j) => j !== i)

const partsThere = (t: TaxonView) =>
  choicesOf(
    PART,
    t.parts.map((p) => p.part),
  )
const PART_OF_IT: Field = { kind: 'choice', name: 'part', label: 'Of which part', choices: partsThere }

const part: Entry = {
  one: 'a part',
  fields: [
    {
      kind: 'choice',
      name: 'part',
      label: 'Part',
      choices: (t) =>
        choicesOf(
          PART,
          keysOf(PART).filter((p) => !t.parts.some((x) => x.part === p)),
        ),
    },
    { kind: 'text', name: 'moment', label: 'When it is best', hint: 'as buds before they open' },
    {
      kind: 'text',
      name: 'method',
      label: 'How it is taken',
      hint: 'as cut above the second pair of leaves',
    },
    { kind: 'text', name: 'tools', label: 'Tools', optional: true },
    { kind: 'number', name: 'sharePerPlant', label: 'Of each plant, at most', unit: '%' },
    { kind: 'number', name: 'shareOfStand', label: 'Of the stand in a year, at most', unit: '%' },
    {
      kind: 'toggles',
      name: 'stages',
      label: 'At which stage',
      choices: (t) => choicesOf(STAGE, [...STAGES[t.group]] as Stage[]),
    },
    { kind: 'months', name: 'months', label: 'Gathered in' },
    { kind: 'toggles', name: 'routes', label: 'For what', choices: () => choicesOf(ROUTE) },
  ],
  at: (t) => `parts[${t.parts.length}]`,
  add: (c, v) => ({
    ...c,
    parts: [
      ...(c.parts ?? []),
      {
        part: v.text('part') as Part['part'],
        moment: v.text('moment'),
        stages: v.list<Stage>('stages'),
        months: v.months('months'),
        sharePerPlant: share(v.text('sharePerPlant')),
        shareOfStand: share(v.text('shareOfStand')),
        routes: v.list<Part['routes'][number]>('routes'),
        method: v.text('method'),
        ...(v.empty('tools') ? {} : { tools: v.text('tools') }),
      },
    ],
  }),
  there: (c) =>
    (c.parts ?? []).map((p, i, all) => ({
      words: `${PART[p.part]}, ${p.routes.map((r) => ROUTE[r]).join(' and ')}`,
      without: { ...c, parts: without(all, i) },
    })),
}

const use: Entry = {
  one: 'a use',
  fields: [
    { kind: 'text', name: 'name', label: 'What it is used for', hint: 'as dry cough, rough hands' },
    { kind: 'choice', name: 'route', label: 'How', choices: () => choicesOf(ROUTE) },
    { kind: 'choice', name: 'potency', label: 'How strong it is', choices: () => choicesOf(POTENCY) },
    { kind: 'toggles', name: 'parts', label: 'With which part', optional: true, choices: partsThere },
    ...SOURCE,
  ],
  at: (t) => `uses[${t.uses.length}]`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    const added: Use = {
      name: v.text('name'),
      route: v.text('route') as Use['route'],
      potency: v.text('potency') as NonNullable<Use['potency']>,
      ...(v.empty('parts') ? {} : { parts: v.list<Part['part']>('parts') }),
      source,
    }
    return { ...card, uses: [...(card.uses ?? []), added] }
  },
  there: (c) =>
    (c.uses ?? []).map((u, i, all) => ({
      words: `${u.name}, ${ROUTE[u.route]}`,
      without: { ...c, uses: without(all, i) },
    })),
}

const dose: Entry = {
  one: 'a dose',
  fields: [
    PART_OF_IT,
    {
      kind: 'choice',
      name: 'use',
      label: 'For',
      choices: (t) => t.uses.filter((u) => !u.grave).map((u) => ({ value: u.name, label: u.name })),
    },
    { kind: 'choice', name: 'route', label: 'How', choices: () => choicesOf(ROUTE) },
    { kind: 'text', name: 'form', label: 'As what', hint: 'as tea, decoction, tincture' },
    { kind: 'number', name: 'lowGPerDay', label: 'Dried herb a day, from', unit: 'g' },
    { kind: 'number', name: 'highGPerDay', label: 'to', unit: 'g' },
    { kind: 'number', name: 'fromAgeYears', label: 'For people from', unit: 'years' },
    { kind: 'number', name: 'mostDays', label: 'Not longer than', unit: 'days', optional: true },
    ...SOURCE,
  ],
  at: (t) => `parts[${t.parts.length}].doses`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    const added: Dose = {
      use: v.text('use'),
      route: v.text('route') as Dose['route'],
      form: v.text('form'),
      fromAgeYears: number(v.text('fromAgeYears')),
      lowGPerDay: number(v.text('lowGPerDay')),
      highGPerDay: number(v.text('highGPerDay')),
      ...(v.empty('mostDays') ? {} : { mostDays: number(v.text('mostDays')) }),
      source,
    }
    const of = card.parts?.find((p) => p.part === v.text('part'))
    return withPart(card, v.text('part'), { doses: [...(of?.doses ?? []), added] })
  },
  there: (c) =>
    (c.parts ?? []).flatMap((p) =>
      (p.doses ?? []).map((d, i, all) => ({
        words: `${PART[p.part]}, ${d.form} for ${d.use}: ${figure(d.lowGPerDay)} to ${figure(d.highGPerDay)} g a day from ${d.fromAgeYears} years`,
        without: withPart(c, p.part, { doses: without(all, i) }),
      })),
    ),
}

const tea: Entry = {
  one: 'how tea is made of it',
  fields: [
    PART_OF_IT,
    { kind: 'choice', name: 'method', label: 'Method', choices: () => choicesOf(TEA_METHOD) },
    { kind: 'number', name: 'minutes', label: 'For', unit: 'minutes' },
    { kind: 'number', name: 'gramsPerCup', label: 'Dried herb to a cup', unit: 'g' },
    { kind: 'number', name: 'cupMl', label: 'A cup of', unit: 'mL' },
    ...SOURCE,
  ],
  at: (t) => `parts[${t.parts.length}].tea`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    return withPart(card, v.text('part'), {
      tea: {
        method: v.text('method'),
        minutes: number(v.text('minutes')),
        gramsPerCup: number(v.text('gramsPerCup')),
        cupMl: number(v.text('cupMl')),
        source,
      },
    })
  },
  there: (c) =>
    (c.parts ?? []).flatMap((p) =>
      p.tea
        ? [
            {
              words: `${PART[p.part]}: ${figure(p.tea.gramsPerCup)} g to ${figure(p.tea.cupMl)} mL, ${figure(p.tea.minutes)} minutes`,
              without: { ...c, parts: (c.parts ?? []).map((x) => (x === p ? leftOut(x, 'tea') : x)) },
            },
          ]
        : [],
    ),
}

const tincture: Entry = {
  one: 'how a tincture is made of it',
  fields: [
    PART_OF_IT,
    { kind: 'number', name: 'ratio', label: 'Spirit to one part of herb', hint: 'as 5 for 1:5' },
    { kind: 'number', name: 'menstruumPercent', label: 'Spirit of', unit: '% vol' },
    ...SOURCE,
  ],
  at: (t) => `parts[${t.parts.length}].spirit`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    return withPart(card, v.text('part'), {
      spirit: {
        ratio: number(v.text('ratio')),
        menstruumPercent: number(v.text('menstruumPercent')),
        source,
      },
    })
  },
  there: (c) =>
    (c.parts ?? []).flatMap((p) =>
      p.spirit
        ? [
            {
              words: `${PART[p.part]}: 1:${figure(p.spirit.ratio)} in ${figure(p.spirit.menstruumPercent)} % vol`,
              without: { ...c, parts: (c.parts ?? []).map((x) => (x === p ? leftOut(x, 'spirit') : x)) },
            },
          ]
        : [],
    ),
}

const leftOut = (p: Part, field: 'tea' | 'spirit') =>
  Object.fromEntries(Object.entries(p).filter(([name]) => name !== field)) as unknown as Part

const food: Entry = {
  one: 'a food',
  fields: [
    { kind: 'text', name: 'what', label: 'What is eaten', hint: 'as young leaves in salad' },
    { kind: 'text', name: 'limit', label: 'How much at most', hint: 'as a handful, now and then' },
    ...SOURCE,
  ],
  at: (t) => `foods[${t.foods.length}]`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    return {
      ...card,
      foods: [...(card.foods ?? []), { what: v.text('what'), limit: v.text('limit'), source }],
    }
  },
  there: (c) =>
    (c.foods ?? []).map((f, i, all) => ({
      words: `${f.what}: ${f.limit}`,
      without: { ...c, foods: without(all, i) },
    })),
}

const FOR_WHOM = {
  PREGNANCY: 'somebody expecting',
  BREAST_FEEDING: 'somebody breast-feeding',
  UNDER_AGE: 'children under an age',
  CONDITION: 'an illness or condition',
  MEDICINE: 'a kind of medicine',
  SUN: 'skin in the sun',
  DRIVING: 'whoever drives',
} as const

/** What is known of it, and what a gate then does. */
const KNOWN = {
  STOP: { label: 'not for them', status: 'PRESENT', severity: 'STOP' },
  WARN: { label: 'with care', status: 'PRESENT', severity: 'WARN' },
  NONE: { label: 'looked up, nothing found', status: 'NONE_FOUND' },
  UNKNOWN: { label: 'looked up, nobody knows', status: 'UNKNOWN' },
} as const satisfies Record<
  string,
  { label: string; status: Caution['status']; severity?: Caution['severity'] }
>

const caution: Entry = {
  one: 'a caution',
  fields: [
    { kind: 'choice', name: 'subject', label: 'For whom', choices: () => choicesOf(FOR_WHOM) },
    {
      kind: 'number',
      name: 'age',
      label: 'Under',
      unit: 'years',
      hint: '18 for all children',
      when: (v) => v.text('subject') === 'UNDER_AGE',
    },
    // Of none in particular it would be said of all of them: "nothing found" must not be.
    {
      kind: 'choice',
      name: 'value',
      label: 'Which',
      choices: (_, v) => (v.text('subject') === 'CONDITION' ? choicesOf(CONDITION) : choicesOf(MEDICINE)),
      when: (v) => ['CONDITION', 'MEDICINE'].includes(v.text('subject')),
    },
    {
      kind: 'choice',
      name: 'known',
      label: 'What is known',
      choices: () => keysOf(KNOWN).map((k) => ({ value: k, label: KNOWN[k].label })),
    },
    { kind: 'text', name: 'effect', label: 'Why, in a few words', hint: 'as safety is not established' },
    ...SOURCE,
  ],
  at: (t) => `cautions[${t.cautions.length}]`,
  add: (c, v) => {
    const [card, source] = withSource(c, v)
    const subject = v.text('subject') as keyof typeof FOR_WHOM
    const { status, ...rest } = KNOWN[v.text('known') as keyof typeof KNOWN]
    const value = subject === 'UNDER_AGE' ? v.text('age') : v.text('value')
    const added: Caution = {
      subject,
      ...(value ? { value } : {}),
      status,
      ...('severity' in rest ? { severity: rest.severity } : {}),
      effect: v.text('effect'),
      source,
    }
    return { ...card, cautions: [...(card.cautions ?? []), added] }
  },
  there: (c) =>
    (c.cautions ?? []).map((x, i, all) => ({
      words: `${x.subject in FOR_WHOM ? FOR_WHOM[x.subject as keyof typeof FOR_WHOM] : x.subject}${
        x.value ? ` (${words(x)})` : ''
      }: ${Object.values(KNOWN).find((k) => k.status === x.status && ('severity' in k ? k.severity : undefined) === x.severity)?.label ?? x.status}`,
      without: { ...c, cautions: without(all, i) },
    })),
}

const words = (c: Caution) =>
  c.subject === 'CONDITION'
    ? CONDITION[c.value as keyof typeof CONDITION]
    : c.subject === 'MEDICINE'
      ? MEDICINE[c.value as keyof typeof MEDICINE]
      : c.value

const hazard: Entry = {
  one: 'a hazard',
  fields: [
    { kind: 'choice', name: 'kind', label: 'How it harms', choices: () => choicesOf(HAZARD) },
    { kind: 'text', name: 'words', label: 'What it does', hint: 'as the sap burns in sunlight' },
  ],
  at: () => 'hazards',
  add: (c, v) => ({ ...c, hazards: { ...c.hazards, [v.text('kind')]: v.text('words') } }),
  there: (c) =>
    Object.entries(c.hazards ?? {}).map(([kind, said]) => ({
      words: `${HAZARD[kind as keyof typeof HAZARD]}: ${said}`,
      without: {
        ...c,
        hazards: Object.fromEntries(Object.entries(c.hazards ?? {}).filter(([k]) => k !== kind)),
      },
    })),
}

const constituent: Entry = {
  one: 'what it holds',
  fields: [
    {
      kind: 'choice',
      name: 'constituent',
      label: 'It holds',
      choices: (t) =>
        choicesOf(
          CONSTITUENT,
          keysOf(CONSTITUENT).filter((c) => !t.constituents.includes(c)),
        ),
    },
  ],
  at: () => 'constituents',
  add: (c, v) => ({
    ...c,
    constituents: [...(c.constituents ?? []), v.text('constituent')] as NonNullable<Card['constituents']>,
  }),
  there: (c) =>
    (c.constituents ?? []).map((x, i, all) => ({
      words: CONSTITUENT[x],
      without: { ...c, constituents: without(all, i) },
    })),
}

/** Everything a card has several of, in the order people know it; a further kind is one entry. */
export const ENTRIES = { part, use, dose, tea, tincture, caution, hazard, constituent, food }
