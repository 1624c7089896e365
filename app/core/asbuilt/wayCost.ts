import type { Act, Edit, Workpiece } from '~/model'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf } from '../geometry'
import { cutWall } from '../layout/cutWall'
import { buildCutList, type Piece, sameRecesses } from '../pieces'
import { boardRequests, firstBoards } from '../stock'
import { sinceRelease } from './freeze'
import { lengthNow, type Release } from './release'

/** What a way takes. */
export interface WayCost {
  /** Pieces cut already that are cut anew, and of them those cut from themselves. */
  readonly recuts: readonly string[]
  readonly fromThemselves: number
  readonly boards: number | null
  readonly cost: number | null
  readonly minutes: number
}

interface Known {
  readonly release: Release | null
  readonly cut: ReadonlyMap<string, Release['pieces'][number]>
  readonly acts: readonly Act[]
  readonly pieces: readonly Piece[]
}

/**
 * What edits cost whose pieces are cut already: of what is up nothing, of what is not cut nothing either. What is recut is what the list
 * finds when it goes out again: a piece that is cut and goes in elsewhere is not cut anew.
 */
export function costOf(
  workpiece: Workpiece,
  edits: readonly Edit[],
  { release, cut, acts, pieces }: Known,
): WayCost {
  const after = applyEdits(workpiece, edits)
  const { fit, work } = workpiece.settings
  const wanted = cutWall(after).pieces
  const since = release && sinceRelease(release, { cutList: buildCutList(wanted), fit })
  const isAgain = new Set(since?.again)
  const isLeft = new Set(since?.leftOver.map(({ name }) => name))
  const again = wanted.filter(({ id }) => isAgain.has(id))
  const fresh = again.filter((piece) => {
    const state = cut.get(piece.id)
    if (!state || !isLeft.has(state.piece.name)) return true
    return piece.longLength > lengthNow(state).longLength || !sameRecesses(state.piece, piece)
  })
  const plans = boardRequests(buildCutList(fresh), workpiece.settings).map(firstBoards)
  const known = plans.flatMap((plan) => (plan.ok ? [plan.value] : []))
  const all = known.length === plans.length
  const marked = new Set(acts.flatMap((act) => (act.kind === 'marked' ? [act.strip] : [])))
  const was = new Map(pieces.map((piece) => [piece.id, boundsOf(piece.polygon).left]))
  const remark = new Set(
    wanted
      .filter(({ id, polygon }) => Math.abs((was.get(id) ?? 0) - boundsOf(polygon).left) > 2)
      .map(({ stripId }) => stripId),
  )
  const marks = [...remark].filter((id) => marked.has(id)).length
  return {
    recuts: again.map(({ id }) => cut.get(id)?.piece.name ?? id),
    fromThemselves: again.length - fresh.length,
    boards: all ? known.reduce((sum, { boards }) => sum + boards.length, 0) : null,
    cost: all
      ? known.reduce<number | null>((sum, { cost }) => (sum === null || cost === null ? null : sum + cost), 0)
      : null,
    minutes: Math.round(again.length * work.rates.cutOne + marks * work.rates.markOne),
  }
}
