import { Cluster } from './Cluster'
import { Flower } from './Flower'
import { Fruit } from './Fruit'
import { Blade } from './Leaf'
import { Bracket, Lichen } from './Other'
import { StemSection, Underside } from './PlantDrawing'
import { Shoot } from './Shoot'
import type { Characters } from './states'

type Part = 'blade' | 'underside' | 'section' | 'cluster' | 'flower' | 'fruit' | 'shoot' | 'rosette' | 'twig' | 'lichen' | 'bracket' // prettier-ignore

/** What of the plant shows a character; characters not here are only told in words. */
const SHOWN_BY: Record<string, Part> = {
  'leaf-division': 'blade',
  'leaf-outline': 'blade',
  'leaf-margin': 'blade',
  'leaf-veins': 'blade',
  'leaf-face': 'blade',
  'leaf-dots': 'blade',
  'end-leaflet': 'blade',
  'segment-tip': 'blade',
  'leaf-underside': 'underside',
  'leaf-hairs': 'underside',
  'stem-section': 'section',
  inflorescence: 'cluster',
  bracts: 'cluster',
  'small-bracts': 'cluster',
  petals: 'flower',
  'flower-colour': 'flower',
  'petal-marks': 'flower',
  stamens: 'flower',
  'head-rays': 'flower',
  sepals: 'flower',
  fruit: 'fruit',
  'fruit-colour': 'fruit',
  'fruit-surface': 'fruit',
  'fruit-shape': 'fruit',
  'fruit-stand': 'fruit',
  'leaf-base': 'shoot',
  'leaf-arrangement': 'shoot',
  'stem-surface': 'shoot',
  'stalk-thickness': 'shoot',
  spines: 'shoot',
  'needle-stand': 'shoot',
  root: 'shoot',
  'leaf-start': 'rosette',
  buds: 'twig',
  'bud-cover': 'twig',
  'bud-colour': 'twig',
  twig: 'twig',
  'thallus-form': 'lichen',
  'thallus-edge': 'lichen',
  'thallus-colour': 'lichen',
  'thallus-below': 'lichen',
  'bracket-zones': 'bracket',
  pores: 'bracket',
  'underside-colour': 'bracket',
}

/** What a state needs around it to be drawn at all, when nothing else is known of the plant. */
const AROUND: Record<string, Characters> = {
  'end-leaflet': { 'leaf-division': 'pinnate' },
  'segment-tip': { 'leaf-division': 'finely-cut' },
  'small-bracts': { inflorescence: 'umbel' },
  bracts: { inflorescence: 'umbel' },
  'head-rays': { petals: 'rays' },
  stamens: { petals: 'five-free' },
  'fruit-shape': { fruit: 'ribbed-pair' },
  'fruit-stand': { fruit: 'berry', 'fruit-colour': 'black' },
  'fruit-colour': { fruit: 'berry' },
  'bud-cover': { twig: 'smooth-brown' },
  'bud-colour': { twig: 'smooth-brown' },
  buds: { twig: 'smooth-brown' },
}

/** A state as it looks on the plant in mind, or null where words must do. */
export function StateDrawing({ character, state, on }: { character: string; state: string; on: Characters }) {
  const part = SHOWN_BY[character]
  if (!part || state === 'no-umbels' || state === 'no-head' || state === 'no-leaflets') return null
  const c: Characters = { ...AROUND[character], ...on, [character]: state }
  if (character === 'flower-colour' && c['petals'] === 'none') return null
  const frame = (box: string, drawing: React.ReactNode) => (
    <svg viewBox={box} className="text-ink size-16 shrink-0" aria-hidden>
      {drawing}
    </svg>
  )
  switch (part) {
    case 'blade':
      return frame('-42 -76 84 84', <Blade c={c} length={68} />)
    case 'underside':
      return frame(
        '-18 -18 36 36',
        <Underside
          kind={character === 'leaf-hairs' ? (state === 'none' ? 'green-hairless' : 'green-hairy') : state}
          hairs={c['leaf-hairs']}
        />,
      )
    case 'section':
      return frame('-18 -18 36 36', <StemSection kind={state} />)
    case 'cluster':
      return frame('-56 -92 112 112', <Cluster c={c} />)
    case 'flower':
      return frame('-28 -28 56 56', <Flower c={c} />)
    case 'fruit':
      return frame('-26 -26 52 52', <Fruit c={c} />)
    case 'shoot':
      return frame(
        '-72 50 144 190',
        <Shoot c={{ ...c, 'leaf-base': c['leaf-base'] ?? 'stalked' }} stage="LEAFY" />,
      )
    case 'rosette':
      return frame('-72 90 144 144', <Shoot c={{ ...c, 'leaf-base': 'from-ground' }} stage="ROSETTE" />)
    case 'twig':
      return frame('-30 40 60 110', <Shoot c={{ ...c, 'stem-posture': 'woody' }} stage="WINTER" />)
    case 'lichen':
      return frame('-90 80 180 120', <Lichen c={c} />)
    case 'bracket':
      return frame('-70 50 140 160', <Bracket c={c} />)
  }
}
