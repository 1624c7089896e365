import { useMemo } from 'react'
import { takeOff } from '~/core/takeoff/supplies'
import { suppliesHeld, supplyLines } from '~/core/yard/supplyLines'
import type { Settings, YardAct } from '~/model'
import { inScope } from './scope'
import { useJobFacts, type WallBodies } from './useJobFacts'

/** What is to be bought besides boards, with what is on hand and in the cart taken off. */
export function useSupplyLines(
  job: { readonly id: string; readonly walls: readonly WallBodies[] },
  settings: Settings,
  acts: readonly YardAct[],
  scope: string,
) {
  const facts = useJobFacts(job.walls, settings)
  const held = useMemo(() => suppliesHeld(acts, job.id), [acts, job.id])
  const lines = useMemo(() => {
    const walls = inScope(facts.rooms, scope).flatMap(({ walls: own }) => own)
    return supplyLines(takeOff(walls, settings).supplies, held)
  }, [facts.rooms, scope, settings, held])
  return { lines, known: facts.known }
}
