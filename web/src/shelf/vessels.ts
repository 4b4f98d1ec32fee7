import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { VESSEL } from '../ui/dictionary'
import { figure } from '../ui/words'

export type VesselView = Schemas['VesselView']

/** The household's own jars, bottles and tins. */
export const useVessels = () =>
  useQuery({ queryKey: ['vessels'], queryFn: () => ask(api.GET('/api/shelf/vessels')) })

export const vesselName = (v: VesselView) =>
  `${VESSEL[v.kind]} of ${figure(v.capacityMl)} mL${v.note ? `, ${v.note}` : ''}`
