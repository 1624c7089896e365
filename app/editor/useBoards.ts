import { useEffect, useMemo, useState } from 'react'
import { type LeftToCut, requestsFor } from '~/core/cutting/leftToCut'
import { seenBy } from '~/core/cutting/seen'
import type { Plan } from '~/core/computePlan'
import { asCutSoFar, type BoardPlan, type BoardRequest, withOpen } from '~/core/stock'
import { bestFaces } from '~/core/stock/bestFaces'
import { boardFlaws } from '~/core/stock/boardFlaws'
import { ok } from '~/length'
import type { Act, Workpiece } from '~/model'
import { type Boards, type MaterialBoards, usePlannedBoards } from './usePlannedBoards'

export type { Boards, MaterialBoards } from './usePlannedBoards'

/** Proven plans by material, each with what it hangs on besides its pieces: the saw, the boards on sale, the flawed ones. */
type Held = ReadonlyMap<string, { readonly plan: BoardPlan; readonly from: string }>
const NONE: Held = new Map()

const fromOf = ({ kerf, endTrim, offers }: BoardRequest, flaws: string) =>
  JSON.stringify([kerf, endTrim, offers.filter(({ limit }) => limit === undefined), flaws])

/**
 * The boards of what is left to cut of a wall, those that are open among them, flawed ones put to use where it shows least. A proven plan
 * stays as it is while pieces are cut from the boards it says.
 */
export function useBoards(left: LeftToCut, acts: readonly Act[], plan: Plan, workpiece: Workpiece): Boards {
  const { wall, settings } = workpiece
  const { kerf } = settings.shop
  const requests = useMemo(() => requestsFor(left, { settings }), [left, settings])
  const flaws = useMemo(() => boardFlaws(acts), [acts])
  const flawed = JSON.stringify(flaws)
  const [held, setHeld] = useState(NONE)
  const known = useMemo(
    () =>
      requests.map((request) => {
        const before = held.get(request.materialId)
        return before?.from === fromOf(request, flawed) ? asCutSoFar(before.plan, request, left.open) : null
      }),
    [requests, held, flawed, left],
  )
  const found = usePlannedBoards(requests.filter((_, i) => !known[i]))
  const laidOut = useMemo(() => {
    const seen = flaws.length > 0 ? seenBy(plan.pieces, wall.survey) : null
    return found.materials.map((each): MaterialBoards => {
      if (!each.result.ok) return each
      const whole = withOpen(each.result.value, each.request, left.open)
      return { ...each, result: ok(seen ? bestFaces(whole, flaws, seen, kerf) : whole) }
    })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- which boards are flawed is the key's content
  }, [found.materials, left, flawed, plan.pieces, wall.survey, kerf])
  useEffect(() => {
    const proven = laidOut.flatMap(({ request, result }) =>
      result.ok && result.value.proven
        ? [[request.materialId, { plan: result.value, from: fromOf(request, flawed) }] as const]
        : [],
    )
    if (proven.length > 0) setHeld((before) => new Map([...before, ...proven]))
  }, [laidOut, flawed])
  return useMemo(() => {
    const byMaterial = new Map(laidOut.map((each) => [each.request.materialId, each]))
    const materials = requests.flatMap((request, i): MaterialBoards[] => {
      const as = known[i]
      if (as) return [{ request, result: ok(as), state: 'settled' }]
      const fresh = byMaterial.get(request.materialId)
      return fresh ? [fresh] : []
    })
    const cut = new Map<string, number>()
    for (const { materialId } of left.cut) cut.set(materialId, (cut.get(materialId) ?? 0) + 1)
    return { ...found, materials, cut }
  }, [requests, known, laidOut, found, left])
}
