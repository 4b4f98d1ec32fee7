import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useQueryClient } from '@tanstack/react-query'
import { Dispatch, lazy, SetStateAction, Suspense, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { Link, Navigate, Outlet, useLocation, useNavigate } from 'react-router'
import { api, ask, SIGNED_OUT, speakFor, type Schemas } from '../api/client'
import { deviceOf, thisDevice } from '../api/device'
import { mine } from '../api/outbox'
import { leave } from '../field/pack'
import { keepNumbers } from '../dosing/numbers'
import { useSession } from '../household/queries'
import { Button, Toggle } from '../ui/controls'
import { ROLE } from '../ui/dictionary'
import { forgetAll } from '../ui/kept'
import { Loaded } from '../ui/page'
import { Brook, LANDINGS } from './Brook'
import { LineNotice } from './LineNotice'
import { NotebookNotice } from './NotebookNotice'
import { TimerNotice } from './TimerNotice'
import { DemoClock } from './DemoClock'
import { switchTheme } from '../ui/theme'
import { Tray } from './Tray'
import { RoleOfMine } from '../ui/may'

/** Seldom wanted, and heavy for a first view. */
const SignInForm = lazy(async () => ({ default: (await import('../household/SignIn')).SignInForm }))

const SINGLE_KEYS = 'sallowbrook.singleKeys'

export function Layout() {
  const session = useSession()
  const { pathname, search } = useLocation()
  // Once somebody was signed in here, the page stays as it is when the session ends, with what was typed in it.
  const [known, setKnown] = useState<Schemas['SessionView']>()
  if (session.data?.signedIn && known !== session.data) setKnown(session.data)
  // What one person typed and looked at is not another's, who signs in over the page.
  const who = session.data?.account ?? undefined
  const [first, setFirst] = useState(() => thisDevice()?.who)
  if (who && first === undefined) setFirst(who)
  const another = who !== undefined && first !== undefined && who !== first
  // Before any page asks for anything: each request says for whom it is.
  if (who && !another) speakFor(who)
  useEffect(() => {
    if (who && another) {
      forgetAll()
      deviceOf(who)
      location.assign('/')
    }
  }, [who, another])
  const numbers = session.data?.whomToCall
  useEffect(() => {
    if (numbers) keepNumbers(numbers)
  }, [numbers])
  // When something is wrong nobody is asked who they are, nor kept waiting for a server that does not answer.
  if (pathname === '/help' && (session.data ? !session.data.signedIn && !known : session.isError)) {
    return <Outlet />
  }
  // Nothing of one account's stands on the page of another.
  if (another) return null
  return (
    <Loaded query={session}>
      {(now) => {
        const s = now.signedIn ? now : known
        return s ? (
          <SignedIn
            name={s.name ?? ''}
            household={s.household ?? ''}
            account={s.account ?? ''}
            role={s.role}
            demo={s.demo}
            ended={!now.signedIn}
          />
        ) : (
          <Navigate to={`/sign-in?to=${encodeURIComponent(pathname + search)}`} replace />
        )
      }}
    </Loaded>
  )
}

function SignedIn({
  name,
  household,
  account,
  role,
  demo,
  ended,
}: {
  name: string
  household: string
  account: string
  role: Schemas['SessionView']['role']
  demo: boolean
  ended: boolean
}) {
  const [help, setHelp] = useState(false)
  const [single, setSingle] = useState(localStorage.getItem(SINGLE_KEYS) !== 'off')
  const navigate = useNavigate()
  const queries = useQueryClient()

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement &&
        e.target.closest('input:not([type=checkbox], [type=range]), textarea, [contenteditable]')
      const landing = LANDINGS[Number(e.key) - 1]
      // Not out of a field somebody types in: the form would be gone.
      if (e.altKey && landing && !typing) {
        e.preventDefault()
        void navigate(landing.to)
      } else if (e.key === '?' && !typing && single) {
        setHelp(true)
      } else if (e.key === '/' && !typing && single && !e.ctrlKey && !e.metaKey) {
        e.preventDefault()
        void navigate('/search')
      }
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [navigate, single])

  const { pathname } = useLocation()
  // The browser itself places the focus of a page that was just loaded; later moves are ours.
  const shown = useRef(pathname)
  useLayoutEffect(() => {
    if (shown.current === pathname) return undefined
    shown.current = pathname
    return toTheHeading()
  }, [pathname])

  const [leaving, setLeaving] = useState(0)
  const askToSignOut = async () => {
    const unsent = await mine().catch(() => [])
    if (unsent.length > 0) setLeaving(unsent.length)
    else await signOut()
  }
  const signOut = async () => {
    await ask(api.DELETE('/api/session'))
    await leave(queries)
  }

  return (
    <RoleOfMine.Provider value={role}>
      <a
        href="#main"
        className="bg-water text-sheet sr-only z-40 p-2 focus:not-sr-only focus:absolute focus:top-1 focus:left-1"
      >
        Skip to the work
      </a>
      <Head
        household={household}
        demo={demo}
        name={name}
        role={role}
        setHelp={setHelp}
        askToSignOut={askToSignOut}
      />
      <LineNotice />
      <NotebookNotice who={account} />
      <TimerNotice />
      <Outlet />
      <Tray />
      <Unsent count={leaving} onStay={() => setLeaving(0)} onLeave={() => void signOut()} />
      <SignInAgain ended={ended} demo={demo} />
      <Keys help={help} setHelp={setHelp} single={single} setSingle={setSingle} />
    </RoleOfMine.Provider>
  )
}

/** Whose house it is, what is always one touch away, and the brook. */
function Head({
  household,
  demo,
  name,
  role,
  setHelp,
  askToSignOut,
}: {
  household: string
  demo: boolean
  name: string
  role: Schemas['SessionView']['role']
  setHelp: Dispatch<SetStateAction<boolean>>
  askToSignOut: () => Promise<void>
}) {
  return (
    <header className="border-line border-b-2 lg:border-b-0">
      <div className="mx-auto flex max-w-7xl flex-wrap items-center justify-between gap-x-3 gap-y-1 px-4 pt-2 pb-1 text-sm">
        <p>
          <span className="text-base font-bold tracking-tight">Sallowbrook</span>
          <Link to="/household" className="text-soft ml-3 hidden underline sm:inline">
            {household}
          </Link>
          {/* On a phone beside the name: what is wrong, and the rest, fill the next line. */}
          <Link to="/search" className="ml-3 inline-flex min-h-6 items-center underline sm:hidden">
            Search
          </Link>
        </p>
        {demo && <DemoClock />}
        <p className="flex flex-wrap items-center gap-x-3">
          <span className="text-soft hidden sm:inline">
            {name}
            {role && `, ${ROLE[role]}`}
          </span>
          <Link to="/help" className="text-madder inline-flex min-h-6 items-center font-semibold underline">
            Something is wrong
          </Link>
          <Link to="/search" className="hidden min-h-6 items-center underline sm:inline-flex">
            Search
          </Link>
          <Link to="/household" className="inline-flex min-h-6 items-center underline sm:hidden">
            House
          </Link>
          <button type="button" className="min-h-6 underline" onClick={switchTheme}>
            Light or dark
          </button>
          <button type="button" className="hidden min-h-6 underline sm:inline" onClick={() => setHelp(true)}>
            Keys
          </button>
          <button type="button" className="min-h-6 underline" onClick={() => void askToSignOut()}>
            Sign out
          </button>
        </p>
      </div>
      <Brook />
    </header>
  )
}

/** Which key leads where; whoever dictates can put the single ones out. */
function Keys({
  help,
  setHelp,
  single,
  setSingle,
}: {
  help: boolean
  setHelp: Dispatch<SetStateAction<boolean>>
  single: boolean
  setSingle: Dispatch<SetStateAction<boolean>>
}) {
  return (
    <Dialog open={help} onClose={setHelp} className="relative z-50">
      <div className="fixed inset-0 bg-black/50" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="bg-sheet border-water w-full max-w-md border-2 p-5">
          <DialogTitle className="mb-3 text-xl font-semibold">Keys</DialogTitle>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            {LANDINGS.map((l, i) => (
              <div key={l.to} className="contents">
                <dt>
                  <kbd className="border-line border px-1">Alt+{i + 1}</kbd>
                </dt>
                <dd>{l.name}</dd>
              </div>
            ))}
            <dt>
              <Link to="/household" className="underline" onClick={() => setHelp(false)}>
                Household
              </Link>
            </dt>
            <dd>members, password, backup</dd>
            <dt>
              <kbd className="border-line border px-1">/</kbd>
            </dt>
            <dd>Search</dd>
            <dt>
              <kbd className="border-line border px-1">?</kbd>
            </dt>
            <dd>this list; none works while you type in a field</dd>
          </dl>
          <div className="my-3">
            <Toggle
              label="Keys without Alt"
              checked={single}
              onChange={(on) => {
                setSingle(on)
                localStorage.setItem(SINGLE_KEYS, on ? 'on' : 'off')
              }}
            />
          </div>
          <Button onClick={() => setHelp(false)}>Close</Button>
        </DialogPanel>
      </div>
    </Dialog>
  )
}

/**
 * After a move the heading has the focus, so that whoever hears the page is told where they are; in the moment it
 * appears, and not if they are further by then: a key pressed next would go nowhere.
 */
function toTheHeading() {
  const from = document.activeElement
  // A page that begins with a field has put them there already.
  if (from?.matches('main [data-autofocus]')) return undefined
  const place = () => {
    const heading = document.querySelector<HTMLElement>('main h1')
    if (!heading) return false
    const now = document.activeElement
    if (now === from || now === null || now === document.body) {
      heading.tabIndex = -1
      heading.focus({ preventScroll: true })
    }
    return true
  }
  if (place()) return undefined
  const watch = new MutationObserver(() => {
    if (place()) watch.disconnect()
  })
  watch.observe(document.body, { childList: true, subtree: true })
  return () => watch.disconnect()
}

/** What was written down without a line would be gone with the household's other things on the device. */
function Unsent({ count, onStay, onLeave }: { count: number; onStay: () => void; onLeave: () => void }) {
  return (
    <Dialog open={count > 0} onClose={onStay} className="relative z-50">
      <div className="fixed inset-0 bg-black/50" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="bg-sheet border-madder w-full max-w-md border-2 p-5">
          <DialogTitle className="mb-1 text-xl font-semibold">Not all of it is sent</DialogTitle>
          <p className="mb-3">
            {count === 1 ? 'One thing' : `${count} things`} written down on this device did not reach
            Sallowbrook yet. Signing out takes everything of yours off the device, this too. What others wrote
            down here stays for them.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button kind="main" onClick={onStay}>
              Stay signed in
            </Button>
            <Button onClick={onLeave}>Sign out and lose it</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  )
}

/** The session ended while the page was open: signed in again over it, nothing typed is lost. */
function SignInAgain({ ended, demo }: { ended: boolean; demo: boolean }) {
  const queries = useQueryClient()
  useEffect(() => {
    // Asked again, not believed: the refusal may be of a call from before somebody signed in again.
    const onOut = () => void queries.invalidateQueries({ queryKey: ['session'] })
    addEventListener(SIGNED_OUT, onOut)
    return () => removeEventListener(SIGNED_OUT, onOut)
  }, [queries])
  return (
    <Dialog open={ended} onClose={() => undefined} className="relative z-50">
      <div className="fixed inset-0 bg-black/50" aria-hidden />
      <div className="fixed inset-0 flex items-center justify-center overflow-auto p-4">
        <DialogPanel className="bg-sheet border-water w-full max-w-md border-2 p-5">
          <DialogTitle className="mb-1 text-xl font-semibold">Your session has ended</DialogTitle>
          <p className="text-soft mb-3">
            Sign in again; the page stays as it is. What you were about to save was not saved yet: press its
            button once more.
          </p>
          <Suspense fallback={null}>
            <SignInForm demo={demo} onDone={() => void queries.invalidateQueries()} />
          </Suspense>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
