import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { useCommand } from '../ui/command'
import { Button, Input } from '../ui/controls'
import { only } from '../ui/may'
import { ProblemNotice } from '../ui/page'

/** Asked in the first minutes, and until it is said: nobody looks for a number when it is needed. */
export const WhomToCall = only('keep', function WhomToCall() {
  const settings = useQuery({
    queryKey: ['settings'],
    queryFn: () => ask(api.GET('/api/household/settings')),
  })
  const s = settings.data
  return s && s.emergencyNumber.trim() === '' ? <Numbers settings={s} /> : null
})

function Numbers({ settings }: { settings: Schemas['SettingsView'] }) {
  const [emergency, setEmergency] = useState('')
  const [poison, setPoison] = useState(settings.poisonCentre)
  const save = useCommand('household', {
    mutationFn: () =>
      ask(
        api.PUT('/api/household/settings', {
          body: {
            name: settings.name,
            zone: settings.zone,
            region: settings.region,
            latitude: settings.latitude ?? undefined,
            elevationM: settings.elevationM ?? undefined,
            standIns: settings.standIns,
            emergencyNumber: emergency,
            poisonCentre: poison,
          },
        }),
      ),
  })
  return (
    <section
      aria-label="Whom you call"
      className="border-madder bg-madder-pale mb-4 max-w-3xl border-l-8 px-3 py-2"
    >
      <h2 className="text-lg font-semibold">Before anything else: whom do you call?</h2>
      <p className="text-sm">
        Every country has both numbers. They stand on the page “Something is wrong”, on this device also
        without a line, and on what is printed for the wall.
      </p>
      <form
        className="mt-2 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <Input
          label="Emergency number"
          inputMode="tel"
          value={emergency}
          onChange={(e) => setEmergency(e.target.value)}
          error={errorAt(save.error, 'emergencyNumber')}
        />
        <Input
          label="Poison centre"
          inputMode="tel"
          value={poison}
          onChange={(e) => setPoison(e.target.value)}
          error={errorAt(save.error, 'poisonCentre')}
        />
        <Button kind="main" type="submit" disabled={save.isPending || emergency.trim() === ''}>
          Keep the numbers
        </Button>
      </form>
      <ProblemNotice error={save.error} />
    </section>
  )
}
