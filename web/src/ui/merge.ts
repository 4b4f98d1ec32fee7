/**
 * Two people changed one thing. What only one of them touched is kept from whoever did; of a list, what either added or took
 * away. Only what both changed differently is for somebody to decide.
 */

type Fields = Record<string, unknown>

export interface Merged {
  fields: Fields
  /** Changed by both, to different values; the merged fields hold the other's until somebody decides. */
  clashes: string[]
}

const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null)

const isList = (v: unknown): v is unknown[] => Array.isArray(v)

function lists(before: unknown[], mine: unknown[], theirs: unknown[]) {
  const has = (list: unknown[], x: unknown) => list.some((y) => same(x, y))
  const kept = theirs.filter((x) => has(mine, x) || !has(before, x))
  return [...kept, ...mine.filter((x) => !has(before, x) && !has(theirs, x))]
}

export function merge(before: Fields, mine: Fields, theirs: Fields): Merged {
  const fields: Fields = {}
  const clashes: string[] = []
  for (const key of Object.keys(mine)) {
    const [b, m, t] = [before[key], mine[key], theirs[key]]
    if (isList(b) && isList(m) && isList(t)) {
      fields[key] = lists(b, m, t)
    } else if (same(m, b)) {
      fields[key] = t
    } else {
      fields[key] = m
      if (!same(t, b) && !same(t, m)) {
        clashes.push(key)
        fields[key] = t
      }
    }
  }
  return { fields, clashes }
}
