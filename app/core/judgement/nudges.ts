import { type Length, nearestNanometer, tickOf } from '~/length'
import { type Edit, inForce, type Workpiece } from '~/model'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf, distanceBetween, unitVector } from '../geometry'
import { type CutWall, cutWall } from '../layout/cutWall'
import { LIMITS } from '~/model'

/** A place of the whole field of lines: how it is moved, what it leaves, in one press. */
export interface Nudge {
  readonly axis: 'along' | 'up'
  readonly by: Length
  /** Plates under lines, with what is asked for round them. */
  readonly hits: number
  readonly pieces: number
  readonly edits: readonly Edit[]
}

/** What a search of nudges tried, and found; `whole` where every place within its limits was weighed. */
export interface Nudges {
  readonly now: number
  readonly found: readonly Nudge[]
  readonly tried: number
  readonly whole: boolean
}

/** Plates that struck strips come nearer to than is asked for. */
export function platesHit({ layout, pieces }: CutWall): number {
  const struck = pieces.filter(({ role }) => role === 'line')
  return platesNear({ layout, pieces: struck })
}

/** Plates that any of these pieces comes nearer to than is asked for, or is cut round. */
export function platesNear({ layout, pieces: struck }: CutWall): number {
  const { clearance } = layout.design.judgement
  return layout.obstacles.filter(
    ({ plate, outline }) =>
      plate &&
      struck.some(({ polygon }) => {
        const [a, b] = [boundsOf(polygon), boundsOf(outline)]
        if (a.left > b.right + clearance || b.left > a.right + clearance) return false
        if (a.bottom > b.top + clearance || b.bottom > a.top + clearance) return false
        return distanceBetween(polygon, outline) < clearance - 1
      }),
  ).length
}

/** So many places along an axis are laid out and looked at; what lies beyond is said not to have been. */
const MOST_TRIED = 400

/**
 * Where one family or several come out the same after so much, moving farther is no other place: the least pitch of all makers along the
 * axis, at the most the wall's judgement of how far strips may move on battens; two thirds of the field without one.
 */
function reachOf({ layout }: CutWall, axis: 'along' | 'up'): number {
  const pitches = layout.design.lines.moves.flatMap((move) => {
    if (!move.on || !('clear' in move)) return []
    const strip = layout.strips.find(({ group }) => group === move.id)
    if (!strip) return []
    const u = unitVector(strip.directionDeg)
    const part = Math.abs(axis === 'along' ? u.y : u.x)
    return part < 1e-6 ? [] : [(strip.faceWidth + move.clear) / part]
  })
  const widest = Math.max(...pitches, 0)
  return widest > 0 ? widest / 2 : Math.min(layout.survey.width, layout.survey.height) / 6
}

/** Whether any struck strip lies otherwise. */
function differs(a: CutWall, b: CutWall): boolean {
  const of = ({ layout }: CutWall) => layout.strips.filter(({ role }) => role === 'line')
  const [one, other] = [of(a), of(b)]
  return (
    one.length !== other.length ||
    one.some(({ center }, i) => center.x !== other[i]?.center.x || center.y !== other[i]?.center.y)
  )
}

/**
 * The places of the whole field that clear most plates, each axis for itself, on the tape's ticks, as near as may be to where it lies:
 * all within half a pitch either way, which is every place there is, are laid out and looked at, unless they are too many.
 */
export function nudgesFor(workpiece: Workpiece): Nudges {
  const { lines } = inForce(workpiece.wall.design)
  const present = cutWall(workpiece)
  const now = platesHit(present)
  if (now === 0 || present.pieces.length > LIMITS.lines) return { now, found: [], tried: 0, whole: true }
  const tick = tickOf(workpiece.settings.tape)
  const found: Nudge[] = []
  let [tried, whole] = [0, true]
  for (const axis of ['along', 'up'] as const) {
    const reach = reachOf(present, axis)
    const steps = Math.floor(reach / tick)
    let here = 0
    let best: Nudge | null = null
    axis: for (let step = 1; step <= steps; step++) {
      if (here >= MOST_TRIED) {
        whole = false
        break
      }
      for (const sign of [1, -1]) {
        here += 1
        const by = nearestNanometer(sign * step * tick)
        const edits: Edit[] = [
          {
            type: 'patchDesign',
            patch: {
              lines: {
                ...lines,
                nudge: { ...lines.nudge, [axis]: nearestNanometer(lines.nudge[axis] + by) },
              },
            },
          },
        ]
        const cut = cutWall(applyEdits(workpiece, edits))
        // what hangs on uprights alone does not move along the foot
        if (step === 1 && sign === 1 && !differs(cut, present)) break axis
        const hits = platesHit(cut)
        if (hits < (best?.hits ?? now)) best = { axis, by, hits, pieces: cut.pieces.length, edits }
      }
      if (best?.hits === 0) break
    }
    tried += here
    if (best) found.push(best)
  }
  return {
    now,
    found: found.sort((a, b) => a.hits - b.hits || Math.abs(a.by) - Math.abs(b.by)),
    tried,
    whole,
  }
}
