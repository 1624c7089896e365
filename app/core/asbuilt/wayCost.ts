import type { Act, Edit, Workpiece } from '~/model'
import { boardsFor, leftToCut } from '../cutting/leftToCut'
import { toRelease } from '../cutting/toRelease'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf } from '../geometry'
import { cutWall } from '../layout/cutWall'
import { buildCutList, type Piece } from '../pieces'
import type { CutFacts } from './cutFacts'
import { sinceRelease } from './freeze'
import type { Release } from './release'

/** What a way takes. */
export interface WayCost {
  /** Pieces cut already that are cut anew, and of them those cut from themselves. */
  readonly recuts: readonly string[]
  readonly fromThemselves: number
  /** Boards to buy more than without it, fewer where negative; null where some piece has no board. */
  readonly boards: number | null
  /** Money for boards more than without it, in hundredths; null where a price is missing. */
  readonly cost: number | null
  readonly minutes: number
}

interface Known {
  readonly release: Release | null
  /** What of the wall is cut and what boards are left for it, and what the wall takes as it is now. */
  readonly facts: CutFacts
  readonly now: Pick<ReturnType<typeof boardsFor>, 'whole' | 'count' | 'cost'>
  readonly cut: ReadonlyMap<string, Release['pieces'][number]>
  readonly acts: readonly Act[]
  readonly pieces: readonly Piece[]
}

/**
 * What edits cost: the pieces that are cut anew, and what the boards for all that is left to cut come to beside what they come to now.
 * What is recut is what the list finds when it goes out again: a piece that is cut and goes in elsewhere is not cut anew.
 */
export function costOf(
  workpiece: Workpiece,
  edits: readonly Edit[],
  { release, facts, now, cut, acts, pieces }: Known,
): WayCost {
  const after = applyEdits(workpiece, edits)
  const { fit, work } = workpiece.settings
  const { layout, pieces: wanted } = cutWall(after)
  const cutList = buildCutList(wanted)
  const since = release && sinceRelease(release, { cutList, fit })
  const again = since?.again ?? []
  const left = leftToCut(toRelease({ layout, pieces: wanted, cutList }, after), after, facts)
  const then = boardsFor(left, after)
  const marked = new Set(acts.flatMap((act) => (act.kind === 'marked' ? [act.strip] : [])))
  const was = new Map(pieces.map((piece) => [piece.id, boundsOf(piece.polygon).left]))
  const remark = new Set(
    wanted
      .filter(({ id, polygon }) => Math.abs((was.get(id) ?? 0) - boundsOf(polygon).left) > 2)
      .map(({ stripId }) => stripId),
  )
  const marks = [...remark].filter((id) => marked.has(id)).length
  return {
    recuts: again.map((id) => cut.get(id)?.piece.name ?? id),
    fromThemselves: left.fromThemselves.length,
    boards: now.whole && then.whole ? then.count - now.count : null,
    cost: now.cost === null || then.cost === null ? null : then.cost - now.cost,
    minutes: Math.round(again.length * work.rates.cutOne + marks * work.rates.markOne),
  }
}
