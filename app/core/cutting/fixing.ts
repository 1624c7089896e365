import { addLengths, inches, type Length, nearestNanometer } from '~/length'
import { type Fixing, type Material, type Survey, type Workpiece, inForce } from '~/model'
import { stuffOf } from '../layout/returning'
import type { CutRow, Piece } from '../pieces'
import { boundsOf, clipConvex, type Polygon } from '../geometry'
import { behindStrips } from '../panels/backerSheet'
import { keepOutsOf } from '../survey/keepOuts'

/** A stretch of a piece: along the wall from the left corner for a level one, up from the floor for an upright. */
export interface Stretch {
  readonly from: Length
  readonly to: Length
}

/** How a piece goes on, why, and with what nail. */
export interface FixingAdvice {
  readonly fixing: Fixing
  readonly why: 'renter' | 'chosen' | 'onStuds' | 'offStuds' | 'light' | 'noStuds' | 'keepOut'
  /** Studs the piece crosses where something may be driven. */
  readonly studs: number
  /** What is driven; null where nothing is. */
  readonly nail: Length | null
  readonly longestNail: Length
  /** Where on the piece nothing is driven, whatever holds the rest of it. */
  readonly clearOf: readonly Stretch[]
  /** What these run along: the wall from its left corner, or up it where the piece stands up. */
  readonly clearAlong: 'wall' | 'up'
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

/** A brad that holds a piece until its adhesive has set: through the piece and the board behind it. */
function holdingBrad(thickness: Length, wallboard: Length): Length | null {
  const longest = longestNail(thickness, wallboard)
  const wanted = thickness + wallboard
  return NAILS.find((nail) => nail >= wanted && nail <= longest) ?? nailFor(thickness, wallboard)
}

/** Strips this thin weigh little, and so do narrow mouldings up to half an inch. Common practice, no source. */
const LIGHT = inches(3 / 8)
const LIGHT_MOULDING = { thickness: inches(1 / 2), width: inches(1.5) }

function isLight({ thickness, width }: Material): boolean {
  return thickness <= LIGHT || (thickness <= LIGHT_MOULDING.thickness && width <= LIGHT_MOULDING.width)
}

/** Runs more up than along. */
export function standsUp({ directionDeg }: Pick<Piece, 'directionDeg'>): boolean {
  return Math.abs(Math.sin((directionDeg * Math.PI) / 180)) > Math.SQRT1_2
}

/** Neither level nor upright, nor a hair off it. */
function isSlanted({ directionDeg }: Piece): boolean {
  return Math.abs(Math.sin((2 * directionDeg * Math.PI) / 180)) > 0.05
}

/** What of a slanted piece lies over an upright rectangle; nothing where only their bounds meet. */
function overOf({ face }: Piece, { left, right, bottom, top }: ReturnType<typeof boundsOf>) {
  const sides = [
    { through: { x: left, y: 0 }, directionDeg: 270 },
    { through: { x: right, y: 0 }, directionDeg: 90 },
    { through: { x: 0, y: bottom }, directionDeg: 0 },
    { through: { x: 0, y: top }, directionDeg: 180 },
  ]
  return boundsOf(
    sides.reduce<Polygon>((part, side) => (part.length > 2 ? clipConvex(part, side) : []), face),
  )
}

/** The stretches of a piece that lie over keep-outs, however little of its width they take; joined, in order. */
function keptClear(piece: Piece, survey: Survey): Stretch[] {
  const face = boundsOf(piece.polygon)
  const up = standsUp(piece)
  const over = keepOutsOf(survey)
    .map(({ outline }) => boundsOf(outline))
    .filter((k) => k.left < face.right && k.right > face.left && k.bottom < face.top && k.top > face.bottom)
    .flatMap((k) => {
      const { left, right, bottom, top } = isSlanted(piece) ? overOf(piece, k) : face
      const stretch = up
        ? { from: Math.max(k.bottom, bottom), to: Math.min(k.top, top) }
        : { from: Math.max(k.left, left), to: Math.min(k.right, right) }
      return stretch.to > stretch.from ? [stretch] : []
    })
    .sort((a, b) => a.from - b.from)
  const joined: { from: number; to: number }[] = []
  for (const { from, to } of over) {
    const last = joined[joined.length - 1]
    if (last && from <= last.to) last.to = Math.max(last.to, to)
    else joined.push({ from, to })
  }
  return joined.map(({ from, to }) => ({ from: nearestNanometer(from), to: nearestNanometer(to) }))
}

/** Left of a piece for nails, less than this is too little to hold it. Common practice, no source. */
const LEAST_NAILED = inches(4)

/** Ways that drive nothing into the wall. */
const DRIVES_NOTHING: ReadonlySet<Fixing> = new Set(['removable', 'adhesiveOnly', 'hotGlue'])
/** Ways in which adhesive holds and a brad or pin only waits with it. */
const BRAD_WAITS: ReadonlySet<Fixing> = new Set(['dabs', 'pinsAndGlue'])

/**
 * Proposes how to fix one piece, or carries out what the design chose. Over a keep-out nothing is driven, chosen or not:
 * a piece that lies on one whole is held by adhesive alone, another says where to keep clear.
 */
export function fixingOf(piece: Piece, material: Material, workpiece: Workpiece): FixingAdvice {
  const { wall } = workpiece
  const { behind, walkRound } = wall.survey
  const board = behindStrips(workpiece)
  const { fixing: chosen } = inForce(wall.design)
  const { left, right, bottom, top } = boundsOf(piece.polygon)
  const clearOf = keptClear(piece, wall.survey)
  const isKept = (stud: number) =>
    !standsUp(piece) && clearOf.some(({ from, to }) => stud >= from && stud <= to)
  const studs = behind.studs.filter((stud) => stud >= left && stud <= right && !isKept(stud)).length
  const advice = (fixing: Fixing, why: FixingAdvice['why']): FixingAdvice => ({
    fixing,
    why,
    studs,
    nail: DRIVES_NOTHING.has(fixing)
      ? null
      : BRAD_WAITS.has(fixing)
        ? holdingBrad(material.thickness, board)
        : nailFor(material.thickness, board),
    longestNail: longestNail(material.thickness, board),
    clearOf,
    clearAlong: standsUp(piece) ? 'up' : 'wall',
  })
  const length = standsUp(piece) ? top - bottom : right - left
  const free = length - clearOf.reduce((sum, { from, to }) => sum + to - from, 0)
  const isOver = clearOf.length > 0 && free < Math.min(LEAST_NAILED, length / 2)
  if (chosen !== 'proposed' && (DRIVES_NOTHING.has(chosen) || !isOver)) return advice(chosen, 'chosen')
  if (walkRound.holder === 'renter') return advice('removable', 'renter')
  if (isOver) return advice('adhesiveOnly', 'keepOut')
  if (studs > 0) return advice('nails', 'onStuds')
  if (isLight(material)) return advice('dabs', 'light')
  return behind.studs.length > 0 ? advice('nailsAndGlue', 'offStuds') : advice('crossedNails', 'noStuds')
}

/** Pieces of a row that go on alike, and how many studs each of them crosses, from fewest to most. */
export interface RowFixing {
  readonly advice: FixingAdvice
  readonly pieceIds: readonly string[]
  readonly studs: readonly [number, number]
}

/** How the pieces of a row go on: cut alike is not fixed alike, so each is asked for by itself. */
export function rowFixings(
  row: Pick<CutRow, 'pieceIds'>,
  pieces: readonly Piece[],
  workpiece: Workpiece,
): RowFixing[] {
  const groups = new Map<string, RowFixing>()
  for (const piece of pieces) {
    const material = row.pieceIds.includes(piece.id) ? stuffOf(piece, workpiece) : undefined
    if (!material) continue
    const advice = fixingOf(piece, material, workpiece)
    const key = JSON.stringify([advice.fixing, advice.why, advice.nail, advice.clearOf])
    const known = groups.get(key)
    groups.set(key, {
      advice,
      pieceIds: [...(known?.pieceIds ?? []), piece.id],
      studs: [
        Math.min(known?.studs[0] ?? advice.studs, advice.studs),
        Math.max(known?.studs[1] ?? advice.studs, advice.studs),
      ],
    })
  }
  return [...groups.values()]
}
