import { type FieldSide, LIMITS, type Material, type Move } from '~/model'
import { movedFrom, passageThrough, unitVector } from '../../geometry'
import { materialIn } from '../../layout/field'
import type { LaidOut } from '../../layout/layout'
import { type End, type Strip, wholePiece } from '../../strips/strip'
import { isStruckBy, lineStripId } from '../../strips/stripId'
import { withCrossings } from './crossed'
import { mirror, repeat } from './copies'
import type { Strikes, Striking, Struck } from './made'
import { chevron } from './makers/chevron'
import { diamonds, nestedCorners } from './makers/frames'
import { herringbone } from './makers/herringbone'
import { diagonals, lattice } from './makers/parallel'
import { sunburst } from './makers/sunburst'
import { endsOfRay, type Solid } from './rays'
import type { MoveIssue, MoveMade, MovesMade, Region } from '../../layout/moves'
import { lineField } from './region'
import { branch, divide, fan, strike } from './strike'

/** What a move strikes, by its kind. */
function strikesOf(move: Move, striking: Striking): Strikes {
  switch (move.kind) {
    case 'strike':
      return strike(move, striking)
    case 'repeat':
      return repeat(move, striking)
    case 'mirror':
      return mirror(move, striking)
    case 'fan':
      return fan(move, striking)
    case 'branch':
      return branch(move, striking)
    case 'divide':
      return divide(move, striking)
    case 'diagonals':
      return diagonals(move, striking)
    case 'chevron':
      return chevron(move, striking)
    case 'corners':
      return nestedCorners(move, striking)
    case 'diamonds':
      return diamonds(move, striking)
    case 'lattice':
      return lattice(move, striking)
    case 'herringbone':
      return herringbone(move, striking)
    case 'sunburst':
      return sunburst(move, striking)
  }
}

/** Strips nearer to parallel than this that lie over one another are one strip twice, or along an edge. */
const PARALLEL_DEG = 0.5
const PARALLEL_SINE = Math.sin((PARALLEL_DEG * Math.PI) / 180)
const SAME = 1_000_000 // 1 mm

/** Whether a strip runs along an edge of its region and hangs over it: no such strip can be cut. */
function hangsOver({ ray }: Struck, { edges }: Region): Region['edges'][number] | undefined {
  const u = unitVector(ray.directionDeg)
  return edges.find(({ line }) => {
    const v = unitVector(line.directionDeg)
    if (Math.abs(u.x * v.y - u.y * v.x) > PARALLEL_SINE) return false
    const inside = (ray.center.y - line.through.y) * v.x - (ray.center.x - line.through.x) * v.y
    return inside < ray.faceWidth / 2 - SAME && inside > -ray.faceWidth / 2 + SAME
  })
}

/** Where two hands meet up the middle of the field, from its foot to its head; null where none do. */
function middleOf(struck: readonly Struck[], field: Region): MovesMade['middle'] {
  const edge = struck.flatMap(({ region }) => region.edges.filter(({ of }) => of === 'middle'))[0]
  const passage = edge && passageThrough(edge.line, field.outline)
  if (!edge || !passage) return null
  const at = (along: number) => movedFrom(edge.line.through, edge.line.directionDeg, along, 0)
  const ends = [at(passage.from), at(passage.to)].sort((a, b) => a.y - b.y)
  const [from, to] = ends
  return from && to ? { from, to } : null
}

/** The side a strip runs along, for a sentence. */
function sideOf({ of }: Region['edges'][number]): FieldSide {
  if (typeof of === 'object') return of.edge
  return of === 'middle' ? 'left' : of
}

/** Directions in whole degrees, either way; a strip is kept under its own and its two neighbors. */
function turnOf({ directionDeg }: Strip): number {
  return ((Math.round(directionDeg) % 180) + 180) % 180
}

function turnsOf(strip: Strip): number[] {
  return [-1, 0, 1].map((by) => (turnOf(strip) + by + 180) % 180)
}

/** One strip lies along and over another: the same line struck twice. */
function doubles(strip: Strip, other: Strip): boolean {
  const turn = Math.abs(((((strip.directionDeg - other.directionDeg) % 180) + 270) % 180) - 90)
  if (turn > PARALLEL_DEG) return false
  const u = unitVector(strip.directionDeg)
  const off = (strip.center.y - other.center.y) * u.x - (strip.center.x - other.center.x) * u.y
  if (Math.abs(off) > SAME) return false
  const reach = (of: Strip) => {
    const all = (wholePiece(of)?.face ?? []).map(({ x, y }) => x * u.x + y * u.y)
    return { from: Math.min(...all), to: Math.max(...all) }
  }
  const [a, b] = [reach(strip), reach(other)]
  return a.from < b.to - SAME && b.from < a.to - SAME
}

type Ends = { readonly start: End; readonly end: End }

/** Ends that were moved, and what ends the strip where it came to lie. */
function withinBoth(given: Ends, found: Ends | null): Ends | null {
  if (!found) return null
  const both = (a: End, b: End): End => ({ ...a, lines: [...a.lines, ...b.lines] })
  return { start: both(given.start, found.start), end: both(given.end, found.end) }
}

/** Lines are struck after all uprights and horizontals, and land on them. */
const FIRST_TIER = 10

function stripFrom(
  move: string,
  nth: number,
  number: number,
  { ray, crossesNothing }: Struck,
  { start, end }: { start: End; end: End },
  material: Material,
): Strip {
  return {
    id: lineStripId(move, nth),
    name: { kind: 'line', number },
    part: '',
    role: 'line',
    number,
    material,
    faceWidth: material.width,
    center: ray.center,
    directionDeg: ray.directionDeg,
    start,
    end,
    joins: true,
    mayPoint: true,
    tier: crossesNothing ? null : FIRST_TIER + number,
    group: move,
  }
}

/**
 * Runs the moves from the top on the wall as it is, after the frame and the uprights that stand already. What a move refers to must
 * stand before it. Never fails: a move that strikes nothing says why, and is kept.
 */
export function runMoves(layout: LaidOut, base: readonly Strip[]): MovesMade {
  const { lines } = layout.design
  const field = lineField(layout, base)
  const strips: Strip[] = [...base]
  const byId = new Map<string, Strip>(base.map((strip) => [strip.id, strip]))
  const struckBy = new Map<string, readonly Struck[]>()
  const moveOf: Record<string, string> = {}
  const faceOf = (strip: Strip): Solid | null => {
    const face = wholePiece(strip, layout.settings.fit)?.face
    return face ? { id: strip.id, outline: face } : null
  }
  // the frame bounds the field already, and what crosses nothing stops nothing
  const frame = new Set(base.filter(({ role }) => role === 'border').map((strip) => strip))
  const solids = () =>
    strips.filter((strip) => strip.tier !== null && !frame.has(strip)).flatMap((strip) => faceOf(strip) ?? [])
  // only what lies nearly parallel can double a strip
  const byTurn = new Map<number, Strip[]>()
  const alongside = (strip: Strip) => byTurn.get(turnOf(strip)) ?? []
  const off = new Set(lines.off)
  const moves: MoveMade[] = []
  let count = 0
  for (const move of lines.moves) {
    const made = { id: move.id, kind: move.kind, on: move.on }
    if (!field) {
      moves.push({ ...made, stripIds: [], issues: move.on ? [{ code: 'noField' }] : [] })
      continue
    }
    const material = materialIn(layout, move.material ?? layout.design.battenMaterial)
    const striking: Striking = {
      layout,
      field,
      lines,
      material,
      faceWidth: material.width,
      stripOf: (id) => byId.get(id),
      struckBy: (id) => struckBy.get(id) ?? (lines.moves.some((other) => other.id === id) ? null : []),
      comesLater: (ref) =>
        lines.moves.some(({ id }) => !struckBy.has(id) && (ref === id || isStruckBy(ref, id))),
      solids,
    }
    const { struck, issues = [] } = move.on ? strikesOf(move, striking) : { struck: [] }
    const told: MoveIssue[] = [...issues]
    // a maker that finds nothing to fill says so
    if (move.on && struck.length === 0 && issues.length === 0) told.push({ code: 'noRoom' })
    const ids: string[] = []
    const kept: Struck[] = []
    const before = solids()
    const twice: string[] = []
    const room = LIMITS.lines - count
    if (struck.length > room) told.push({ code: 'tooMany', made: count + struck.length, most: LIMITS.lines })
    // what one move strikes at a time stands before the next one of it only where they would hit each other
    const hitsOwn = move.kind === 'fan' || move.kind === 'mirror'
    struck.slice(0, Math.max(0, room)).forEach((each, i) => {
      const id = lineStripId(move.id, i + 1)
      const over = hangsOver(each, each.region)
      if (over) {
        if (!told.some(({ code }) => code === 'alongEdge'))
          told.push({ code: 'alongEdge', side: sideOf(over) })
        return
      }
      const found =
        each.ends && !each.moved ? null : endsOfRay(each.ray, each.region, hitsOwn ? solids() : before)
      const ends = each.ends ? (each.moved ? withinBoth(each.ends, found) : each.ends) : found
      if (!ends) {
        if (!told.some(({ code }) => code === 'missesField')) told.push({ code: 'missesField' })
        return
      }
      const stuff = move.material === null ? (each.material ?? material) : material
      const strip = stripFrom(move.id, i + 1, count + 1, each, ends, stuff)
      if (!faceOf(strip)) {
        // of a family what a corner leaves too little of is no loss; one line that leaves nothing is
        const alone = !('clear' in move)
        if (alone && !told.some(({ code }) => code === 'missesField')) told.push({ code: 'missesField' })
        return
      }
      if (alongside(strip).some((other) => doubles(strip, other))) {
        twice.push(id)
        return
      }
      kept.push({ ...each, material: stuff })
      count += 1
      moveOf[id] = move.id
      if (off.has(id)) return
      ids.push(id)
      byId.set(id, strip)
      strips.push(strip)
      for (const key of turnsOf(strip)) {
        const others = byTurn.get(key)
        if (others) others.push(strip)
        else byTurn.set(key, [strip])
      }
    })
    if (twice.length > 0) told.push({ code: 'doubles', strips: twice })
    struckBy.set(move.id, kept)
    moves.push({ ...made, stripIds: ids, issues: told })
  }
  const middle = field && middleOf([...struckBy.values()].flat(), field)
  return { strips: withCrossings(strips, lines.crossings), moves, field, middle, moveOf }
}
