import { nearestNanometer } from '~/length'
import type { Design, Settings } from '~/model'
import { type Line, movedFrom, type Polygon, unitVector } from '../geometry'
import {
  type EndsAt,
  isUpright,
  type Meeting,
  meetings,
  type Piece,
  type PieceSpec,
  placePiece,
  ROLES,
  splitRun,
  type StripSpec,
  treatmentOf,
} from '../pieces'
import type { Obstacle } from '../survey/obstacles'
import { type Layout, longestBoard, materialOf } from './layout'
import type { StripPlan } from './frames'

/** The shortest piece worth cutting. */
const SHORTEST = 6_350_000 // 1/4 in

/** A notch deeper than this part of the width leaves no strip to speak of: it ends there instead. */
const MOST_NOTCH = 0.75

/** A part of a strip between what ends it: the lines it stays within besides the strip's own. */
interface Part {
  readonly alsoStart: readonly Line[]
  readonly alsoEnd: readonly Line[]
  readonly startsAt: EndsAt
  readonly endsAt: EndsAt
}

/** A strip that runs through, as what others end at: its face before any notch, which is what stops them. */
function asObstacle(id: string, outline: Polygon): Obstacle {
  return { id, kind: 'strip', outline, thickness: 0, fate: 'keep', plate: false }
}

/** What lies in a strip's way in order along it, those that overlap each other together: between them there is no piece. */
function clustered(ending: readonly Meeting[]): Meeting[][] {
  const clusters: Meeting[][] = []
  let reached = -Infinity
  for (const meeting of ending) {
    const last = clusters[clusters.length - 1]
    if (last && meeting.from <= reached) last.push(meeting)
    else clusters.push([meeting])
    reached = Math.max(reached, meeting.to)
  }
  return clusters
}

/** Parts of a strip between the things and the strips that end it. */
function partsOf(
  { spec, startsAt, endsAt }: StripPlan,
  obstacles: readonly Obstacle[],
  design: Design,
): { parts: Part[]; notched: Meeting[] } {
  const own: Part = { alsoStart: [], alsoEnd: [], startsAt, endsAt }
  const whole = obstacles.length === 0 ? null : placePiece({ ...spec, id: spec.stripId })
  if (!whole) return { parts: obstacles.length === 0 ? [own] : [], notched: [] }
  const start = startAlong(whole, spec)
  const found = meetings(spec, obstacles).filter(
    ({ from, to }) => to > start && from < start + whole.longLength,
  )
  const wanted = found.map((meeting) => ({ meeting, treatment: treatmentOf(meeting, design.meets) }))
  const notched = wanted.filter(({ treatment }) => treatment === 'notch').map(({ meeting }) => meeting)
  const holds = (meeting: Meeting) =>
    meeting.depth <= spec.faceWidth * MOST_NOTCH &&
    !notched.some((other) => other !== meeting && other.from < meeting.to && other.to > meeting.from)
  const ending = wanted
    .filter(({ meeting, treatment }) => treatment === 'end' || (treatment === 'notch' && !holds(meeting)))
    .map(({ meeting }) => meeting)
  const parts: Part[] = []
  let from: Pick<Part, 'alsoStart' | 'startsAt'> = own
  for (const several of clustered(ending)) {
    const at = several.some(({ obstacle }) => obstacle.kind !== 'strip') ? 'thing' : 'strip'
    if (several.every((meeting) => meeting.from > start))
      parts.push({ ...from, alsoEnd: several.map(({ entry }) => entry), endsAt: at })
    from = { alsoStart: several.map(({ exit }) => exit), startsAt: at }
  }
  parts.push({ ...from, alsoEnd: [], endsAt })
  return { parts, notched: notched.filter(holds) }
}

/** Cuts one strip: ended, notched, and joined where it outgrows the boards. */
function cutStrip(
  plan: StripPlan,
  obstacles: readonly Obstacle[],
  design: Design,
  settings: Settings,
): Piece[] {
  const { spec: strip } = plan
  const { parts, notched } = partsOf(plan, obstacles, design)
  const longest = longestBoard(settings, strip.materialId)
  const { thickness } = materialOf(settings, strip.materialId)
  const pieces: Piece[] = []
  const spec = { ...strip, id: strip.stripId, squareWithin: settings.fit }
  const keep = (bare: Piece | null, ofSpec: PieceSpec) => {
    if (!bare || bare.longLength < SHORTEST) return
    const inside = notched.filter(({ from, to }) => overlapsAlong(bare, strip, from, to))
    const piece =
      inside.length === 0
        ? bare
        : placePiece({
            ...ofSpec,
            notches: inside.map(({ from, to, depth, side }) => ({ from, to, depth, edge: side })),
          })
    if (piece && piece.polygon.length > 2) pieces.push(piece)
  }
  parts.forEach((part, partIndex) => {
    const startCut = partIndex === 0 ? plan.startCut : undefined
    const endCut = partIndex === parts.length - 1 ? plan.endCut : undefined
    const wholeSpec: PieceSpec = {
      ...spec,
      ...part,
      alsoStart: [...(strip.alsoStart ?? []), ...part.alsoStart],
      alsoEnd: [...(strip.alsoEnd ?? []), ...part.alsoEnd],
      ...(startCut ? { startCut } : {}),
      ...(endCut ? { endCut } : {}),
    }
    const whole = placePiece(wholeSpec)
    if (!whole) return
    if (!plan.joins || longest === null || whole.cutLength <= longest) return keep(whole, wholeSpec)
    const from = startAlong(whole, strip)
    const runs = splitRun(
      nearestNanometer(from),
      nearestNanometer(from + whole.longLength),
      // what a corner hides behind the face comes off the board as well
      nearestNanometer(longest - (whole.cutLength - whole.longLength)),
      design.railJoint,
      thickness,
    )
    runs.forEach((run, i) => {
      const across = (at: number): Line => ({
        through: movedFrom(strip.center, strip.directionDeg, at, 0),
        directionDeg: strip.directionDeg + 90,
      })
      const first = i === 0
      const last = i === runs.length - 1
      const { startCut: _start, endCut: _end, ...bare } = wholeSpec
      const runSpec: PieceSpec = {
        ...bare,
        ...(first ? {} : { startLine: across(run.from), alsoStart: [] }),
        ...(last ? {} : { endLine: across(run.to), alsoEnd: [] }),
        startsAt: first ? part.startsAt : 'joint',
        endsAt: last ? part.endsAt : 'joint',
        ...(first && startCut ? { startCut } : {}),
        ...(last && endCut ? { endCut } : {}),
        ...(run.start.kind === 'scarf' ? { startCut: run.start } : {}),
        ...(run.end.kind === 'scarf' ? { endCut: run.end } : {}),
      }
      keep(placePiece(runSpec), runSpec)
    })
  })
  return pieces
}

function startAlong(piece: Piece, strip: StripSpec): number {
  const along = unitVector(strip.directionDeg)
  return Math.min(
    ...piece.face.map(({ x, y }) => (x - strip.center.x) * along.x + (y - strip.center.y) * along.y),
  )
}

function overlapsAlong(piece: Piece, strip: StripSpec, from: number, to: number): boolean {
  const start = startAlong(piece, strip)
  return from < start + piece.longLength && to > start
}

/** Gives the pieces of one strip their names: its own where it is one piece, numbered along it otherwise. */
function named(stripId: string, cut: readonly { part: string; pieces: readonly Piece[] }[]): Piece[] {
  const total = cut.reduce((sum, { pieces }) => sum + pieces.length, 0)
  let counted = 0
  return cut.flatMap(({ part, pieces }) =>
    pieces.map((piece, i) => {
      counted += 1
      if (part !== '')
        return { ...piece, id: pieces.length > 1 ? `${stripId}-${part}-${i + 1}` : `${stripId}-${part}` }
      if (total < 2) return piece
      return {
        ...piece,
        id: `${stripId}-${counted}`,
        number: isUpright(piece.role) ? piece.number : counted,
      }
    }),
  )
}

/** Cuts a layout into pieces: uprights left to right, then the horizontals from the foot up, then the boxes. */
export function cutLayout(
  layout: Layout,
  plans: readonly StripPlan[],
  design: Design,
  settings: Settings,
): Piece[] {
  const faces = new Map<string, Obstacle[]>()
  const cut = new Map<string, { part: string; pieces: Piece[] }[]>()
  for (const plan of plans) {
    const { stripId } = plan.spec
    const crossed = plan.landsOn.flatMap((id) => faces.get(id) ?? [])
    const pieces = cutStrip(plan, [...layout.obstacles, ...crossed], design, settings)
    faces.set(stripId, [
      ...(faces.get(stripId) ?? []),
      ...pieces.map(({ face }) => asObstacle(stripId, face)),
    ])
    cut.set(stripId, [...(cut.get(stripId) ?? []), { part: plan.part, pieces }])
  }
  return [...cut]
    .flatMap(([stripId, parts]) => named(stripId, parts))
    .sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role))
}
