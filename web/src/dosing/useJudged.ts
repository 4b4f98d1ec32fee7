import { ProblemError, type Schemas } from '../api/client'
import { useLive } from '../ui/useLive'

type Finding = Schemas['Finding']

/**
 * What the gates say of what is on the form, while it is filled in. Reasons given change nothing of that, so `body` has none.
 *
 * @param refusing what of them nobody can pass with a reason
 */
export function useJudged<B, T extends { findings: Finding[] }>(
  key: string,
  body: B | null,
  check: (body: B, signal: AbortSignal) => Promise<T>,
  refusing: Finding['severity'][],
) {
  const live = useLive(key, body, check)
  const invalid = live.error instanceof ProblemError && live.error.problem.status === 400
  const findings = invalid ? [] : (live.data?.findings ?? [])
  return {
    said: live.data,
    behind: live.behind,
    error: live.error,
    invalid,
    findings,
    stopped: findings.some((f) => refusing.includes(f.severity)),
  }
}
