import { area, difference, EndType, FillRule, inflatePaths, intersect, JoinType } from 'clipper2-ts'
import type { Plan } from '~/core/computePlan'
import { boundsOf, isInside, movedFrom, type Point, type Polygon } from '~/core/geometry'
import { wholePiece } from '~/core/strips/strip'

/** Moves that fill all of their field with parallel bands. */
const FILLING = ['diagonals', 'lattice', 'chevron']
/** Areas are compared to a tenth of a square millimeter, in square nanometers. */
const SAME = 1e11
/** Farther than any wall reaches. */
const FAR = 1e11

type Ring = { x: number; y: number }[]
const ring = (outline: Polygon): Ring => outline.map(({ x, y }) => ({ x: Math.round(x), y: Math.round(y) }))
const less = (from: Ring[], solid: Ring[]): Ring[] => difference(from, solid, FillRule.NonZero)
const sum = (rings: Ring[]) => Math.abs(rings.reduce((total, each) => total + area(each), 0))
const box = (left: number, bottom: number, right: number, top: number): Ring =>
  ring([
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ])

/** Of some rings those whose boxes meet that of an outline: the rest would be cut for nothing. */
function near(rings: readonly Ring[], outline: Ring): Ring[] {
  const own = boundsOf(outline)
  return rings.filter((each) => {
    const { left, right, bottom, top } = boundsOf(each)
    return left < own.right && right > own.left && bottom < own.top && top > own.bottom
  })
}

/** A family of bands against what is cut of it: by strip, what is open, what of that a fitter sees, and what reaches past the band. */
export interface BandAreas {
  readonly stripId: string
  /** Nothing covers it: square nanometers. */
  readonly open: number
  /** A disc as wide as the fitting tolerance lies in it. */
  readonly wide: boolean
  /** Its pieces lie outside the band, or its field, or over another piece: square nanometers. */
  readonly over: number
}

/**
 * The bands of all moves that fill their field, each cut out of its field without end and compared, by area, with the pieces that came
 * of it and all that stands on the wall. Nothing of how pieces are cut is taken for granted.
 */
export function bandAreas({ layout, pieces }: Plan, within: number): BandAreas[] {
  const { moves, obstacles } = layout
  if (!moves?.field) return []
  const { field } = moves
  const things = obstacles.filter(({ kind }) => kind !== 'strip').map(({ outline }) => ring(outline))
  const solid = [...things, ...pieces.map(({ polygon }) => ring(polygon))]
  const found: BandAreas[] = []
  for (const made of moves.moves.filter(({ kind }) => FILLING.includes(kind)))
    for (const stripId of made.stripIds) {
      const strip = layout.strips.find(({ id }) => id === stripId)
      const face = strip && wholePiece(strip)?.face
      if (!strip || !face) continue
      const middle: Point = {
        x: face.reduce((total, { x }) => total + x, 0) / face.length,
        y: face.reduce((total, { y }) => total + y, 0) / face.length,
      }
      const move = layout.design.lines.moves.find(({ id }) => id === made.id)
      const byBay = made.kind === 'chevron' || (move && 'where' in move && move.where === 'bays')
      const region = byBay
        ? field.bays.find(({ outline }) => isInside(middle, outline))?.outline
        : field.outline
      if (!region) continue
      const corner = (along: number, left: number) => movedFrom(strip.center, strip.directionDeg, along, left)
      const half = strip.faceWidth / 2
      const endless = ring([corner(-FAR, -half), corner(FAR, -half), corner(FAR, half), corner(-FAR, half)])
      let band = intersect([endless], [ring(region)], FillRule.NonZero) as Ring[]
      if (made.kind === 'chevron' && field.bays.length === 1) {
        // a chevron in one bay turns in its middle: a band is one of its halves
        const { left, right } = boundsOf(region)
        const turn = (left + right) / 2
        const side = middle.x < turn ? box(-FAR, -FAR, turn, FAR) : box(turn, -FAR, FAR, FAR)
        band = intersect(band, [side], FillRule.NonZero) as Ring[]
      }
      // an edge that two faces share may leave a ring of no area; what is left of it a second time is open
      const around = near(solid, band.flat())
      const open = less(band, around)
        .filter((each) => area(each) > 0)
        .flatMap((each) => less([each], around))
      const own = pieces.filter((piece) => piece.stripId === stripId).map(({ polygon }) => ring(polygon))
      const others = pieces.filter((piece) => piece.stripId !== stripId).map(({ polygon }) => ring(polygon))
      found.push({
        stripId,
        open: sum(open) < SAME ? 0 : sum(open),
        wide: open.some(
          (each) =>
            area(each) > SAME &&
            inflatePaths([each], -within / 2, JoinType.Miter, EndType.Polygon).length > 0,
        ),
        over: own.reduce((total, each) => {
          const past = sum(less([each], band))
          const shared = sum(
            intersect([each], near([...others, ...things], each), FillRule.NonZero) as Ring[],
          )
          return total + [past, shared].filter((one) => one > SAME).reduce((a, b) => a + b, 0)
        }, 0),
      })
    }
  return found
}
