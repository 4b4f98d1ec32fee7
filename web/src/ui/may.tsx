import { createContext, useContext, type ComponentType, type ReactNode } from 'react'
import type { Schemas } from '../api/client'

type Role = Schemas['MemberView']['role']
/** What is done in the household: its work recorded, or its rules, people and cards kept. */
type Deed = 'record' | 'keep'

const MAY: Record<Deed, Role[]> = { record: ['KEEPER', 'HELPER'], keep: ['KEEPER'] }

export const RoleOfMine = createContext<Role | undefined>(undefined)

export function useMay(deed: Deed) {
  const role = useContext(RoleOfMine)
  return role !== undefined && MAY[deed].includes(role)
}

/** Nobody is offered what the server would refuse them. */
export function Only({ deed, children }: { deed: Deed; children: ReactNode }) {
  return useMay(deed) ? children : null
}

/** A part of a page that only those see who may do it. */
export function only<P extends object>(deed: Deed, Part: ComponentType<P>): ComponentType<P> {
  return function May(props: P) {
    return useMay(deed) ? <Part {...props} /> : null
  }
}

/** A page that only those can use who may do it; an address typed or kept leads the others to this. */
export function pageOnly(deed: Deed, Whole: ComponentType): ComponentType {
  return function May() {
    return useMay(deed) ? (
      <Whole />
    ) : (
      <main id="main" className="mx-auto max-w-xl p-8">
        <h1 className="text-2xl font-semibold">
          {deed === 'record' ? 'You look only' : 'A keeper of the household does this'}
        </h1>
        <p className="my-3">Who may do what is set by a keeper, under Household.</p>
      </main>
    )
  }
}
