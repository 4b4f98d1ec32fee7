import { isoToday } from '../ui/clock'
import { useCommand, useRenew } from '../ui/command'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { carry } from '../api/outbox'
import { useSession } from '../household/queries'
import { KindOfPlant } from '../identification/KindOfPlant'
import { Look, type Seen } from '../identification/Look'
import type { Group } from '../identification/StageOfIt'
import { Choose } from '../ui/Choose'
import { Input } from '../ui/controls'
import { Loaded, Page } from '../ui/page'
import { forget, useKeptId, useOfNotebook } from '../ui/kept'

import { asTyped, KeepIdentification, type Kept } from './KeepIdentification'
import { addStand, look } from './commands'
import { type Chosen } from '../ui/PictureField'
import { carryPictures } from './pictures'
import { useStands } from './queries'

/** A plant nobody has a name for yet; what is made out is kept with a stand, an old one or a new one. */
export function WhatIsThis() {
  const session = useSession()
  return <Loaded query={session}>{(s) => <Ask today={isoToday()} region={s.region ?? ''} />}</Loaded>
}

function Ask({ today, region }: { today: string; region: string }) {
  const navigate = useNavigate()
  const renew = useRenew('field')
  const stands = useStands()
  const draft = 'look at something'
  const written = useOfNotebook(draft)
  const [standId] = useState(() => written('standId', v7()))
  const [group, setGroup] = useState<Group>(() => written('group', 'PLANT'))
  const [name, setName] = useState(() => written('name', ''))
  const [place, setPlace] = useState(() => written('place', ''))
  const [stand, setStand] = useState(() => written('stand', ''))
  const [on, setOn] = useState(() => written('on', today))
  const ids = { stand: standId, identification: useKeptId(draft) }
  const save = useCommand([], {
    mutationFn: async ({ kept, pictures, seen }: { kept: Kept; pictures: Chosen; seen: Seen }) => {
      let at = stand
      const back = {
        path: '/field/identify',
        form: draft,
        fields: {
          ...asTyped(ids.identification, kept, seen),
          standId,
          group,
          name,
          place,
          stand,
          on,
        },
      }
      if (at === '') {
        await carry(
          addStand,
          {
            id: ids.stand,
            name,
            place,
            ground: 'UNKNOWN',
            permission: 'UNKNOWN',
            plenty: 'PLENTIFUL',
            protectedSpecies: false,
          },
          `A new stand, ${name || 'without a name'}`,
          back,
        )
        at = ids.stand
      }
      const { sent } = await carry(
        look,
        { standId: at, body: { ...seen, ...kept, on, id: ids.identification } },
        `A look at ${name || 'a stand'}, ${seen.observations.length} characters`,
        back,
      )
      await carryPictures(at, pictures, { takenOn: on, identificationId: ids.identification })
      return { at, sent }
    },
    onSuccess: async ({ at, sent }) => {
      forget(draft)
      if (sent) await renew()
      await navigate(sent ? `/field/stands/${at}` : '/field/notebook')
    },
  })
  return (
    <Page title="What is this?">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <KindOfPlant value={group} onChange={setGroup} />
        <Input
          label="Seen on"
          type="date"
          max={today}
          value={on}
          onChange={(e) => e.target.value && setOn(e.target.value)}
        />
        <p className="text-soft basis-full sm:flex-1 sm:basis-0">
          Tap what you see; leave out what you cannot.
        </p>
      </div>
      <Look key={group} draft={draft} group={group} on={on} region={region}>
        {(answer, seen) => (
          <KeepIdentification
            draft={draft}
            answer={answer}
            before={stand !== ''}
            error={save.error}
            busy={save.isPending}
            onKeep={(kept, pictures) => save.mutate({ kept, pictures, seen })}
          >
            <Choose
              label="Stand"
              value={stand}
              choices={[
                { value: '', label: 'a new one' },
                ...(stands.data ?? []).map((s) => ({ value: s.id, label: s.name, hint: s.place })),
              ]}
              onChange={setStand}
            />
            {stand === '' && (
              <>
                <Input label="Name of the new stand" value={name} onChange={(e) => setName(e.target.value)} />
                <Input label="Place" value={place} onChange={(e) => setPlace(e.target.value)} />
                {answer?.verdict.status !== 'CONFIRMED' && answer?.verdict.status !== 'SECOND_WANTED' && (
                  <p className="text-soft text-sm">
                    It is kept as a plant nobody knows yet. You will be told when it can be looked at again.
                  </p>
                )}
              </>
            )}
          </KeepIdentification>
        )}
      </Look>
    </Page>
  )
}
