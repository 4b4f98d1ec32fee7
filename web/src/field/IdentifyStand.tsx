import { isoToday } from '../ui/clock'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { useTaxon } from '../herbarium/queries'
import { useSession } from '../household/queries'
import { Identify, type Seen } from '../identification/Identify'
import { Loaded, Page } from '../ui/page'

import { KeepIdentification, type Kept } from './KeepIdentification'
import { sendPictures, type Chosen } from './PictureField'
import { useStand } from './queries'

export function IdentifyStand() {
  const { id = '' } = useParams()
  const stand = useStand(id)
  const session = useSession()
  const taxon = useTaxon(stand.data?.taxonId ?? '')
  return (
    <Loaded query={stand}>
      {(s) =>
        taxon.data && session.data ? (
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
  taxon: Schemas['TaxonView']
  today: string
  region: string
}) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [id] = useState(() => v7())
  const stages = taxon.months.map((m) => m.stage)
  const month = Number(today.slice(5, 7))
  const now = taxon.months.find((m) => m.months.includes(month))?.stage
  const [seen, setSeen] = useState<Seen>({
    on: today,
    stage: stages.includes('FLOWERING') ? 'FLOWERING' : (now ?? stages[0] ?? 'LEAFY'),
    region,
    conditions: [],
    observations: [],
  })
  const save = useMutation({
    mutationFn: async ({ kept, pictures }: { kept: Kept; pictures: Chosen }) => {
      await ask(
        api.POST('/api/field/stands/{id}/identifications', {
          params: { path: { id: stand.id } },
          body: {
            on: seen.on,
            stage: seen.stage,
            conditions: seen.conditions,
            observations: seen.observations,
            ...kept,
            id,
          },
        }),
      )
      await sendPictures(stand.id, pictures, { takenOn: seen.on, identificationId: id })
    },
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate(`/field/stands/${stand.id}`)
    },
  })
  return (
    <Page title={`Identify: ${stand.name}`}>
      <p className="text-soft mb-3">
        {stand.place}. Taken for {stand.commonName} (
        <span className="font-plant italic">{stand.scientificName}</span>
        ). Tap what you see; leave out what you cannot.
      </p>
      <Identify expected={stand.taxonId} group={taxon.group} seen={seen} onChange={setSeen}>
        {(answer) => (
          <KeepIdentification
            answer={answer}
            seen={seen}
            today={today}
            onSeen={setSeen}
            error={save.error}
            busy={save.isPending}
            onKeep={(kept, pictures) => save.mutate({ kept, pictures })}
          />
        )}
      </Identify>
    </Page>
  )
}
