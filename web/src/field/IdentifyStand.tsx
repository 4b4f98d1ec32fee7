import { isoToday } from '../ui/clock'
import { useCommand, useRenew } from '../ui/command'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import type { Schemas } from '../api/client'
import { carry } from '../api/outbox'
import { useTaxon } from '../herbarium/queries'
import { useSession } from '../household/queries'
import { KindOfPlant } from '../identification/KindOfPlant'
import { Look, type Seen } from '../identification/Look'
import type { Group } from '../identification/StageOfIt'
import { Input } from '../ui/controls'
import { forget, useKeptId, useOfNotebook } from '../ui/kept'
import { Loaded, Page } from '../ui/page'

import { asTyped, KeepIdentification, type Kept } from './KeepIdentification'
import { look } from './commands'
import { type Chosen } from '../ui/PictureField'
import { carryPictures } from './pictures'
import { useStand } from './queries'

export function IdentifyStand() {
  const { id = '' } = useParams()
  const stand = useStand(id)
  const session = useSession()
  const taxon = useTaxon(stand.data?.taxonId ?? '')
  return (
    <Loaded query={stand}>
      {(s) =>
        (taxon.data ?? !s.taxonId) && session.data ? (
          <IdentifyPage stand={s} taxon={taxon.data} today={isoToday()} region={session.data.region ?? ''} />
        ) : null
      }
    </Loaded>
  )
}

function IdentifyPage({
  stand,
  taxon,
  today,
  region,
}: {
  stand: Schemas['StandView']
  /** Undefined for a plant nobody has a name for. */
  taxon: Schemas['TaxonView'] | undefined
  today: string
  region: string
}) {
  const navigate = useNavigate()
  const renew = useRenew('field')
  const draft = `look ${stand.id}`
  const written = useOfNotebook(draft)
  const [on, setOn] = useState(() => written('on', today))
  const [group, setGroup] = useState<Group>(() => written('group', taxon?.group ?? 'PLANT'))
  const id = useKeptId(draft)
  const last = stand.identification
  const save = useCommand([], {
    mutationFn: async ({ kept, pictures, seen }: { kept: Kept; pictures: Chosen; seen: Seen }) => {
      const { sent } = await carry(
        look,
        { standId: stand.id, body: { ...seen, ...kept, on, id } },
        `A look at ${stand.name}, ${seen.observations.length} characters`,
        {
          path: `/field/stands/${stand.id}/identify`,
          form: draft,
          fields: { ...asTyped(id, kept, seen), on, group },
        },
      )
      await carryPictures(stand.id, pictures, { takenOn: on, identificationId: id })
      return sent
    },
    onSuccess: async (sent) => {
      forget(draft)
      if (sent) await renew()
      await navigate(sent ? `/field/stands/${stand.id}` : '/field/notebook')
    },
  })
  return (
    <Page title="Identify a stand">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <Input
          label="Seen on"
          type="date"
          max={today}
          value={on}
          onChange={(e) => e.target.value && setOn(e.target.value)}
        />
        {!taxon && <KindOfPlant value={group} onChange={setGroup} />}
        <p className="text-soft basis-full sm:flex-1 sm:basis-0">
          {stand.place}. Tap what you see; leave out what you cannot. What it was taken for is not shown while
          you look.
        </p>
      </div>
      <Look
        key={group}
        draft={draft}
        group={group}
        on={on}
        region={region}
        earlier={last?.goesOn ? last : undefined}
      >
        {(answer, seen, wentOn) => (
          <KeepIdentification
            draft={draft}
            answer={answer}
            before={Boolean(last) && !wentOn}
            error={save.error}
            busy={save.isPending}
            onKeep={(kept, pictures) => save.mutate({ kept, pictures, seen })}
          />
        )}
      </Look>
    </Page>
  )
}
