import { type Length, nearestNanometer } from '~/length'
import {
  CORNER_ENDS,
  type CornerEnd,
  type Edit,
  inForce,
  RAIL_JOINTS,
  type RailJoint,
  type RunJoint,
  type Workpiece,
} from '~/model'
import { makeOf } from '../stock/preparing'
import type { Layout } from '../layout/layout'
import { jointFaults, type Piece, reachOf } from '../pieces'
import { aroundRun, jointOf, originAlong, runKey } from '../strips/joinRun'
import type { Strip } from '../strips/strip'
import { movedFrom, type Point } from '../geometry'

/** One joint of a run: where it lies, and what speaks for and against the place. */
export interface RunJointAt {
  /** Along the run's own direction from the wall's origin: for a level run from the left corner. */
  readonly at: Length
  readonly point: Point
  readonly onStud: boolean
  readonly studsKnown: boolean
  readonly inSight: boolean
  readonly inLine: boolean
  /** How far it may be dragged with the other joints left where they are. */
  readonly least: Length
  readonly most: Length
}

/** A run joined of several boards. */
export interface JoinedRun {
  readonly kind: 'run'
  /** What the design calls it by. */
  readonly run: string
  readonly stripId: string
  /** The side of a frame; null for a strip that is one run. */
  readonly side: string | null
  readonly joint: RailJoint
  readonly said: RunJoint
  readonly placed: boolean
  /** Placed by hand where the boards make it no more: it went back to the rule. */
  readonly gaveWay: boolean
  readonly joints: readonly RunJointAt[]
  /** How much of the stuff each joint takes besides: a scarf's overlap. */
  readonly overlap: Length
  readonly choices: readonly RunJoint[]
}

/** Another meeting of strips, said once for all that are alike, with what else it can be. */
export interface JointChoice {
  readonly kind: 'corner' | 'border' | 'crossing' | 'foot' | 'thing'
  /** The side of the room, or the thing. */
  readonly of: string
  readonly now: string
  readonly reason: JointReason
  readonly stripIds: readonly string[]
  readonly options: readonly { readonly id: string; readonly edits: readonly Edit[] }[]
}

export type JointReason =
  | 'fittedFirst'
  | 'standsAgainst'
  | 'moldedInside'
  | 'squareInside'
  | 'outside'
  | 'cleaner'
  | 'quicker'
  | 'noFrame'
  | 'through'
  | 'flush'
  | 'hangsOver'
  | 'square'
  | 'goesRound'
  | 'endsAt'

export type JointRow = JoinedRun | JointChoice

function runJoints(layout: Layout, pieces: readonly Piece[]): JoinedRun[] {
  const { design } = layout
  const byStrip = new Map<string, Piece[]>()
  for (const piece of pieces) byStrip.set(piece.stripId, [...(byStrip.get(piece.stripId) ?? []), piece])
  const found: (JoinedRun & { readonly strip: Strip })[] = []
  for (const strip of layout.strips) {
    const run = runKey(strip)
    if (!strip.joins || found.some((each) => each.run === run)) continue
    const side = strip.part === '' ? null : strip.part
    const own = (byStrip.get(strip.id) ?? []).filter(({ part }) => (part?.side ?? null) === side)
    const joint = jointOf(design, run)
    const ended = own.filter(({ endsAt }) => endsAt === 'joint')
    if (ended.length === 0 || joint === null) continue
    const origin = originAlong(strip)
    const u = {
      x: Math.cos((strip.directionDeg * Math.PI) / 180),
      y: Math.sin((strip.directionDeg * Math.PI) / 180),
    }
    // on the center line: half way between the two points of a mitered end
    const endOf = ({ face }: Piece, pick: 'min' | 'max') => {
      const along = face.map(({ x, y }) => x * u.x + y * u.y - origin)
      const edge = Math[pick](...along)
      const slant =
        joint === 'miter'
          ? strip.faceWidth
          : joint === 'miterHalf'
            ? strip.faceWidth * Math.tan(Math.PI / 8)
            : 0
      return edge + ((pick === 'max' ? -1 : 1) * slant) / 2
    }
    const longest = layout.longest.get(strip.material.id) ?? 0
    const reach = reachOf(longest, joint, strip.material.thickness, strip.faceWidth)
    const others = found.flatMap(({ joints }) => joints.map(({ point }) => point))
    const around = aroundRun(strip, layout, others)
    const places = ended.map((piece) => nearestNanometer(endOf(piece, 'max'))).sort((a, b) => a - b)
    const bounds = own.flatMap((piece) => [endOf(piece, 'min'), endOf(piece, 'max')])
    const joints = places.map((at, i): RunJointAt => {
      const before = places[i - 1] ?? Math.min(...bounds)
      const after = places[i + 1] ?? Math.max(...bounds)
      const first = i === 0 ? reach.first : reach.middle
      const last = i === places.length - 1 ? reach.last : reach.middle
      const faults = jointFaults(at, around)
      return {
        at: nearestNanometer(at + origin),
        point: movedFrom(strip.center, strip.directionDeg, at, 0),
        onStud: around.studs.length > 0 && !faults.offStud,
        studsKnown: around.studs.length > 0,
        inSight: faults.inSight,
        inLine: faults.inLine,
        least: nearestNanometer(Math.max(before + 1, after - last) + origin),
        most: nearestNanometer(Math.min(after - 1, before + first) + origin),
      }
    })
    const said = design.joints[run]
    const kept = new Set(joints.map(({ at }) => Math.round(at / 1000)))
    const placed = said?.at.some((at) => kept.has(Math.round(at / 1000))) ?? false
    found.push({
      kind: 'run',
      run,
      stripId: strip.id,
      side,
      joint,
      said: said?.joint ?? 'asWall',
      placed,
      gaveWay: (said?.at.length ?? 0) > 0 && !placed,
      joints,
      overlap: nearestNanometer(joint === 'scarf' ? strip.material.thickness : 0),
      choices: [
        'asWall',
        ...RAIL_JOINTS.filter((each) => strip.role === 'line' || each === 'scarf' || each === 'butt'),
        'none',
      ],
      strip,
    })
  }
  return found.map(({ strip: _, ...each }) => each)
}

/** How horizontals end at the corners of the room, and why that is proposed or fits. */
function cornerChoices({ wall }: Workpiece, layout: Layout): JointChoice[] {
  const { bands, survey } = layout
  if (bands.length === 0) return []
  const { corners } = inForce(wall.design)
  const molded = bands.some(({ material }) => makeOf(material)?.profile === 'molded')
  const stripIds = bands.map(({ id }) => id as string)
  return (['left', 'right'] as const).flatMap((side): JointChoice[] => {
    const turn = survey.turns[side]
    if (turn === 'none' && corners[side] === 'run') return []
    const reason = (end: CornerEnd): JointReason =>
      end === 'run'
        ? 'fittedFirst'
        : end === 'against'
          ? 'standsAgainst'
          : end === 'miter' && turn === 'outside'
            ? 'outside'
            : molded
              ? 'moldedInside'
              : 'squareInside'
    return [
      {
        kind: 'corner',
        of: side,
        now: corners[side],
        reason: reason(corners[side]),
        stripIds,
        options: CORNER_ENDS.map((id) => ({
          id,
          edits: [{ type: 'patchDesign', patch: { corners: { ...corners, [side]: id } } }],
        })),
      },
    ]
  })
}

/** What is chosen once for the whole wall: the corners of a border, what runs through, how battens meet a thinner base. */
function wallChoices({ wall }: Workpiece, layout: Layout, pieces: readonly Piece[]): JointChoice[] {
  const design = inForce(wall.design)
  const idsOf = (has: (piece: Piece) => boolean) => [
    ...new Set(pieces.filter(has).map(({ stripId }) => stripId)),
  ]
  const border = idsOf(({ role }) => role === 'border')
  const crossing = idsOf(
    ({ startsAt, endsAt, laps }) => startsAt === 'strip' || endsAt === 'strip' || laps.length > 0,
  )
  const beveled = idsOf(({ start, end }) => start.kind === 'bevel' || end.kind === 'bevel')
  return [
    ...(border.length > 0
      ? [
          {
            kind: 'border' as const,
            of: 'border',
            now: design.border,
            reason: /miter/i.test(design.border) ? ('cleaner' as const) : ('quicker' as const),
            stripIds: border,
            options: (design.border.startsWith('threeSided')
              ? (['threeSidedMiter', 'threeSided'] as const)
              : (['miter', 'butt'] as const)
            ).map((id) => ({
              id,
              edits: [{ type: 'patchDesign' as const, patch: { border: id } }],
            })),
          },
        ]
      : []),
    ...(crossing.length > 0 && layout.bands.length > 0
      ? [
          {
            kind: 'crossing' as const,
            of: 'crossing',
            now: design.through,
            reason: design.through === 'lapped' ? ('flush' as const) : ('through' as const),
            stripIds: crossing,
            options: (['byStock', 'uprights', 'rails', 'lapped'] as const).map((id) => ({
              id,
              edits: [{ type: 'patchDesign' as const, patch: { through: id } }],
            })),
          },
        ]
      : []),
    ...(beveled.length > 0
      ? [
          {
            kind: 'foot' as const,
            of: 'foot',
            now: design.proud,
            reason: 'hangsOver' as const,
            stripIds: beveled,
            options: (['backBevel', 'leave'] as const).map((id) => ({
              id,
              edits: [{ type: 'patchDesign' as const, patch: { proud: id } }],
            })),
          },
        ]
      : []),
  ]
}

/** Things that strips go round or end at, each with how. */
function thingChoices({ wall }: Workpiece, layout: Layout, pieces: readonly Piece[]): JointChoice[] {
  const { meets } = inForce(wall.design)
  const notched = pieces.filter(({ notches }) => notches.length > 0).map(({ stripId }) => stripId)
  const ended = pieces
    .filter(({ startsAt, endsAt }) => startsAt === 'thing' || endsAt === 'thing')
    .map(({ stripId }) => stripId)
  return layout.survey.things
    .filter(({ id, fate }) => meets[id] !== undefined || fate === 'cutRound')
    .map((thing): JointChoice => {
      const now = meets[thing.id] ?? 'notch'
      const { [thing.id]: _, ...others } = meets
      return {
        kind: 'thing',
        of: thing.id,
        now,
        reason: now === 'notch' ? 'goesRound' : 'endsAt',
        stripIds: [...new Set(now === 'notch' ? notched : ended)],
        options: (['notch', 'clear'] as const).map((id) => ({
          id,
          edits: [{ type: 'patchDesign', patch: { meets: { ...others, [thing.id]: id } } }],
        })),
      }
    })
}

/** All joints of a wall, those that are alike once, each with its reason and what else it can be. */
export function jointRows(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): JointRow[] {
  return [
    ...runJoints(layout, pieces),
    ...cornerChoices(workpiece, layout),
    ...wallChoices(workpiece, layout, pieces),
    ...thingChoices(workpiece, layout, pieces),
  ]
}

/** The edit that moves one joint of a run, the others kept where they are; null places none: they go by rule again. */
export function moveJoint(run: JoinedRun, index: number, to: number | null, workpiece: Workpiece): Edit[] {
  const { joints } = inForce(workpiece.wall.design)
  const { [run.run]: own, ...others } = joints
  const joint = own?.joint ?? 'asWall'
  if (to === null)
    return [
      {
        type: 'patchDesign',
        patch: { joints: joint === 'asWall' ? others : { ...others, [run.run]: { joint, at: [] } } },
      },
    ]
  const at = run.joints.map((each, i) =>
    i === index ? nearestNanometer(Math.min(Math.max(to, each.least), each.most)) : each.at,
  )
  return [{ type: 'patchDesign', patch: { joints: { ...joints, [run.run]: { joint, at } } } }]
}

/** The edit that joins one run in another way, or not at all. */
export function joinRunWith(run: string, joint: RunJoint, workpiece: Workpiece): Edit[] {
  const { joints } = inForce(workpiece.wall.design)
  return [
    {
      type: 'patchDesign',
      patch: { joints: { ...joints, [run]: { joint, at: joints[run]?.at ?? [] } } },
    },
  ]
}
