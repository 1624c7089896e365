import { inches, type Length, nearestNanometer, readOnTape, type Tape, type TapeReading } from '~/length'
import { FURNITURE, inForce, type Stand, type Workpiece } from '~/model'
import type { Plan } from '../computePlan'
import { type FixingAdvice, fixingOf, standsUp } from '../cutting/fixing'
import { landsOnPieces } from '../cutting/openings'
import { boundsOf, type Point, unitVector } from '../geometry'
import { stuffOf } from '../layout/returning'
import { lineChecks, lineMarks, type MarkedOn } from '../marks/lineMarks'
import {
  type Datum,
  hookedAt,
  type Hook,
  runningMarks,
  spacerBlock,
  type StripMarks,
} from '../marks/runningMarks'
import type { Piece } from '../pieces'
import { type FitGroup, fitSteps } from '../sequence/fitSteps'
import { baseAt } from '../survey/wallLines'
import { middleOfFace } from '../takeoff/fixings'

/** What is looked at before a piece is nailed for good. */
export type FitCheck =
  /** The first level one: with a level, before the second goes on. */
  | { readonly kind: 'levelFirst' }
  | { readonly kind: 'level' }
  /** Uprights: plumb, or however they stand here. */
  | { readonly kind: 'stands'; readonly stand: Stand['kind'] }
  | { readonly kind: 'gapBlock'; readonly length: TapeReading }
  | { readonly kind: 'runningMark'; readonly near: TapeReading }
  | { readonly kind: 'straightedge' }
  | { readonly kind: 'diagonal'; readonly reads: TapeReading }
  | { readonly kind: 'square'; readonly to: string }
  /** Back along the line, before the piece that covers it. */
  | { readonly kind: 'lookBack' }
  | { readonly kind: 'nailDepth' }

/** How one person alone holds a piece until it is nailed. */
export type HeldBy = 'prop' | 'nailUnder' | 'tape' | 'hand'

export interface FitCard {
  readonly pieceId: string
  readonly stripId: string
  readonly group: FitGroup
  /** Which half of the wall, where furniture is moved in between; null where none is. */
  readonly half: 1 | 2 | null
  /** The strip's edges from the hook; null for what is not marked along the wall. */
  readonly marks: StripMarks | null
  /** Its left edge from the left corner, for what stands up and has no marks of its own; else null. */
  readonly left: TapeReading | null
  /** Its marks on what it meets at both ends, of a struck strip. */
  readonly ends: readonly { readonly on: MarkedOn; readonly near: TapeReading; readonly far: TapeReading }[]
  /** Its lower and upper edge over the finished floor, at its left end; null for what stands up. */
  readonly heights: { readonly bottom: TapeReading; readonly top: TapeReading } | null
  readonly fixing: FixingAdvice
  /** Studs under it where something may be driven, from the farthest point of its own end. */
  readonly studs: readonly TapeReading[]
  readonly studsFrom: OwnEnd
  readonly checks: readonly FitCheck[]
  readonly held: HeldBy
  /** Pieces it comes up to: they are up before it, where its opening is read. */
  readonly after: readonly string[]
}

/** From this on a piece bows, and one person can't hold both its ends. Common practice, no source. */
const LONG = inches(48)
/** Beside furniture so much is needed to work. A guess of ours, no source. */
const ELBOW = inches(24)

/** Pieces by whether furniture that stays keeps them for the second half: those in its reach. */
function behindFurniture(workpiece: Workpiece, plan: Plan): ReadonlySet<string> | null {
  const { walkRound, things } = workpiece.wall.survey
  if (walkRound.furniture !== 'stays') return null
  const kept = things.filter(({ kind }) => (FURNITURE as readonly string[]).includes(kind))
  const middle = (plan.layout.left + plan.layout.right) / 2
  const reach =
    kept.length > 0
      ? kept.map(({ left, width }) => ({ left: left - ELBOW, right: left + width + ELBOW }))
      : [{ left: middle, right: Infinity }]
  return new Set(
    plan.pieces.flatMap(({ id, polygon }) => {
      const { left, right } = boundsOf(polygon)
      return reach.some((each) => left < each.right && right > each.left) ? [id] : []
    }),
  )
}

/**
 * Pieces in the order in which they go up: the school's groups, longest first; what is measured in place after what it lands on; of one
 * group first what others land on. What waits for one another in a circle goes as it comes.
 */
export function fitOrder(
  pieces: readonly Piece[],
  workpiece: Workpiece,
  inPlace: ReadonlySet<string> = new Set(),
  second: ReadonlySet<string> | null = null,
  lands: ReadonlyMap<string, readonly string[]> = landsOnPieces(pieces),
): { readonly pieceId: string; readonly group: FitGroup }[] {
  const steps = fitSteps(pieces, workpiece.settings.work.fitOrder).flatMap(({ group, pieceIds }) =>
    pieceIds.map((pieceId) => ({ pieceId, group })),
  )
  const groupOf = new Map(steps.map(({ pieceId, group }) => [pieceId, group]))
  const isSecond = (id: string) => second?.has(id) ?? false
  const needs = new Map(
    steps.map(({ pieceId, group }) => [
      pieceId,
      (lands.get(pieceId) ?? []).filter(
        (other) =>
          (inPlace.has(pieceId) || groupOf.get(other) === group) && !(isSecond(other) && !isSecond(pieceId)),
      ),
    ]),
  )
  const halves = second
    ? [
        ...steps.filter(({ pieceId }) => !isSecond(pieceId)),
        ...steps.filter(({ pieceId }) => isSecond(pieceId)),
      ]
    : steps
  const placed = new Set<string>()
  const opened = new Set<string>()
  const order: { pieceId: string; group: FitGroup }[] = []
  const byId = new Map(halves.map((step) => [step.pieceId, step]))
  /** Everything a piece waits for goes before it; a ring is broken where it closes. */
  const place = (id: string) => {
    const step = byId.get(id)
    if (!step || placed.has(id) || opened.has(id)) return
    opened.add(id)
    for (const other of needs.get(id) ?? []) place(other)
    placed.add(id)
    order.push(step)
  }
  for (const { pieceId } of halves) place(pieceId)
  return order
}

/** The end of a piece that studs are measured from: its left one, of what stands up its lower one. */
type OwnEnd = 'left' | 'lower'

/**
 * Where studs cross the middle of a piece, along it from the farthest point of its left (of what stands up its lower) end; none where
 * nothing may be driven. Under what is plumb a stud is along all of it or nowhere.
 */
function studsUnder(piece: Piece, { clearOf }: FixingAdvice, { wall, settings }: Workpiece): TapeReading[] {
  const up = standsUp(piece)
  const along = unitVector(piece.directionDeg)
  const middle = middleOfFace(piece)
  if (!middle || Math.abs(along.x) < 0.02) return []
  const sense = (up ? along.y : along.x) < 0 ? -1 : 1
  const reach = ({ x, y }: Point) => sense * (x * along.x + y * along.y)
  const end = Math.min(...piece.face.map(reach))
  const start = middle.at(0)
  return wall.survey.behind.studs
    .flatMap((stud) => {
      const far = (stud - start.x) / along.x
      const at = middle.at(far)
      const place = up ? at.y : at.x
      const isFree = !clearOf.some(({ from, to }) => place >= from && place <= to)
      return far > 0 && far < middle.length && isFree ? [reach(at) - end] : []
    })
    .sort((a, b) => a - b)
    .map((place) => readOnTape(place, settings.tape))
}

/** How high a piece lies at its left end, over the finished floor there: its lower and its upper corner. */
function heightsOf({ face }: Piece, { lines }: Plan['layout'], tape: Tape): NonNullable<FitCard['heights']> {
  const xs = face.map(({ x }) => x)
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2
  const own = face.filter(({ x }) => x <= middle).map(({ x, y }) => y - baseAt(lines, x))
  return { bottom: readOnTape(Math.min(...own), tape), top: readOnTape(Math.max(...own), tape) }
}

/**
 * The fitting of a wall, piece by piece: where it goes, how it is fixed, what is looked at before it is nailed, how one person alone holds it.
 * `inPlace` are the pieces whose openings are read on the wall. Every piece is on one card.
 */
export function fitWalk(
  workpiece: Workpiece,
  plan: Plan,
  {
    datum,
    hook,
    inPlace,
  }: { readonly datum: Datum; readonly hook: Hook; readonly inPlace: ReadonlySet<string> },
): FitCard[] {
  const { layout, pieces } = plan
  const { tape } = workpiece.settings
  const second = behindFurniture(workpiece, plan)
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  const marks = new Map(runningMarks(layout, datum, tape, hook).map((each) => [each.stripId, each]))
  const block = spacerBlock(layout, datum, tape, hook)
  const checked = new Map(block?.checks.map(({ stripId, near }) => [stripId, near]))
  const lines = new Map(lineChecks(layout, pieces, tape).map((check) => [check.pieceId, check]))
  const struck = lineMarks(layout, pieces, tape)
  const corner = hookedAt(layout, 'left', 'foot')
  const lands = landsOnPieces(pieces)
  const { stand } = inForce(workpiece.wall.design)
  const strips = new Map(layout.strips.map((strip) => [strip.id as string, strip]))
  let [levels, uprights, nailed] = [0, 0, 0]
  let looked = false
  return fitOrder(pieces, workpiece, inPlace, second, lands).flatMap(({ pieceId, group }): FitCard[] => {
    const piece = byId.get(pieceId)
    const material = piece && stuffOf(piece, workpiece)
    if (!piece || !material) return []
    const fixing = fixingOf(piece, material, workpiece)
    const up = standsUp(piece)
    const isUpright = up && marks.has(piece.stripId) && group !== 'frames'
    const isLevel = !up && Math.abs(Math.sin((piece.directionDeg * Math.PI) / 180)) < 0.02
    const checks: FitCheck[] = []
    if (isLevel) checks.push({ kind: levels++ === 0 ? 'levelFirst' : 'level' })
    if (isUpright) {
      checks.push({ kind: 'stands', stand: stand.kind })
      if (uprights++ > 0 && block) checks.push({ kind: 'gapBlock', length: block.length })
      const near = checked.get(piece.stripId)
      if (near) checks.push({ kind: 'runningMark', near })
    }
    const line = lines.get(pieceId)
    if (line) {
      checks.push({ kind: 'diagonal', reads: line.diagonal })
      if (line.squareTo !== null && strips.has(line.squareTo))
        checks.push({ kind: 'square', to: line.squareTo })
    }
    if (line?.straightedge || (!line && piece.longLength >= LONG && !isUpright && group !== 'ledges'))
      checks.push({ kind: 'straightedge' })
    // what covers the line of uprights is the first level piece after them, or what lies on top
    const covers = group === 'ledges' || (isLevel && (piece.role === 'topRail' || piece.role === 'cap'))
    if (covers && uprights > 1 && !looked) {
      looked = true
      checks.push({ kind: 'lookBack' })
    }
    if (fixing.nail !== null && nailed++ === 0) checks.push({ kind: 'nailDepth' })
    const held: HeldBy = up
      ? 'tape'
      : piece.longLength < LONG
        ? 'hand'
        : layout.bands.some(({ id }) => id === piece.stripId)
          ? 'prop'
          : 'nailUnder'
    return [
      {
        pieceId,
        stripId: piece.stripId,
        group,
        half: second === null ? null : second.has(pieceId) ? 2 : 1,
        marks: marks.get(piece.stripId) ?? null,
        left: up && !marks.has(piece.stripId) ? readOnTape(boundsOf(piece.face).left - corner, tape) : null,
        ends: struck.flatMap(({ on, marks: own }) =>
          own.flatMap((mark) => (mark.pieceId === pieceId ? [{ on, near: mark.near, far: mark.far }] : [])),
        ),
        heights: isUpright ? null : heightsOf(piece, layout, tape),
        fixing,
        studs: studsUnder(piece, fixing, workpiece),
        studsFrom: up ? 'lower' : 'left',
        checks,
        held,
        after: lands.get(pieceId) ?? [],
      },
    ]
  })
}

/** A length longer than any stock is joined; one that reads otherwise than planned by so much is asked about. */
export type BuiltLength = 'fits' | 'trim' | 'short'

/** What a piece's true length means on the wall: it fits, is trimmed in place, or is short of its opening. */
export function lengthOnWall(
  built: Length,
  wanted: Length,
  fit: Length,
): { readonly is: BuiltLength; readonly by: Length } {
  const by = nearestNanometer(built - wanted)
  return { is: Math.abs(by) <= fit ? 'fits' : by > 0 ? 'trim' : 'short', by }
}
