import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, Navigate, Outlet, useNavigate } from 'react-router'
import { api, ask } from '../api/client'
import { useSession } from '../household/queries'
import { Button, Toggle } from '../ui/controls'
import { ROLE } from '../ui/dictionary'
import { Loaded } from '../ui/page'
import { Brook, LANDINGS } from './Brook'
import { TimerNotice } from './TimerNotice'
import { DemoClock } from './DemoClock'
import { switchTheme } from './theme'
import { Tray } from './Tray'

const SINGLE_KEYS = 'sallowbrook.singleKeys'

export function Layout() {
  const session = useSession()
  return (
    <Loaded query={session}>
      {(s) =>
        s.signedIn ? (
          <SignedIn
            name={s.name ?? ''}
            household={s.household ?? ''}
            role={s.role ? ROLE[s.role] : ''}
            demo={s.demo}
          />
        ) : (
          <Navigate to="/sign-in" replace />
        )
      }
    </Loaded>
  )
}

function SignedIn({
  name,
  household,
  role,
  demo,
}: {
  name: string
  household: string
  role: string
  demo: boolean
}) {
  const [help, setHelp] = useState(false)
  const [single, setSingle] = useState(localStorage.getItem(SINGLE_KEYS) !== 'off')
  const navigate = useNavigate()
  const queries = useQueryClient()

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest('input, textarea, [contenteditable]')
      const landing = LANDINGS[Number(e.key) - 1]
      if (e.altKey && landing) {
        e.preventDefault()
        void navigate(landing.to)
      } else if (e.key === '?' && !typing && single) {
        setHelp(true)
      }
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [navigate, single])

  const signOut = async () => {
    await ask(api.DELETE('/api/session'))
    queries.clear()
    location.assign('/sign-in')
  }

  return (
    <>
      <a
        href="#main"
        className="bg-water text-sheet sr-only z-40 p-2 focus:not-sr-only focus:absolute focus:top-1 focus:left-1"
      >
        Skip to the work
      </a>
      <header className="border-line border-b-2 lg:border-b-0">
        <div className="mx-auto flex max-w-7xl flex-wrap items-center justify-between gap-x-3 gap-y-1 px-4 pt-2 pb-1 text-sm">
          <p>
            <span className="text-base font-bold tracking-tight">Sallowbrook</span>
            <Link to="/household" className="text-soft ml-3 hidden underline sm:inline">
              {household}
            </Link>
          </p>
          {demo && <DemoClock />}
          <p className="flex items-center gap-3">
            <span className="text-soft hidden sm:inline">
              {name}, {role}
            </span>
            <button type="button" className="min-h-6 underline" onClick={switchTheme}>
              Light or dark
            </button>
            <button type="button" className="min-h-6 underline" onClick={() => setHelp(true)}>
              Keys
            </button>
            <button type="button" className="min-h-6 underline" onClick={() => void signOut()}>
              Sign out
            </button>
          </p>
        </div>
        <Brook />
      </header>
      <TimerNotice />
      <Outlet />
      <Tray />
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
                <kbd className="border-line border px-1">?</kbd>
              </dt>
              <dd>this list</dd>
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
    </>
  )
}
