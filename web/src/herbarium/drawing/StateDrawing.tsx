import { Bud, FruitStand, FruitSurface, StemPiece, TwigPiece, Underside, UpperSide } from './Close'
import { Cluster } from './Cluster'
import { Flower } from './Flower'
import { Fruit, fruitColour } from './Fruit'
import { Blade } from './Leaf'
import { Bracket, Lichen } from './Other'
import { StemSection } from './PlantDrawing'
import { Root } from './Root'
import { Shoot } from './Shoot'
import type { Characters } from './states'

type Part = 'blade' | 'edge' | 'upper' | 'underside' | 'section' | 'stem' | 'cluster' | 'bracts' | 'little-umbels' | 'flower' | 'fruit' | 'fruit-surface' | 'fruit-stand' | 'shoot' | 'node' | 'piece' | 'rosette' | 'root' | 'twig' | 'bud' | 'twig-piece' | 'lichen' | 'bracket' // prettier-ignore

interface Shown {
  by: Part
  /** What the picture needs to show the character, whatever else is known of the plant. */
  with?: Characters
  /** What is drawn when nothing is known of it. */
  unless?: Characters
  /** What one state needs besides. */
  state?: Record<string, Characters>
  /** States told in words only, because their picture would look like another's: two answers must not look alike. */
  words?: string[]
}

const SIMPLE: Characters = { 'leaf-division': 'simple', 'leaf-outline': 'lance' }
const LEAFY: Characters = { ...SIMPLE, 'leaf-base': 'stalked', 'leaf-arrangement': 'alternate', 'leaf-size': 'middling', 'leaves-now': 'present', 'needle-stand': 'no-needles' } // prettier-ignore
const FIVE: Characters = { petals: 'five-free' }

/** What of the plant shows a character; characters not here are only told in words. */
const SHOWN: Record<string, Shown> = {
  'leaf-division': { by: 'blade', with: { 'leaf-outline': 'lance' } },
  'leaf-outline': { by: 'blade', with: { 'leaf-division': 'simple' }, words: ['divided', 'scale'] },
  'leaf-margin': { by: 'edge', with: SIMPLE, state: { 'wavy-lobes': { 'leaf-division': 'pinnately-lobed' } } }, // prettier-ignore
  'leaf-veins': { by: 'blade', with: SIMPLE },
  'leaf-face': { by: 'blade', with: { ...SIMPLE, 'leaf-outline': 'broad' } },
  'leaf-dots': { by: 'blade', with: SIMPLE },
  'end-leaflet': { by: 'blade', with: { 'leaf-division': 'pinnate' }, words: ['no-leaflets'] },
  'segment-tip': { by: 'blade', with: { 'leaf-division': 'finely-cut' }, words: ['undivided'] },
  'leaf-hairs': { by: 'upper' },
  'leaf-underside': { by: 'underside' },
  'stem-section': { by: 'section' },
  'stem-surface': { by: 'stem' },
  inflorescence: { by: 'cluster', unless: FIVE },
  bracts: {
    by: 'bracts',
    with: { inflorescence: 'umbel' },
    state: { hood: { inflorescence: 'hood' } },
    words: ['green-cup', 'papery'],
  },
  'small-bracts': { by: 'little-umbels', with: { inflorescence: 'umbel' }, words: ['no-umbels'] },
  petals: { by: 'flower', with: { stamens: '', sepals: '', 'petal-marks': '' }, words: ['none'] },
  'flower-colour': { by: 'flower', with: FIVE },
  'petal-marks': {
    by: 'flower',
    with: { ...FIVE, stamens: '' },
    state: { 'throat-spots': { petals: 'tube' }, beard: { petals: 'sword' } },
  },
  stamens: {
    by: 'flower',
    with: { ...FIVE, 'petal-marks': '' },
    words: ['five-hidden', 'four-hidden', 'disc', 'cones'],
  },
  'head-rays': {
    by: 'flower',
    with: { petals: 'rays' },
    state: { 'white-broad': { 'flower-colour': 'white' }, 'yellow-broad': { 'flower-colour': 'yellow' }, 'yellow-thread': { 'flower-colour': 'yellow' }, 'yellow-few': { 'flower-colour': 'yellow' } }, // prettier-ignore
    words: ['no-head'],
  },
  sepals: {
    by: 'flower',
    with: { ...FIVE, stamens: '', 'petal-marks': '' },
    words: ['joined-cup', 'like-petals', 'tuft', 'scarcely'],
  },
  fruit: { by: 'fruit', with: { 'fruit-stand': '' } },
  'fruit-colour': { by: 'fruit', with: { fruit: 'berry', 'fruit-stand': '' } },
  'fruit-shape': { by: 'fruit', with: { fruit: 'ribbed-pair' }, words: ['other'] },
  'fruit-surface': { by: 'fruit-surface' },
  'fruit-stand': { by: 'fruit-stand' },
  'stalk-thickness': {
    by: 'piece',
    with: { ...LEAFY, 'stem-posture': 'upright', 'stem-surface': 'plain', spines: 'none' },
  },
  spines: { by: 'piece', with: { ...LEAFY, 'stem-posture': 'woody', 'stem-surface': 'plain' } },
  'leaf-base': {
    by: 'node',
    with: { ...LEAFY, 'leaf-size': 'large' },
  },
  'leaf-arrangement': {
    by: 'shoot',
    with: LEAFY,
    state: { bundles: { 'needle-stand': 'pairs' }, 'two-rows': { 'needle-stand': 'two-rows' } },
  },
  'needle-stand': { by: 'shoot', words: ['no-needles'] },
  'leaf-start': { by: 'rosette', with: { 'leaves-now': 'present', 'needle-stand': 'no-needles' } },
  root: { by: 'root', words: ['woody'] },
  buds: { by: 'twig', with: { twig: 'smooth-brown', 'needle-stand': 'no-needles' }, words: ['none'] },
  'bud-cover': { by: 'bud', with: { 'bud-colour': '' }, words: ['none'] },
  'bud-colour': { by: 'bud', with: { 'bud-cover': 'many-scales' }, words: ['none'] },
  twig: { by: 'twig-piece', words: ['none'] },
  'thallus-form': { by: 'lichen', with: { 'thallus-edge': 'smooth', 'thallus-below': 'same' } },
  'thallus-edge': { by: 'lichen', with: { 'thallus-form': 'straps', 'thallus-below': 'same' } },
  'thallus-colour': { by: 'lichen' },
  'thallus-below': { by: 'lichen', with: { 'thallus-form': 'straps', 'thallus-edge': 'smooth' } },
  'bracket-zones': { by: 'bracket' },
  pores: { by: 'bracket' },
  'underside-colour': { by: 'bracket' },
}

/** A state as it looks on the plant in mind, or null where words must do. */
export function StateDrawing({ character, state, on }: { character: string; state: string; on: Characters }) {
  const shown = SHOWN[character]
  if (!shown || shown.words?.includes(state)) return null
  const c: Characters = { ...shown.unless, ...on, ...shown.with, ...shown.state?.[state], [character]: state }
  const frame = (box: string, drawing: React.ReactNode) => (
    <svg viewBox={box} className="text-ink size-16 shrink-0" aria-hidden>
      {drawing}
    </svg>
  )
  const lens = '-18 -18 36 36'
  switch (shown.by) {
    case 'blade':
      return frame('-47 -74 94 94', <Blade c={c} length={68} />)
    case 'edge':
      return frame(state === 'wavy-lobes' ? '-40 -74 80 80' : '-24 -74 48 48', <Blade c={c} length={68} />)
    case 'upper':
      return frame('-19 -19 38 38', <UpperSide kind={state} />)
    case 'underside':
      return frame(lens, <Underside kind={state} />)
    case 'section':
      return frame(lens, <StemSection kind={state} />)
    case 'stem':
      return frame(lens, <StemPiece kind={state} />)
    case 'cluster':
      return frame(
        '-56 -92 112 112',
        <>
          {['axils', 'along-twigs', 'cone', 'catkin', 'winged-bract'].includes(state) && (
            <path d="M0 18V-70" stroke="var(--stalk)" strokeWidth={3} />
          )}
          <Cluster c={c} />
        </>,
      )
    case 'bracts':
      return state === 'hood'
        ? frame('-56 -92 112 112', <Cluster c={c} />)
        : frame('-30 -38 60 60', <Cluster c={c} />)
    case 'little-umbels':
      return frame('-60 -72 64 64', <Cluster c={c} />)
    case 'flower':
      return frame('-28 -28 56 56', <Flower c={c} />)
    case 'fruit':
      return frame('-26 -26 52 52', <Fruit c={c} />)
    case 'fruit-surface':
      return frame(lens, <FruitSurface kind={state} />)
    case 'fruit-stand':
      return frame('-27 -27 54 54', <FruitStand kind={state} fill={fruitColour(c)} />)
    case 'shoot':
      return state === 'ground'
        ? frame('-72 90 144 144', <Shoot c={c} stage="ROSETTE" />)
        : frame('-62 56 124 150', <Shoot c={c} stage="LEAFY" />)
    case 'node':
      return state === 'from-ground'
        ? frame('-72 90 144 144', <Shoot c={c} stage="ROSETTE" />)
        : frame('-44 98 64 64', <Shoot c={c} stage="LEAFY" />)
    case 'piece':
      return frame('-30 108 60 60', <Shoot c={c} stage="LEAFY" />)
    case 'rosette':
      return state === 'along-stem'
        ? frame('-62 56 124 150', <Shoot c={{ ...c, ...LEAFY }} stage="LEAFY" />)
        : frame('-72 90 144 144', <Shoot c={{ ...c, 'leaf-base': 'from-ground' }} stage="ROSETTE" />)
    case 'root':
      return frame(
        '-48 176 96 78',
        <>
          <path d="M0 196V176" stroke="var(--stalk)" strokeWidth={3} />
          <path d="M-46 196H46" stroke="currentColor" strokeDasharray="5 4" opacity={0.6} />
          <Root kind={state} />
        </>,
      )
    case 'twig':
      return frame('-30 40 60 110', <Shoot c={{ ...c, 'stem-posture': 'woody' }} stage="WINTER" />)
    case 'bud':
      return frame('-25 -25 50 50', <Bud c={c} />)
    case 'twig-piece':
      return frame(lens, <TwigPiece kind={state} />)
    case 'lichen':
      return frame('-90 80 180 120', <Lichen c={c} />)
    case 'bracket':
      return frame('-70 50 140 160', <Bracket c={c} />)
  }
}
