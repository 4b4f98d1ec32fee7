import { useEffect, useState } from 'react'
import type { Schemas } from '../api/client'
import { Drawing } from './Drawing'

type About = Schemas['JoinAboutView']

const TRY_MS = 8_000
const MAIN = 'bg-water text-sheet inline-flex min-h-11 items-center px-4 font-semibold'

/** Opened over http by the code that the machine shows: leads a phone to https and nowhere else. */
export function Join() {
  const [about, setAbout] = useState<About>()
  const [failed, setFailed] = useState(false)
  useEffect(() => {
    fetch('/api/joining/about')
      .then((answer) => answer.json() as Promise<About>)
      .then(setAbout, () => setFailed(true))
  }, [])
  return (
    <main id="main" className="mx-auto max-w-xl space-y-4 px-4 pt-4 pb-12">
      <h1 className="text-2xl font-semibold">Bring this phone into the house</h1>
      <p>
        Sallowbrook runs on a machine in this house, and its pages come over a line that nobody else can read.
        For that the phone has to trust the machine. It takes about two minutes, once for each phone.
      </p>
      {failed && (
        <p role="alert" className="border-madder bg-madder-pale border-l-8 px-3 py-2">
          The machine does not answer. Is it on, and this phone in the house’s own network? Then load this
          page again.
        </p>
      )}
      <Load about={about} />
      <Trust />
      {about && <Try port={about.port} />}
    </main>
  )
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="border-line bg-sheet border-t-2 px-4 py-3">
      <h2 className="mb-2 text-lg font-semibold">{title}</h2>
      {children}
    </section>
  )
}

function Load({ about }: { about?: About }) {
  return (
    <Part title="1. Load the household’s certificate">
      <div className="flex gap-4">
        <Drawing of="file" />
        <div className="space-y-3">
          <a href="/api/joining/authority.crt" className={MAIN}>
            Load it
          </a>
          <p className="text-soft text-sm">
            It vouches for machines in a house’s own network, and for nothing on the internet.
          </p>
        </div>
      </div>
      {about && (
        <p className="mt-3 text-sm">
          Its fingerprint, the same as on the machine under Household, Phones of the house. Where it differs,
          stop: somebody is between you and the machine.
          <span className="figures mt-1 block font-medium break-words">{about.fingerprint}</span>
        </p>
      )}
    </Part>
  )
}

function Step({ of, children }: { of: 'list' | 'switch' | 'lock'; children: React.ReactNode }) {
  return (
    <li className="flex items-center gap-4">
      <Drawing of={of} />
      <span>{children}</span>
    </li>
  )
}

function Trust() {
  return (
    <Part title="2. Tell the phone to trust it">
      <p className="mb-2">What did the phone say when it was loaded?</p>
      <details className="border-line border-t py-2">
        <summary className="cursor-pointer py-2 font-medium">It says that a profile was loaded</summary>
        <ol className="space-y-3">
          <Step of="list">
            Open the phone’s settings. The profile stands near the top; if not, look under General, where
            profiles and device management are. Open it.
          </Step>
          <Step of="lock">Install it. The phone asks for its own code.</Step>
          <Step of="switch">
            Go to General, About, Certificate trust, at the very bottom, and switch it on for “Sallowbrook of
            this house”. Without this step it does not work yet.
          </Step>
        </ol>
      </details>
      <details className="border-line border-y py-2">
        <summary className="cursor-pointer py-2 font-medium">It shows a file, or says nothing</summary>
        <ol className="space-y-3">
          <Step of="list">
            Open the phone’s settings and search there for “certificate”. Choose to install one, of the kind
            “CA certificate”.
          </Step>
          <Step of="lock">
            The phone warns that your traffic may be read by whoever made it: that is this house’s own
            machine. Install it all the same; the phone asks for its own code.
          </Step>
          <Step of="list">Choose the file sallowbrook.crt among what was loaded.</Step>
        </ol>
      </details>
    </Part>
  )
}

type Tried = 'trying' | 'works' | 'not yet'

function Try({ port }: { port: number }) {
  const there = `https://${location.hostname}:${port}`
  const [tried, setTried] = useState<Tried>()
  const go = async () => {
    setTried('trying')
    try {
      const answer = await fetch(`${there}/api/joining/here`, {
        cache: 'no-store',
        signal: AbortSignal.timeout(TRY_MS),
      })
      setTried(answer.ok ? 'works' : 'not yet')
    } catch {
      setTried('not yet')
    }
  }
  return (
    <Part title="3. Try it">
      {tried !== 'works' && (
        <button type="button" className={MAIN} disabled={tried === 'trying'} onClick={() => void go()}>
          {tried === 'trying' ? 'Trying' : 'Try it'}
        </button>
      )}
      <div role="status" className="mt-2 space-y-3">
        {tried === 'not yet' && (
          <p className="border-amber bg-amber-pale border-l-4 px-3 py-2">
            Not yet: the phone does not trust the machine, or does not reach it. Go through step 2 again; the
            last line of it is the one that is missed most often. The phone has to be in the house’s own
            network, not in the guests’.
          </p>
        )}
        {tried === 'works' && (
          <>
            <p className="border-lichen bg-lichen-pale border-l-4 px-3 py-2 font-medium">
              It works: this phone trusts the machine.
            </p>
            <a href={`${there}/field/notebook`} className={MAIN}>
              Open Sallowbrook
            </a>
            <p>
              Sign in there, put it on the home screen from the browser’s menu, and pack it for the field.
              This page is not needed any more.
            </p>
          </>
        )}
      </div>
    </Part>
  )
}
