import type { Schemas } from '../api/client'
import { Button } from '../ui/controls'
import { moment } from '../ui/words'

/** Where somebody is signed in, each to be ended but the one in use. */
export function SessionList({
  sessions,
  named,
  ending,
  onEnd,
}: {
  sessions: Schemas['SessionEntry'][]
  /** Of several people: whose each is stands with it. */
  named?: boolean
  ending: boolean
  onEnd: (handle: string) => void
}) {
  return (
    <ul>
      {sessions.map((s) => (
        <li
          key={s.handle}
          className="border-line flex flex-wrap items-center justify-between gap-3 border-b py-1"
        >
          <span>
            {named && <span className="font-medium">{s.name}, </span>}
            {s.device ?? 'a device'}
            <span className="text-soft block text-sm">
              since {moment(s.since)}, last used {moment(s.lastUsed)}
            </span>
          </span>
          {s.current ? (
            <span className="font-medium">this one</span>
          ) : (
            <Button onClick={() => onEnd(s.handle)} disabled={ending}>
              End it
            </Button>
          )}
        </li>
      ))}
    </ul>
  )
}
