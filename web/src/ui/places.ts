import type { Schemas } from '../api/client'

type Hit = Pick<Schemas['Hit'], 'kind' | 'id'>

const ADDRESS: Record<Hit['kind'], (id: string) => string> = {
  PLANT: (id) => `/herbarium/${id}`,
  STAND: (id) => `/field/stands/${id}`,
  HARVEST: (id) => `/tracing/${id}`,
  STOCK: (id) => `/shelf/${id}`,
  BATCH: (id) => `/making/batches/${id}`,
  FILLED: (id) => `/shelf/${id}`,
  PERSON: (id) => `/dosing/people/${id}`,
  NOTE: (id) => `/notes/${id}`,
}

/** The page of a thing of the house. */
export const addressOf = ({ kind, id }: Hit) => ADDRESS[kind](id)
