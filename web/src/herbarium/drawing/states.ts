import type { Schemas } from '../../api/client'

/** One state for each character: what is drawn. */
export type Characters = Record<string, string>

const WEIGHT = { ALWAYS: 3, USUAL: 2, RARE: 1, POSSIBLE: 9 }

/** The state most often shown of each character at a stage. Without a stage, the one that shows most. */
export function usualStates(shown: Schemas['ShownView'][], stage?: string): Characters {
  const usual: Characters = {}
  for (const c of shown) {
    if (c.under.length > 0 || (stage && !c.stages.some((s) => s === stage))) continue
    const best = [...c.states].sort(
      (a, b) => WEIGHT[b.frequency] - WEIGHT[a.frequency] || b.share - a.share,
    )[0]
    if (best && usual[c.character] === undefined) usual[c.character] = best.state
  }
  return usual
}

/** Where the ground is in the frame of a shoot. */
export const GROUND = 196

export const place = (x: number, y: number, turn: number) => `translate(${x} ${y}) rotate(${turn})`
