import { type Length, nearestNanometer } from '~/length'
import type { Act, Fixing, Workpiece } from '~/model'
import { pulledOff } from '../asbuilt/pulledOff'
import { releaseOf } from '../asbuilt/release'
import type { Plan } from '../computePlan'
import { fitOrder } from '../fit/fitWalk'
import { boundsOf, type Point } from '../geometry'
import { panelsOf } from '../panels/panels'
import type { Piece } from '../pieces'
import { profileAt } from '../survey/profile'
import { DAB_FROM_END, heldBy, middleOfFace, type Nails, placesOn } from '../takeoff/fixings'
import { seamsOf } from '../takeoff/seams'

/** What taking a piece off does to the wall behind it. */
export type Tears =
  /** Nail holes alone: filled and sanded. */
  | 'holes'
  /** Adhesive pulls the paper off the wallboard along its bead or under each dab: sealed, skimmed, sanded. */
  | 'paper'
  /** Hot glue lifts with warmth and a blade; specks of paint come along. */
  | 'specks'
  /** Strips made to be taken off: pulled down along the wall. */
  | 'nothing'

/** How one piece comes off. */
export interface TakenDown {
  readonly pieceId: string
  /** Its name in the list it was cut to; null where none was let out. */
  readonly name: string | null
  readonly fixing: Fixing
  readonly nails: Nails | null
  readonly nailsAt: readonly Point[]
  /** Beads of adhesive, from end to end of the middle of its face; two side by side on a wide one. */
  readonly beads: { readonly count: number; readonly from: Point; readonly to: Point } | null
  readonly dabsAt: readonly Point[]
  readonly tears: Tears
  /** Where on the wall it is: its left edge from the left corner, its foot over the floor there. */
  readonly left: Length
  readonly bottom: Length
  readonly length: Length
}

export interface TakeDown {
  /** In the order they come off: what went up last first. */
  readonly pieces: readonly TakenDown[]
  /** Seams with caulk or paint over them: cut first, or what they hold tears. */
  readonly cut: Length
  /** Nail holes to fill, those of pieces that were pulled off before among them. */
  readonly holes: number
  readonly earlier: readonly {
    readonly piece: string
    readonly at: readonly Point[]
    readonly holes: number
  }[]
  /** Length of beads and number of dabs under which paper tears. */
  readonly torn: { readonly beads: Length; readonly dabs: number }
  /** The skin under the trim, which comes off last; null where there is none. */
  readonly panels: { readonly count: number; readonly fasteners: number } | null
}

/** How high a place on the wall is over the floor below it, that which will be where one is to come: as one reads it there with a tape. */
export function overFloor({ shape, lines }: Plan['layout'], { x, y }: Point): number {
  return y - profileAt(shape.floor, x) - lines.build
}

const TEARS: Readonly<Record<Fixing, Tears>> = {
  nails: 'holes',
  crossedNails: 'holes',
  nailsAndGlue: 'paper',
  pinsAndGlue: 'paper',
  adhesiveOnly: 'paper',
  dabs: 'paper',
  hotGlue: 'specks',
  removable: 'nothing',
}

/**
 * How a wall's trim comes off again, and what it leaves: for a tenant who moves out, and for whoever owns the wall later. Places in wall
 * units. What each way of fixing leaves: common practice, no source.
 */
export function takeDown(plan: Plan, workpiece: Workpiece, acts: readonly Act[] = []): TakeDown {
  const { pieces } = plan
  const { spread } = workpiece.settings.work
  const names = new Map(releaseOf(acts)?.pieces.map(({ piece }) => [piece.pieceId, piece.name]))
  const held = new Map(heldBy(pieces, workpiece, spread).map((each) => [each.pieceId, each]))
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  const off = [...fitOrder(pieces, workpiece)].reverse().flatMap(({ pieceId }): TakenDown[] => {
    const [piece, by] = [byId.get(pieceId), held.get(pieceId)]
    return piece && by ? [takenDown(piece, by)] : []
  })
  const skin = panelsOf(workpiece, plan.layout)
  const earlier = pulledOff(acts).map(({ piece, at, holes }) => ({ piece, at, holes }))
  const sum = (of: (each: TakenDown) => number) => off.reduce((total, each) => total + of(each), 0)
  return {
    pieces: off,
    cut: nearestNanometer(
      seamsOf(workpiece, plan)
        .seams.filter(({ against }) => against !== 'floor')
        .reduce((total, { length }) => total + length, 0),
    ),
    holes: sum(({ nails }) => nails?.holes ?? 0) + earlier.reduce((total, { holes }) => total + holes, 0),
    earlier,
    torn: {
      beads: nearestNanometer(
        sum(({ beads, tears, length }) => (beads && tears === 'paper' ? beads.count * length : 0)),
      ),
      dabs: sum(({ dabsAt }) => dabsAt.length),
    },
    panels: skin?.ok
      ? {
          count: skin.value.panels.length,
          fasteners: skin.value.panels.reduce((total, { fasteners }) => total + fasteners, 0),
        }
      : null,
  }

  function takenDown(piece: Piece, by: NonNullable<ReturnType<typeof held.get>>): TakenDown {
    const { left, bottom } = boundsOf(piece.polygon)
    const middle = middleOfFace(piece)
    return {
      pieceId: piece.id,
      name: names.get(piece.id) ?? null,
      fixing: by.fixing,
      nails: by.nails,
      nailsAt: by.nailsAt(),
      beads:
        by.beads > 0 && middle
          ? {
              count: Math.max(1, Math.round(by.beads / piece.longLength)),
              from: middle.at(0),
              to: middle.at(middle.length),
            }
          : null,
      dabsAt: by.dabs > 0 ? placesOn(piece, piece.longLength, spread.dabsApart, DAB_FROM_END) : [],
      tears: TEARS[by.fixing],
      left: nearestNanometer(left),
      bottom: nearestNanometer(overFloor(plan.layout, { x: left, y: bottom })),
      length: piece.longLength,
    }
  }
}
