import { type Length, nearestNanometer } from '~/length'
import type { Design, Settings } from '~/model'
import { type Line, movedFrom, unitVector } from '../geometry'
import {
  type EndCut,
  type Meeting,
  meetings,
  type Piece,
  type PieceSpec,
  placePiece,
  splitRun,
  type StripSpec,
  treatmentOf,
} from '../pieces'
import { profileAt } from '../survey/profile'
import { onLine } from '../survey/wallLines'
import type { Band, BattenPlace, Layout } from './layout'

/** The longest usable length among the boards on sale in a material; null when none is listed. */
export function longestBoard(settings: Settings, material: string): Length | null {
  const lengths = settings.shop.offers
    .filter((offer) => offer.material === material)
    .map((offer) => offer.length - settings.shop.endTrim)
  return lengths.length === 0 ? null : nearestNanometer(Math.max(...lengths))
}

/** The shortest piece worth cutting. */
const SHORTEST = 6_350_000 // 1/4 in

/** A notch deeper than this part of the width leaves no strip to speak of: it ends there instead. */
const MOST_NOTCH = 0.75

function angleOf(slope: number): number {
  return slope === 0 ? 0 : (Math.atan(slope) * 180) / Math.PI
}

/** The line through two points of the wall. */
function lineThrough(a: { x: number; y: number }, b: { x: number; y: number }): Line {
  if (a.y === b.y) return { through: a, directionDeg: 0 }
  if (a.x === b.x) return { through: a, directionDeg: 90 }
  return { through: a, directionDeg: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI }
}

/** A batten before it meets anything: from base or bottom rail up to the head, at its own place. */
export function battenStrip(layout: Layout, batten: BattenPlace): StripSpec {
  const { lines, shape, battenMaterial } = layout
  const standsOnFloor = !layout.bands.some(({ id }) => id === 'bottomRail' || id === 'ledger')
  const head = (x: number) => ({ x, y: onLine(lines.base, x) + layout.battenHead })
  // on floor or baseboard it follows the real floor; on a rail it follows the rail
  const foot = (x: number) => ({
    x,
    y: (standsOnFloor ? profileAt(shape.floor, x) : onLine(lines.base, x)) + layout.battenFoot,
  })
  return {
    stripId: batten.id,
    role: 'batten',
    number: batten.number,
    materialId: battenMaterial.id,
    faceWidth: battenMaterial.width,
    center: { x: (batten.left + batten.right) / 2, y: 0 },
    directionDeg: 90,
    startLine: lineThrough(foot(batten.left), foot(batten.right)),
    endLine: lineThrough(head(batten.left), head(batten.right)),
  }
}

/** A rail or cap before it meets anything: from end to end of the wall at its own height. */
export function bandStrip(layout: Layout, band: Band): StripSpec {
  const { base } = layout.lines
  const { left, right } = layout.shape
  const low = base.at0 + band.bottom
  const high = base.at0 + band.top
  const end = (side: typeof left) =>
    lineThrough({ x: profileAt(side, low), y: low }, { x: profileAt(side, high), y: high })
  return {
    stripId: band.id,
    role: band.id,
    number: 1,
    materialId: band.material.id,
    faceWidth: nearestNanometer(band.top - band.bottom),
    center: { x: 0, y: (low + high) / 2 },
    directionDeg: angleOf(base.slope),
    startLine: end(left),
    endLine: end(right),
  }
}

interface Part {
  readonly startLine: Line
  readonly endLine: Line
}

/** Parts of a strip between the things that end it. */
function partsOf(strip: StripSpec, layout: Layout, design: Design): { parts: Part[]; notched: Meeting[] } {
  if (layout.obstacles.length === 0) return { parts: [strip], notched: [] }
  const whole = placePiece({ ...strip, id: strip.stripId })
  if (!whole) return { parts: [], notched: [] }
  const start = startAlong(whole, strip)
  const found = meetings(strip, layout.obstacles).filter(
    ({ from, to }) => to > start && from < start + whole.longLength,
  )
  const wanted = found.map((meeting) => ({ meeting, treatment: treatmentOf(meeting, design.meets) }))
  const notched = wanted.filter(({ treatment }) => treatment === 'notch').map(({ meeting }) => meeting)
  const holds = (meeting: Meeting) =>
    meeting.depth <= strip.faceWidth * MOST_NOTCH &&
    !notched.some((other) => other !== meeting && other.from < meeting.to && other.to > meeting.from)
  const parts: Part[] = []
  let startLine = strip.startLine
  let reached = start
  for (const { meeting, treatment } of wanted) {
    const ends = treatment === 'end' || (treatment === 'notch' && !holds(meeting))
    if (!ends || meeting.to <= reached) continue
    if (meeting.from > reached) parts.push({ startLine, endLine: meeting.entry })
    startLine = meeting.exit
    reached = meeting.to
  }
  parts.push({ startLine, endLine: strip.endLine })
  return { parts, notched: notched.filter(holds) }
}

/** Cuts one strip: ended, notched, and joined where it outgrows the boards. */
function cutStrip(
  strip: StripSpec,
  layout: Layout,
  design: Design,
  settings: Settings,
  thickness: Length,
): Piece[] {
  const { parts, notched } = partsOf(strip, layout, design)
  const longest = longestBoard(settings, strip.materialId)
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
    if (piece) pieces.push(piece)
  }
  for (const part of parts) {
    const bevel = part === parts[0] && bevelled(strip, layout, design) ? { startCut: BACK_BEVEL } : {}
    const wholeSpec: PieceSpec = { ...spec, startLine: part.startLine, endLine: part.endLine, ...bevel }
    const whole = placePiece(wholeSpec)
    if (!whole) continue
    if (strip.role === 'batten' || longest === null || whole.cutLength <= longest) {
      keep(whole, wholeSpec)
      continue
    }
    const from = startAlong(whole, strip)
    const runs = splitRun(
      nearestNanometer(from),
      nearestNanometer(from + whole.longLength),
      longest,
      design.railJoint,
      thickness,
    )
    runs.forEach((run, i) => {
      const across = (at: number): Line => ({
        through: movedFrom(strip.center, strip.directionDeg, at, 0),
        directionDeg: strip.directionDeg + 90,
      })
      const runSpec: PieceSpec = {
        ...spec,
        startLine: i === 0 ? part.startLine : across(run.from),
        endLine: i === runs.length - 1 ? part.endLine : across(run.to),
        ...(run.start.kind === 'scarf' ? { startCut: run.start } : {}),
        ...(run.end.kind === 'scarf' ? { endCut: run.end } : {}),
      }
      keep(placePiece(runSpec), runSpec)
    })
  }
  if (pieces.length < 2) return pieces
  return pieces.map((piece, i) => ({
    ...piece,
    id: `${strip.stripId}-${i + 1}`,
    number: strip.role === 'batten' ? piece.number : i + 1,
  }))
}

/** The foot of a batten that hangs over the baseboard, its back tilted away. */
const BACK_BEVEL: EndCut = { kind: 'bevel', bevelDeg: 45 }

function bevelled(strip: StripSpec, layout: Layout, design: Design): boolean {
  return (
    strip.role === 'batten' &&
    design.proud === 'backBevel' &&
    design.foot.kind !== 'rail' &&
    layout.lines.baseTop > 0
  )
}

function startAlong(piece: Piece, strip: StripSpec): number {
  const along = unitVector(strip.directionDeg)
  return Math.min(
    ...piece.polygon.map(({ x, y }) => (x - strip.center.x) * along.x + (y - strip.center.y) * along.y),
  )
}

function overlapsAlong(piece: Piece, strip: StripSpec, from: number, to: number): boolean {
  const start = startAlong(piece, strip)
  return from < start + piece.longLength && to > start
}

/** Cuts a layout into pieces: battens left to right, then the bands from the foot up. */
export function cutLayout(layout: Layout, design: Design, settings: Settings): Piece[] {
  const battens =
    layout.battenHead <= layout.battenFoot
      ? []
      : layout.battens.flatMap((batten) =>
          cutStrip(battenStrip(layout, batten), layout, design, settings, layout.battenMaterial.thickness),
        )
  const bands = layout.bands.flatMap((band) =>
    cutStrip(bandStrip(layout, band), layout, design, settings, band.material.thickness),
  )
  return [...battens, ...bands]
}
