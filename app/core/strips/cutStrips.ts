import { nearestNanometer } from '~/length'
import {
  leastWidth,
  liesApart,
  type Line,
  movedFrom,
  type Point,
  type Polygon,
  signedArea,
  TOUCHING,
} from '../geometry'
import type { Field } from '../layout/field'
import {
  type EndsAt,
  isUpright,
  type Meeting,
  type Piece,
  type PieceSpec,
  placePiece,
  FACE_ANGLE,
  isSmall,
  obstaclesNear,
  ROLES,
} from '../pieces'
import type { Obstacle } from '../survey/obstacles'
import { type Crossing, crossingsOf, landsOn, type ThroughRule } from './crossings'
import { jointOf, runKey, runParts } from './joinRun'
import { lapPieces } from './laps'
import { metBy, startAlong } from './metBy'
import { convexLeft, cutsOf, type Part, SAME_AREA } from './partsExact'
import { miterEnds } from './miterEnds'
import { type Lie, specOf, type Strip, wholePiece } from './strip'

/** The shortest piece worth cutting. */
const SHORTEST = 6_350_000 // 1/4 in

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

/**
 * Parts of a strip that may run to a point: between each two things that end it, in the order in which they cross it. What crosses it at
 * a slant reaches along past its neighbor, and yet there is a part between them.
 */
function partsBetween(ending: readonly Meeting[], own: Part): Part[] {
  const inOrder = [...ending].sort((a, b) => a.from + a.to - (b.from + b.to))
  const at = (meeting: Meeting | undefined): EndsAt =>
    meeting?.obstacle.kind === 'strip' ? 'strip' : 'thing'
  return Array.from({ length: inOrder.length + 1 }, (_, i): Part => {
    const [before, after] = [inOrder.slice(0, i), inOrder.slice(i)]
    return {
      alsoStart: before.map(({ exit }) => exit),
      alsoEnd: after.map(({ entry }) => entry),
      startsAt: i === 0 ? own.startsAt : at(before.at(-1)),
      endsAt: i === inOrder.length ? own.endsAt : at(after[0]),
    }
  })
}

/**
 * The same, exact: where what is left is convex, it is cut to that. The parts above are cut along one line at each thing, which leaves
 * a wedge open where a corner of it, or two things at once, end the strip.
 */
function pointedParts(strip: Strip, ending: readonly Meeting[], own: Part, field: Field): Part[] {
  const face = wholePiece(strip)?.face
  if (!face) return []
  const things = [...new Set(ending.map(({ obstacle }) => obstacle))]
  const placed = (part: Part) => placePiece(partSpec(strip, part, field))
  const roughly = partsBetween(ending, own).flatMap((part) => {
    const piece = placed(part)
    return piece ? [{ part, piece }] : []
  })
  const exact = convexLeft(
    face,
    things.map(({ outline }) => outline),
  ).flatMap((left) => {
    const same = roughly.some(
      ({ piece }) =>
        Math.abs(signedArea(piece.face) - signedArea(left)) <= SAME_AREA &&
        !liesApart(piece.face, left, TOUCHING),
    )
    const part = same ? null : cutsOf(strip, left, things, own)
    const piece = part && placed(part)
    return part && piece ? [{ part, piece }] : []
  })
  const others = roughly.filter(({ piece }) =>
    exact.every(({ piece: { face: left } }) => liesApart(left, piece.face, TOUCHING)),
  )
  return [...others, ...exact]
    .sort((a, b) => startAlong(a.piece, strip) - startAlong(b.piece, strip))
    .map(({ part }) => part)
}

/** Parts of a strip between the things and the strips that end it. */
function partsOf(
  strip: Strip,
  obstacles: readonly Obstacle[],
  field: Field,
): { parts: Part[]; notched: readonly Meeting[] } {
  const own: Part = { alsoStart: [], alsoEnd: [], startsAt: strip.start.against, endsAt: strip.end.against }
  const met = metBy(strip, obstacles, field)
  if (!met) return { parts: [], notched: [] }
  const { ending, notched, start } = met
  if (ending.length === 0) return { parts: [own], notched }
  if (strip.mayPoint) return { parts: pointedParts(strip, ending, own, field), notched }
  const parts: Part[] = []
  let from: Pick<Part, 'alsoStart' | 'startsAt'> = own
  for (const several of clustered(ending)) {
    const at = several.some(({ obstacle }) => obstacle.kind !== 'strip') ? 'thing' : 'strip'
    if (several.every((meeting) => meeting.from > start))
      parts.push({ ...from, alsoEnd: several.map(({ entry }) => entry), endsAt: at })
    from = { alsoStart: several.map(({ exit }) => exit), startsAt: at }
  }
  parts.push({ ...from, alsoEnd: [], endsAt: own.endsAt })
  return { parts, notched }
}

/** The faces of a strip that others land on: ended by what stands on the wall, whole where it is joined, before any notch. */
function facesOf(strip: Strip, field: Field): Polygon[] {
  const { parts } = partsOf(strip, obstaclesNear(strip, field.obstacles), field)
  return parts.flatMap((part) => {
    const piece = placePiece(partSpec(strip, part, field))
    return piece && piece.longLength >= SHORTEST ? [piece.face] : []
  })
}

/** A part of a strip as a piece to be placed, without cuts through its thickness. */
function partSpec(strip: Strip, part: Part, { settings }: Field): PieceSpec {
  const spec = specOf(strip, settings.fit)
  return {
    ...spec,
    ...part,
    alsoStart: [...(spec.alsoStart ?? []), ...part.alsoStart],
    alsoEnd: [...(spec.alsoEnd ?? []), ...part.alsoEnd],
  }
}

/** A strip cut into pieces, and where its joints lie on the wall. */
interface CutStrip {
  readonly pieces: readonly Piece[]
  readonly joints: readonly Point[]
}

/** Cuts one strip: ended, notched, and joined where it outgrows the boards. */
function cutStrip(
  strip: Strip,
  obstacles: readonly Obstacle[],
  field: Field,
  others: readonly Point[],
): CutStrip {
  const { parts, notched } = partsOf(strip, obstacles, field)
  const longest = field.longest.get(strip.material.id) ?? null
  const joint = jointOf(field.design, runKey(strip))
  const pieces: Piece[] = []
  const joints: Point[] = []
  const keep = (bare: Piece | null, ofSpec: PieceSpec) => {
    if (!bare || bare.longLength < SHORTEST) return
    if (field.design.smallPieces === 'leaveOut' && isSmall(bare)) return
    // a needle that the blade would take whole
    if (strip.mayPoint && leastWidth(bare.face) < field.settings.shop.kerf) return
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
    const startCut = partIndex === 0 ? strip.start.cut : undefined
    const endCut = partIndex === parts.length - 1 ? strip.end.cut : undefined
    const wholeSpec: PieceSpec = {
      ...partSpec(strip, part, field),
      ...(startCut ? { startCut } : {}),
      ...(endCut ? { endCut } : {}),
    }
    // what nothing ends is the strip itself
    const isAll = part.alsoStart.length + part.alsoEnd.length === 0 && !startCut && !endCut
    const whole = isAll ? wholePiece(strip, field.settings.fit) : placePiece(wholeSpec)
    if (!whole) return
    if (!strip.joins || longest === null || whole.cutLength <= longest || joint === null)
      return keep(whole, wholeSpec)
    const from = startAlong(whole, strip)
    const run = { from: nearestNanometer(from), to: nearestNanometer(from + whole.longLength) }
    // what a corner hides behind the face comes off the board as well
    const room = nearestNanometer(longest - (whole.cutLength - whole.longLength))
    const runs = runParts(strip, run, room, field, others)
    runs.forEach((each, i) => {
      const across = (at: number): Line => ({
        through: movedFrom(strip.center, strip.directionDeg, at, 0),
        directionDeg: strip.directionDeg + 90 + FACE_ANGLE[joint],
      })
      const first = i === 0
      const last = i === runs.length - 1
      const { startCut: _start, endCut: _end, ...bare } = wholeSpec
      if (!first) joints.push(movedFrom(strip.center, strip.directionDeg, each.from, 0))
      const runSpec: PieceSpec = {
        ...bare,
        ...(first ? {} : { startLine: across(each.from), alsoStart: [] }),
        ...(last ? {} : { endLine: across(each.to), alsoEnd: [] }),
        startsAt: first ? part.startsAt : 'joint',
        endsAt: last ? part.endsAt : 'joint',
        ...(first && startCut ? { startCut } : {}),
        ...(last && endCut ? { endCut } : {}),
        ...(each.start.kind === 'scarf' ? { startCut: each.start } : {}),
        ...(each.end.kind === 'scarf' ? { endCut: each.end } : {}),
      }
      keep(placePiece(runSpec), runSpec)
    })
  })
  return { pieces, joints }
}

function overlapsAlong(piece: Piece, strip: Lie, from: number, to: number): boolean {
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
        return pieces.length > 1
          ? { ...piece, id: `${stripId}-${part}-${i + 1}`, part: { side: part, number: i + 1 } }
          : { ...piece, id: `${stripId}-${part}`, part: { side: part, number: null } }
      if (total < 2) return piece
      return {
        ...piece,
        id: `${stripId}-${counted}`,
        part: { side: null, number: counted },
        number: isUpright(piece.role) ? piece.number : counted,
      }
    }),
  )
}

/** What is joined comes first. */
function rank({ joins }: Strip): number {
  return joins ? 0 : 1
}

/**
 * Struck lines end where they hit: where two only touch nothing is left to cut. Of all others the center lines and widths tell, as
 * their ends are found by being cut.
 */
function cutOnly(crossings: readonly Crossing[], strips: readonly Strip[]): Crossing[] {
  const wholeFace = (index: number): Polygon => {
    const strip = strips[index]
    return (strip && wholePiece(strip)?.face) ?? []
  }
  return crossings.filter(
    ({ a, b, through }) =>
      through === 'miter' ||
      !(strips[a]?.mayPoint || strips[b]?.mayPoint) ||
      !liesApart(wholeFace(a), wholeFace(b), TOUCHING),
  )
}

/**
 * Cuts a list of strips into pieces, in the order of the parts they play and of the list. Where two cross, the one the rule
 * sends through stops the other with its face, both end in a miter, or both run on, lapped; the order of the list decides nothing.
 */
export function cutStrips(wanted: readonly Strip[], field: Field, rule?: ThroughRule): readonly Piece[] {
  const crossings = cutOnly(crossingsOf(wanted, rule), wanted)
  const strips = miterEnds(wanted, crossings)
  const lands = landsOn(strips.length, crossings)
  const faces = new Map<number, Obstacle[]>()
  const facesAt = (index: number): Obstacle[] => {
    const strip = strips[index]
    const known = faces.get(index)
    if (known || !strip) return known ?? []
    const made = facesOf(strip, field).map((face) => asObstacle(strip.id, face))
    faces.set(index, made)
    return made
  }
  // runs one above another stagger their joints from the lowest up, wherever they stand in the list
  const inTurn = strips
    .map((strip, index) => ({ strip, index }))
    .sort((a, b) => rank(a.strip) - rank(b.strip) || a.strip.center.y - b.strip.center.y)
  const done = new Map<number, CutStrip>()
  const joints: Point[] = []
  for (const { strip, index } of inTurn) {
    const met = strip.yields ? strips.flatMap((other, i) => (other.yields ? [] : [i])) : (lands[index] ?? [])
    const crossed = met.flatMap(facesAt)
    const made = cutStrip(strip, [...obstaclesNear(strip, field.obstacles), ...crossed], field, joints)
    joints.push(...made.joints)
    done.set(index, made)
  }
  const cut = new Map<string, { part: string; pieces: readonly Piece[] }[]>()
  strips.forEach((strip, index) => {
    const { pieces } = done.get(index) ?? { pieces: [] }
    const before = cut.get(strip.id)
    if (before) before.push({ part: strip.part, pieces })
    else cut.set(strip.id, [{ part: strip.part, pieces }])
  })
  const pieces = [...cut]
    .flatMap(([stripId, parts]) => named(stripId, parts))
    .sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role))
  return lapPieces(strips, crossings, pieces)
}
