import type { Entry } from './device'

/** What an entry of the notebook holds: what is sent, and what stood in the fields of its form. */
export interface Laid {
  variables: unknown
  fields?: Record<string, unknown>
}

/** Makes of what one version of a command laid down what the next one would have. */
export type Upgrade = (laid: Laid) => Laid

export const versionAfter = (upgrades: readonly Upgrade[]) => upgrades.length + 1

/**
 * An entry as this version would have written it, whatever version did; undefined for one of a newer version, which is not
 * guessed at.
 */
export function upgraded(entry: Entry, upgrades: readonly Upgrade[]): Entry | undefined {
  const written = entry.version ?? 1
  if (written > versionAfter(upgrades)) return undefined
  if (written === versionAfter(upgrades)) return entry
  const laid = upgrades.slice(written - 1).reduce((l, upgrade) => upgrade(l), {
    variables: entry.variables,
    ...(entry.back ? { fields: entry.back.fields } : {}),
  } as Laid)
  return {
    ...entry,
    version: versionAfter(upgrades),
    variables: laid.variables,
    ...(entry.back ? { back: { ...entry.back, fields: laid.fields ?? {} } } : {}),
  }
}
