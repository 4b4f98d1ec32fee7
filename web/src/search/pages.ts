import { KINDS } from '../making/kinds'

/** A page, and what people call what they come to it for. */
interface PageOf {
  to: string
  name: string
  words: string
}

/** Pages that are not found by the name of a thing; each with the words it is looked for by. */
const PAGES: PageOf[] = [
  { to: '/', name: 'Today', words: 'due tasks diary shake strain calendar week next what to do' },
  {
    to: '/help',
    name: 'Something is wrong',
    words: 'emergency poison swallowed rash ambulance doctor help numbers',
  },
  { to: '/field', name: 'Field', words: 'stands map places season' },
  { to: '/field/identify', name: 'What is this?', words: 'identify recognise plant unknown look name' },
  { to: '/field/train', name: 'Practise telling plants', words: 'training learn quiz look-alikes' },
  {
    to: '/notes',
    name: 'Notes',
    words: 'write down remember remark come back return picture diary journal spot',
  },
  { to: '/field/walk', name: 'Plan a walk', words: 'round route gather day' },
  { to: '/field/weather', name: 'Weather', words: 'rain warmth degree days frost forecast' },
  { to: '/field/ground', name: 'Ground', words: 'paths fences spray map draw roads' },
  { to: '/field/notebook', name: 'Notebook on this device', words: 'offline without a line waiting unsent' },
  { to: '/drying', name: 'Rack', words: 'drying weigh screens fresh harvest basket' },
  { to: '/shelf', name: 'Shelf', words: 'jars bottles tins stock supplies bought herb spirit oil' },
  { to: '/shelf/stock-take', name: 'Stock-take', words: 'count inventory what is there winter' },
  { to: '/shelf/labels', name: 'Labels on sheets', words: 'print stickers jars bottles paper many' },
  { to: '/shelf/vessels', name: 'Vessels', words: 'jars bottles tins empty how many size' },
  { to: '/making', name: 'Bench', words: 'make tea tincture salve recipe batch' },
  { to: '/making/reduce', name: 'Boil down', words: 'reduce decoction syrup half' },
  {
    to: '/making/measures',
    name: 'Cups and spoons of this kitchen',
    words: 'measure spoon cup handful weigh',
  },
  { to: '/dosing', name: 'People', words: 'person courses doses trial medicines' },
  { to: '/dosing/people/new', name: 'Enter a person', words: 'somebody new add child age medicines' },
  { to: '/dosing/new', name: 'New course', words: 'take dose plan days diary' },
  { to: '/dosing/direct/new', name: 'Use a plant as it is', words: 'sting poultice fresh leaf chew wound' },
  { to: '/needs', name: 'What helps?', words: 'by need complaint cold cough sleep stomach skin remedy' },
  { to: '/basket', name: 'What to make of it', words: 'basket use up fresh too much' },
  {
    to: '/year',
    name: 'Enough for winter',
    words: 'plan year wish gather this month first begin beginner learn how much weeks season',
  },
  { to: '/calendar', name: 'In your calendar', words: 'ical ics subscribe feed reminder alarm phone export' },
  { to: '/herbarium', name: 'Herbarium', words: 'plants cards poisonous drawings all' },
  { to: '/herbarium/new', name: 'A plant of your own', words: 'own card write missing plant draft' },
  { to: '/schools', name: 'How this house does it', words: 'schools ways rules tradition settings' },
  {
    to: '/household',
    name: 'Household',
    words:
      'backup copy restore members password accounts emergency numbers region place time zone light export data file settings',
  },
  {
    to: '/household/phones',
    name: 'Phones of the house',
    words: 'phone join network wifi https certificate lost stolen device signed in session code',
  },
  {
    to: '/archive',
    name: 'All records, out and back',
    words:
      'book of the year archive export import zip file csv table spreadsheet move other machine delete household keep',
  },
  {
    to: '/archive/lists',
    name: 'Read a list in',
    words:
      'import csv spreadsheet table stands jars vessels medicines weather harvests past years old records',
  },
  {
    to: '/archive/audit',
    name: 'Who did what, and why',
    words: 'audit history changed struck out acknowledged decided member reason log',
  },
  { to: '/tracing', name: 'Trace', words: 'where from which plant recall doubt upstream' },
  ...KINDS.map((k) => ({ to: `/making/${k.path}`, name: k.name, words: `${k.says} ${k.group} make` })),
]

/** Those whose name or words begin with every word typed; those named so first. */
export function pagesFor(typed: string): PageOf[] {
  const wanted = typed.toLowerCase().split(/\s+/).filter(Boolean)
  const begins = (text: string, w: string) =>
    text
      .toLowerCase()
      .split(/[^a-z-]+/)
      .some((x) => x.startsWith(w))
  const fit = (text: (p: PageOf) => string) => PAGES.filter((p) => wanted.every((w) => begins(text(p), w)))
  return wanted.length === 0
    ? []
    : [...new Set([...fit((p) => p.name), ...fit((p) => `${p.name} ${p.words}`)])]
}
