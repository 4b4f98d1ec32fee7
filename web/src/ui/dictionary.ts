import type { Schemas } from '../api/client'

/**
 * What people read where the server says a code. One entry for every code, checked by type: a code that is added to the
 * server and not here does not compile. No other file turns a code into words.
 */

type Of<S, K extends keyof S> = NonNullable<S[K]>
type Item<T> = T extends (infer I)[] ? I : never

export type Medicine = Item<Schemas['PersonView']['medicines']>
export type Condition = Item<Schemas['PersonView']['conditions']>
export type Stage = Schemas['IdentificationView']['stage']
export type Part = Schemas['RunView']['part']
export type Route = Schemas['LotView']['route']

/** The plain name first, the proper term in brackets. */
export const MEDICINE: Record<Medicine, string> = {
  ANTICOAGULANT: 'blood thinners (anticoagulants)',
  ANTIPLATELET: 'medicines against clotting (antiplatelets, such as low-dose aspirin)',
  SEDATIVE: 'sleeping tablets and sedatives',
  ANTIEPILEPTIC: 'medicines against fits (antiepileptics)',
  IMMUNOSUPPRESSANT: 'transplant medicines (immunosuppressants)',
  CONTRACEPTIVE: 'the pill and other hormonal contraceptives',
  ANTIRETROVIRAL: 'HIV medicines (antiretrovirals)',
  DIGOXIN: 'digoxin',
  HEART_RHYTHM: 'heart rhythm medicines (antiarrhythmics)',
  LITHIUM: 'lithium',
  ANTIDEPRESSANT: 'antidepressants',
  SSRI: 'antidepressants that keep serotonin up (such as sertraline)',
  DIABETES: 'diabetes medicines',
  INSULIN_OR_SULFONYLUREA: 'insulin and tablets that drive it out (sulfonylureas)',
  BLOOD_PRESSURE: 'blood pressure medicines (antihypertensives)',
  DIURETIC: 'water tablets (diuretics)',
  ANTI_INFLAMMATORY: 'anti-inflammatory pain killers (NSAIDs)',
  ALCOHOL_REACTING: 'medicines that react with alcohol (such as metronidazole)',
  TRIPTAN: 'migraine medicines (triptans)',
  SEROTONERGIC_PAIN_KILLER: 'pain killers that raise serotonin (such as tramadol)',
  OPIOID: 'opioids and their replacements',
  CALCIUM_BLOCKER: 'calcium channel blockers',
  STATIN: 'statins',
  CANCER: 'cancer medicines',
  HEPATITIS_C: 'hepatitis C medicines',
  ANTIFUNGAL: 'medicines against fungi, swallowed',
  THEOPHYLLINE: 'theophylline',
  STOMACH_ACID: 'medicines against stomach acid',
  METHOTREXATE: 'methotrexate',
  THYROID: 'thyroid hormones (such as levothyroxine)',
  ANTITHYROID: 'medicines against an overactive thyroid',
  IRON: 'iron tablets',
  STEROID: 'cortisone-like steroids',
  EMERGENCY_CONTRACEPTIVE: 'emergency contraceptives',
  PLAIN: 'nothing of note known here but with St John’s-wort',
  OTHER: 'another prescribed medicine',
  NOT_SURE: 'something nobody is sure of',
}

export const CONDITION: Record<Condition, string> = {
  ACTIVE_ULCER: 'active stomach or gut ulcer',
  SALICYLATE_ALLERGY: 'allergy to aspirin and salicylates',
  LOW_BLOOD_PRESSURE: 'low blood pressure',
  STOMACH_INFLAMMATION: 'inflamed stomach (gastritis)',
  GALLSTONES: 'gallstones or blocked bile',
  LIVER_DISEASE: 'liver disease',
  KIDNEY_DISEASE: 'kidney disease',
  THYROID_DISEASE: 'thyroid disease',
  BOWEL_OBSTRUCTION: 'blocked bowel (obstruction)',
  LOW_POTASSIUM: 'low potassium',
  ASTHMA: 'asthma',
  FLUID_RETENTION: 'water retention from heart or kidney',
  RECOVERY_FROM_DRINK: 'recovery from drink',
  TRYING_TO_CONCEIVE: 'trying to conceive',
  HEART_FAILURE: 'heart failure',
  HEART_RHYTHM_DISORDER: 'a disorder of the heart’s rhythm',
  BLEEDING_DISORDER: 'bleeding disorder',
  DIABETES: 'diabetes',
  EPILEPSY: 'epilepsy',
  SALICYLATE_ASTHMA: 'asthma brought on by aspirin',
  G6PD_DEFICIENCY: 'lack of the enzyme G6PD (favism)',
  DEPRESSION: 'depression or bipolar illness',
  AUTOIMMUNE_ILLNESS: 'autoimmune illness',
  TRANSPLANT: 'a transplant',
  HORMONE_SENSITIVE_TUMOUR: 'hormone-sensitive tumour',
}

/** As in "it is now in flower". */
export const STAGE: Record<Stage, string> = {
  SEEDLING: 'a seedling',
  ROSETTE: 'a rosette',
  LEAFY: 'in leaf',
  FLOWERING: 'in flower',
  FRUITING: 'in fruit',
  WINTER: 'in winter, leafless or dead back',
  SPORING: 'with spore cases',
  THALLUS: 'a lichen, as always',
  FRUIT_BODY: 'a fungus that shows',
}

export const PART: Record<Part, string> = {
  TOPS: 'flowering tops',
  LEAF: 'leaf',
  FLOWER: 'flower',
  FLOWER_HEAD: 'flower head',
  HERB: 'herb',
  ROOT: 'root',
  BARK: 'bark',
  FRUIT: 'fruit',
  SEED: 'seed',
  SHOOT: 'young shoot',
  THALLUS: 'lichen, whole',
  FRUIT_BODY: 'bracket of the fungus',
}

export const ROUTE: Record<Route, string> = { INTERNAL: 'by mouth', EXTERNAL: 'on the skin' }

export const DANGER: Record<Schemas['TaxonView']['danger'], string> = {
  HARMLESS: 'harmless itself',
  WEAKER: 'weaker than what it is taken for',
  IRRITANT: 'irritant',
  POISONOUS: 'poisonous',
  DEADLY: 'deadly',
}

export const GROUP: Record<Schemas['TaxonView']['group'], string> = {
  PLANT: 'seed plant',
  FERN: 'fern',
  LICHEN: 'lichen',
  FUNGUS: 'fungus',
}

export const ORIGIN: Record<Schemas['TaxonView']['origin'], string> = {
  NATIVE: 'native',
  INTRODUCED: 'introduced',
  INVASIVE: 'invasive',
  CULTIVATED: 'grown in gardens',
}

export const CONSTITUENT: Record<Item<Schemas['TaxonView']['constituents']>, string> = {
  SALICYLATE: 'salicylates',
  PYRROLIZIDINE: 'pyrrolizidine alkaloids',
  HYPERFORIN: 'hyperforin',
  TANNIN: 'tannins',
  MUCILAGE: 'mucilage',
  VOLATILE_OIL: 'volatile oil',
  CARDIAC_GLYCOSIDE: 'heart glycosides',
  COUMARIN: 'coumarins',
  BITTER: 'bitters',
  SAPONIN: 'saponins',
  ANTHRANOID: 'laxative anthranoids',
  THUJONE: 'thujone',
  FLAVONOID: 'flavonoids',
  SESQUITERPENE_LACTONE: 'sesquiterpene lactones',
  HELENALIN: 'helenalin',
  IRIDOID: 'iridoids',
}

export const SUBJECT: Record<Schemas['CautionView']['subject'], string> = {
  PREGNANCY: 'Pregnancy',
  BREAST_FEEDING: 'Breast-feeding',
  UNDER_AGE: 'Children',
  CONDITION: 'With',
  MEDICINE: 'With',
  ALLERGY_FAMILY: 'Allergy to the family',
  OPERATION: 'Before an operation',
  SUN: 'Sun',
  DRIVING: 'Driving',
}

export const CAUTION_STATUS: Record<Schemas['CautionView']['status'], string> = {
  NONE_FOUND: 'looked up, nothing found',
  UNKNOWN: 'unknown',
  PRESENT: 'beware',
}

export const EVIDENCE: Record<Schemas['SourceView']['evidence'], string> = {
  CONTROLLED_TRIAL: 'controlled trial',
  OFFICIAL_MONOGRAPH: 'official monograph',
  LONG_TRADITION: 'long tradition',
  OWN_EXPERIENCE: 'own experience',
  TEACHER: 'a teacher',
  LABORATORY_CELLS: 'cells in a laboratory',
  ANIMALS: 'animals',
  OLD_BOOK: 'old book',
  HEARSAY: 'hearsay',
  LORE: 'lore',
  UNCERTAIN: 'uncertain',
  CONTRADICTED: 'contradicted',
  REFERENCE: 'reference work',
}

export const POTENCY: Record<Schemas['UseView']['potency'], string> = {
  GENTLE: 'gentle',
  MODERATE: 'middling',
  STRONG: 'strong',
}

export const HAZARD: Record<Schemas['HazardView']['kind'], string> = {
  SWALLOWED: 'Swallowed',
  SKIN: 'On the skin',
  DUST: 'As dust',
  POLLEN: 'Its pollen',
  LIVESTOCK: 'Livestock',
  PETS: 'Pets',
}

export const FREQUENCY: Record<Schemas['StateView']['frequency'], string> = {
  ALWAYS: 'always',
  USUAL: 'usually',
  RARE: 'rarely',
  POSSIBLE: 'not ruled out',
}

export const LOOKING: Record<Item<Schemas['ShownView']['under']>, string> = {
  DULL_WEATHER: 'in dull weather',
  WET: 'when wet',
  SHADE: 'in shade',
  DRIED: 'when dried',
  FROSTED: 'after frost',
}

export const GOOD_FOR: Record<Item<Schemas['CardView']['goodFor']>['step'], string> = {
  RECOGNISE: 'recognise it',
  GATHER: 'gather it',
  MAKE: 'make something of it',
  ON_THE_SKIN: 'use it on the skin',
  TAKE: 'take it',
}

export const FOUND: Record<Schemas['Hit']['kind'], string> = {
  PLANT: 'plant',
  STAND: 'stand',
  HARVEST: 'harvest',
  STOCK: 'stock',
  BATCH: 'batch',
  FILLED: 'finished',
  PERSON: 'person',
  NOTE: 'note',
}

/** When somebody means to come back. */
export const COME_BACK: Record<Schemas['ComeBackRequest']['when'], string> = {
  TOMORROW: 'tomorrow',
  WEEKEND: 'at the weekend',
  WEEK: 'in a week',
  FORTNIGHT: 'in two weeks',
  MONTH: 'in a month',
  FIRST_FROST: 'after the first frost',
  DAY: 'on a day',
}

export const FROST: Record<Of<Schemas['PartView'], 'frost'>, string> = {
  BEFORE: 'before frost',
  AFTER: 'after frost',
  EITHER: 'before or after frost',
}

export const READY: Record<Schemas['ReadyView']['state'], string> = {
  READY: 'ready now',
  LIKELY: 'likely begun, go and look',
  SOON: 'soon',
  LATER: 'later',
  OVER: 'over',
}

/** How a stand fares over the years. */
export const FARES: Record<NonNullable<Schemas['YearsView']['word']>, string> = {
  HOLDS: 'It holds',
  DECLINES: 'It declines',
  UNKNOWN: 'It can not be said whether it holds',
}

/** What is made of a basket, and what it is counted in. */
export const PRODUCT: Record<
  Schemas['BasketView']['makes'][number]['product'],
  { name: string; unit: string }
> = {
  DRIED: { name: 'dried herb', unit: 'g' },
  TINCTURE: { name: 'tincture', unit: 'mL' },
  TEA: { name: 'tea', unit: 'cups' },
  OIL: { name: 'infused oil', unit: 'mL' },
  SALVE: { name: 'salve', unit: 'g' },
}

export const REACTION: Record<Schemas['ContactView']['reaction'], string> = {
  NONE: 'nothing',
  ITCH: 'itching or redness',
  RASH: 'a rash',
  BLISTERS: 'blisters or swelling',
  BREATH: 'trouble with breath, face or circulation',
}

export const SEX: Record<NonNullable<Schemas['HarvestRequest']['sex']>, string> = {
  FEMALE: 'female',
  MALE: 'male',
  BOTH: 'some of each',
}

export const MARK: Record<Schemas['MarkView']['mark'], string> = {
  ...READY,
  WATCHED: 'only to look at',
  UNKNOWN: 'not known yet',
  KEEP_OFF: 'keep off',
}

export const OUTLINE: Record<Schemas['ShapeView']['kind'], string> = {
  SHORE: 'shore',
  WATER: 'water',
  WOOD: 'wood',
  MEADOW: 'meadow or dune',
  PATH: 'path',
  ROAD: 'road, with traffic',
  HOUSE: 'house',
}

export const GROUND: Record<Schemas['StandView']['ground'], string> = {
  CLEAN: 'clean ground',
  UNKNOWN: 'ground not known',
  CONTAMINATED: 'contaminated ground',
}

export const PERMISSION: Record<Schemas['StandView']['permission'], string> = {
  OWN_GARDEN: 'own garden',
  GIVEN: 'the owner allows it',
  UNKNOWN: 'whose land is not known',
  REFUSED: 'the owner refuses',
}

export const PLENTY: Record<Schemas['StandView']['plenty'], string> = {
  PLENTIFUL: 'plentiful',
  FAIR: 'fairly many',
  SCARCE: 'scarce',
  DECLINING: 'declining',
}

export const VERDICT: Record<Schemas['VerdictView']['status'], string> = {
  CONFIRMED: 'confirmed',
  SECOND_WANTED: 'certain once a second look agrees',
  NOT_YET: 'not yet certain',
  STOP: 'stop',
}

/** What a lot is, whatever it stands in. */
export const FORM: Record<Schemas['LotView']['form'], string> = {
  PLANT: 'plant',
  HERB: 'herb',
  SPIRIT: 'spirit',
  CARRIER_OIL: 'oil',
  WAX: 'wax',
  VINEGAR: 'vinegar',
  GLYCERINE: 'glycerine',
  HONEY: 'honey',
  SUGAR: 'sugar',
  SALT: 'salt',
  WINE: 'fortified wine',
  BUTTER: 'butter or fat',
  EMULSIFIER: 'emulsifier',
  PRESERVATIVE: 'preservative',
  ESSENTIAL_OIL: 'essential oil',
  TINCTURE: 'tincture',
  MIXTURE: 'mixture of tinctures',
  HERBAL_VINEGAR: 'herbal vinegar',
  GLYCERITE: 'glycerite',
  HERBAL_HONEY: 'herbal honey',
  OXYMEL: 'oxymel',
  HERBAL_WINE: 'herbal wine',
  TEA: 'tea',
  WASH: 'wash',
  SYRUP: 'syrup',
  ICE_CUBES: 'ice cubes',
  TEA_MIXTURE: 'tea mixture',
  POWDER: 'powder',
  POULTICE: 'poultice',
  SALTED_HERB: 'salted herb',
  FROZEN_HERB: 'frozen herb',
  INFUSED_OIL: 'infused oil',
  SALVE: 'salve',
  CREAM: 'cream',
}

/** What people measure with who have no scale. */
export const MEASURE: Record<Schemas['MeasureView']['measure'], string> = {
  LEVEL_TEASPOON: 'level teaspoons',
  HEAPED_TEASPOON: 'heaped teaspoons',
  LEVEL_TABLESPOON: 'level tablespoons',
  HEAPED_TABLESPOON: 'heaped tablespoons',
  CUP: 'cups',
  HANDFUL: 'handfuls',
  BOWLFUL: 'both hands full',
  LEAF: 'leaves',
  SPRIG: 'sprigs',
  BUNDLE: 'bundles',
  DROP: 'drops of the dropper',
  SQUIRT: 'squirts of the dropper',
}

/** By mouth and on the skin are planned; the others can be asked for and are answered with why not and what instead. */
export const WAY: Record<Schemas['CourseRequest']['way'], string> = {
  MOUTH: 'by mouth',
  SKIN: 'on the skin',
  INCENSE: 'as incense in the room',
  SMOKED: 'smoked',
  EYE: 'in the eye',
  EAR: 'in the ear',
  INJECTION: 'injected',
  ENEMA: 'as an enema',
}

export const DOSE_UNIT: Record<Schemas['DoseUnitView']['unit'], string> = {
  ML: 'mL',
  G: 'g',
  DROP: 'drops',
  SQUIRT: 'squirts',
  TEASPOON: 'teaspoons',
  TABLESPOON: 'tablespoons',
  CUP: 'cups',
  FINGERTIP: 'fingertips',
  PEA: 'peas',
  HEAPED_TEASPOON: 'heaped teaspoons',
  BATCH: 'batches',
  PIECE: 'pieces',
}

/** So many of a unit: "1 cup", "0.5 cups". */
export const doseUnit = (unit: keyof typeof DOSE_UNIT, n: number) =>
  Math.abs(n - 1) < 1e-9 ? DOSE_UNIT[unit].replace(/(?<=batch)es$|s$/, '') : DOSE_UNIT[unit]

export const SIGN: Record<Schemas['ReactionView']['signs'][number], string> = {
  ITCHING: 'itching',
  RASH: 'a rash',
  HIVES: 'weals that come and go',
  SWELLING: 'swelling of face, lips or throat',
  BREATH: 'trouble breathing',
  FAINTING: 'fainting',
  HEART: 'a racing or stumbling heart',
  CHEST_PAIN: 'chest pain',
  FIT: 'a fit',
  SIGHT: 'blurred sight or wide pupils',
  WEAKNESS: 'sudden weakness or numbness',
  BLISTERS: 'blisters or peeling skin',
  NAUSEA: 'nausea or vomiting',
  DIARRHOEA: 'diarrhoea',
  CRAMP: 'cramp of the belly',
  HEARTBURN: 'heartburn',
  HEADACHE: 'headache',
  DIZZINESS: 'dizziness',
  SLEEPINESS: 'sleepiness',
  RESTLESSNESS: 'restlessness',
  BURNING: 'burning or redness where it was put on',
  SUNBURN: 'burnt by little sun',
  BLEEDING: 'bleeding that is not usual',
  JAUNDICE: 'yellow skin or eyes, dark urine',
  CONFUSION: 'confusion',
  OTHER: 'something else',
}

export const DEGREE: Record<Schemas['ReactionView']['degree'], { name: string; hint: string }> = {
  MILD: { name: 'mild', hint: 'noticed, and gone by itself' },
  MODERATE: { name: 'moderate', hint: 'kept from doing something, or lasted more than a day' },
  SEVERE: { name: 'severe', hint: 'needed help, or was frightening' },
}

export const MANNER: Record<Schemas['DirectView']['manner'], { name: string; hint: string }> = {
  CRUSHED: { name: 'crushed, on the skin', hint: 'a leaf rubbed soft and laid on' },
  COMPRESS: { name: 'as a compress', hint: 'bruised, in a clean cloth' },
  POWDER_ON_SKIN: { name: 'as powder, on the skin', hint: 'dried clean, on a scratch' },
  EATEN: { name: 'eaten', hint: 'as food or nibbled on the way; counted into the day' },
  CHEWED: { name: 'chewed', hint: 'for what it does: a dose' },
  POWDER_SWALLOWED: { name: 'as powder, swallowed', hint: 'stirred into something wet: a dose' },
  SWALLOWED: {
    name: 'swallowed already',
    hint: 'out of any jar or bottle, without a course: kept and counted',
  },
}

export const SKIN: Record<NonNullable<Schemas['CourseRequest']['skin']>, { name: string; hint?: string }> = {
  INTACT: { name: 'is whole' },
  SMALL_CLEAN_CUT: { name: 'has a small clean cut' },
  WOUND: { name: 'is wounded', hint: 'deep, dirty, bitten, burnt, spreading, or near an eye' },
}

export const BESIDE: Record<Schemas['OtherView']['beside'], string> = {
  GENTLER: 'gentler',
  AS_STRONG: 'as strong',
  STRONGER: 'stronger',
}

export const VESSEL: Record<Schemas['LotView']['vessel'], string> = {
  GROUND: 'ground',
  BASKET: 'basket',
  JAR: 'jar',
  BOTTLE: 'bottle',
  FLASK: 'flask',
  TIN: 'tin',
  BAG: 'bag',
  BLOCK: 'block',
}

/** In the order of the work: a stand, a basket of herb, a jar of herb, a batch of tincture, a bottle of it. */
export function lotWords(
  l: Pick<Schemas['LotView'], 'stage' | 'form'> & { vessel?: Schemas['LotView']['vessel'] },
) {
  switch (l.stage) {
    case 'STAND':
      return 'stand'
    case 'HARVEST':
      return 'harvest'
    case 'BATCH':
      return `batch of ${FORM[l.form]}`
    case 'STOCK':
      return l.form === 'HERB' ? 'jar of dried herb' : FORM[l.form]
    case 'FILLED':
      return l.vessel ? `${VESSEL[l.vessel]} of ${FORM[l.form]}` : FORM[l.form]
  }
}

export const LOT_STATE: Record<Schemas['LotView']['state'], string> = {
  USABLE: 'usable',
  HOLD: 'on hold',
  QUARANTINED: 'set aside, doubted',
  DESTROYED: 'thrown away',
}

export const TEA_METHOD: Record<Schemas['TeaHerbAnswer']['method'], string> = {
  INFUSION: 'infusion',
  DECOCTION: 'decoction',
  LONG_INFUSION: 'long infusion',
  COLD_MACERATION: 'cold maceration',
}

export const FIRMNESS: Record<Schemas['Salving']['firmness'], string> = {
  SOFT: 'soft',
  MEDIUM: 'medium',
  FIRM: 'firm',
  STICK: 'stick',
}

export const NEARNESS: Record<Schemas['SuggestionView']['nearness'], string> = {
  IN_THE_HOUSE: 'in the house',
  GROWS_NEAR_IN_SEASON: 'grows near, in season',
  GROWS_NEAR: 'grows near, not in season',
  ELSEWHERE: 'none here yet',
}

export const RELATION: Record<NonNullable<Schemas['CourseView']['timing']>['relation'], string> = {
  BEFORE_MEAL: 'before a meal',
  WITH_MEAL: 'with a meal',
  AFTER_MEAL: 'after a meal',
  BEDTIME: 'at bedtime',
  ANY: 'at any time',
}

export const ROLE: Record<Schemas['MemberView']['role'], string> = {
  KEEPER: 'keeper',
  HELPER: 'helper',
  READER: 'reader',
}

export const ORGAN: Record<Schemas['CharacterView']['organ'], string> = {
  ROOT: 'root',
  STEM: 'stem',
  WOOD: 'trunk and twig',
  BUD: 'bud',
  LEAF: 'leaf',
  INFLORESCENCE: 'flower cluster',
  FLOWER: 'flower',
  FRUIT: 'fruit',
  SCENT: 'scent',
  THALLUS: 'lichen body',
  CAP: 'cap',
  UNDERSIDE: 'underside',
  SUBSTRATE: 'what it grows on',
  FROND: 'frond',
  SORI: 'spore cases',
}

/** Regions come as stable names of the cards. */
const REGIONS: Record<string, string> = {
  merrow: 'Merrow, the demo’s island',
  'north-west-europe': 'north-west Europe',
}
export const region = (id: string) => REGIONS[id] ?? id.replaceAll('-', ' ')

/** What a caution is about, with its value in words. */
export function about(c: Schemas['CautionView']): string {
  const value = c.value ?? ''
  switch (c.subject) {
    case 'MEDICINE':
      return `With ${value in MEDICINE ? MEDICINE[value as Medicine] : 'medicines'}`
    case 'CONDITION':
      return `With ${value in CONDITION ? CONDITION[value as Condition] : 'any illness'}`
    case 'UNDER_AGE':
      return value ? `Under ${value} years` : 'Children'
    case 'PREGNANCY':
      return value ? `Pregnancy, trimester ${value}` : 'Pregnancy'
    case 'ALLERGY_FAMILY':
      return value ? `Allergy to the ${value}` : 'Allergy'
    default:
      return SUBJECT[c.subject]
  }
}

export const keysOf = <K extends string>(words: Record<K, unknown>) => Object.keys(words) as K[]

/** Everything the words are of, to choose from. */
export const choicesOf = <K extends string>(words: Record<K, string>, of = keysOf(words)) =>
  of.map((value) => ({ value, label: words[value] }))
