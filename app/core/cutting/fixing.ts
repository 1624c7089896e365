import { addLengths, inches, type Length, nanometers } from '~/length'
import type { Fixing, Material, Survey, Workpiece } from '~/model'
import { isUpright, type Piece } from '../pieces'
import { boundsOf } from '../geometry'
import { keepOutsOf } from '../survey/keepOuts'

/** How a piece goes on, why, and with what nail. */
export interface FixingAdvice {
  readonly fixing: Fixing
  readonly why: 'renter' | 'chosen' | 'onStuds' | 'offStuds' | 'light' | 'noStuds' | 'keepOut'
  /** Studs the piece crosses. */
  readonly studs: number
  readonly nail: Length | null
  readonly longestNail: Length
}

/** Cable must lie at least this far behind the stud's face (NFPA 70, 300.4(D)). */
const CABLE_BEHIND = inches(1.25)

/** Brads and finish nails as sold, shortest first: common practice, no source. */
const NAILS = [0.625, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.25, 2.5].map(inches)

/**
 * The longest nail that stays short of a cable run by the book: strip + wallboard + 1 1/4 in (NFPA 70, 300.4(D)).
 * Where a bay may be wired otherwise no length is safe, and only an open look tells.
 */
export function longestNail(thickness: Length, wallboard: Length): Length {
  return addLengths(thickness, wallboard, CABLE_BEHIND)
}

/** A nail that reaches 3/4 in into the stud, as sold, never longer than the longest safe one. */
function nailFor(thickness: Length, wallboard: Length): Length | null {
  const wanted = thickness + wallboard + inches(0.75)
  const longest = longestNail(thickness, wallboard)
  return (
    NAILS.find((nail) => nail >= wanted && nail <= longest) ??
    NAILS.filter((nail) => nail <= longest).at(-1) ??
    null
  )
}

/** Strips this thin weigh little. Common practice, no source. */
const LIGHT = inches(3 / 8)

function studsUnder(piece: Piece, studs: readonly Length[]): number {
  const { left, right } = boundsOf(piece.polygon)
  return studs.filter((stud) => stud >= left && stud <= right).length
}

/** An upright strip along a keep-out: a cable may run behind its whole length. */
function overKeepOut(piece: Piece, survey: Survey): boolean {
  const { left, right } = boundsOf(piece.polygon)
  return keepOutsOf(survey).some(({ outline }) => {
    const bounds = boundsOf(outline)
    return bounds.left < right && bounds.right > left
  })
}

/** Proposes how to fix a piece, or carries out what the design chose. */
export function fixingOf(piece: Piece, material: Material, { wall }: Workpiece): FixingAdvice {
  const { behind, walkRound } = wall.survey
  const { fixing: chosen } = wall.design
  const studs = studsUnder(piece, behind.studs)
  const nail = nailFor(material.thickness, behind.wallboard)
  const longest = longestNail(material.thickness, behind.wallboard)
  const advice = (fixing: Fixing, why: FixingAdvice['why']): FixingAdvice => ({
    fixing,
    why,
    studs,
    nail: fixing === 'removable' || fixing === 'dabs' ? null : nail,
    longestNail: nanometers(longest),
  })
  if (chosen !== 'proposed') return advice(chosen, 'chosen')
  if (walkRound.holder === 'renter') return advice('removable', 'renter')
  if ((isUpright(piece.role) || piece.role === 'boxStile') && overKeepOut(piece, wall.survey))
    return advice('dabs', 'keepOut')
  if (studs > 0) return advice('nails', 'onStuds')
  if (material.thickness <= LIGHT) return advice('dabs', 'light')
  return behind.studs.length > 0 ? advice('nailsAndGlue', 'offStuds') : advice('crossedNails', 'noStuds')
}
