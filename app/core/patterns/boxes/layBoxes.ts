import { type Length, nearestNanometer, subtractLengths, ZERO } from '~/length'
import type { Boxes, Ends, SpacingOf } from '~/model'
import {
  boundsOf,
  clipConvex,
  type Line,
  lineFrom,
  miteredSides,
  type Polygon,
  rectangle,
  shiftedLeft,
} from '../../geometry'
import {
  type Band,
  bandEdge,
  type BoxFrame,
  type BrokenBox,
  type Section,
  type SectionPlace,
  type Upright,
} from '../../layout/layout'
import { materialIn } from '../../layout/field'
import { dividesBoxes, sectionsBeside } from '../../layout/sections'
import { countChoices, type Placement, placeStrips } from '../../spacing'
import { isMissing, isSloped, type Obstacle } from '../../survey/obstacles'
import { profileAt } from '../../survey/profile'
import { courseAt, onLine, type RuleLine, type WallLines } from '../../survey/wallLines'
import { endedBy } from '../../strips/metBy'
import { named } from '../../strips/stripId'
import { frameStrips } from './boxStrips'
import type { Laid, LayInput } from '../patternRules'

/** The wished box as the school that places margins as strips: boxes are then its gaps. */
export function boxSpacing(boxes: Boxes, count: number | null): SpacingOf<'nearWish'> {
  const ends: Ends = 'strip'
  const strips = count === null ? null : count + 1
  return {
    school: 'nearWish',
    wish: boxes.wish,
    measure: 'gap',
    least: boxes.least,
    ...(boxes.moreThan === undefined ? {} : { moreThan: boxes.moreThan }),
    most: boxes.most,
    ends,
    strips,
  }
}

/** A frame's moulding leaves no opening below this many of its widths. */
const LEAST_WIDTHS = 2.5

interface Row {
  readonly below: Band | null
  readonly above: Band | null
}

/** Between each two horizontals a row; above the main rail only where boxes are wanted there. */
function rowsOf({ bands, design, head, lines }: LayInput): Row[] {
  const inOrder = [...bands].sort((a, b) => a.bottom - b.bottom)
  const edges: (Band | null)[] = [...inOrder, null]
  return edges
    .map((above, i): Row => ({ below: inOrder[i - 1] ?? null, above }))
    .filter(({ below, above }) => (above?.bottom ?? lines.headLine) - (below?.top ?? lines.baseTop) > 0)
    .filter(({ below }) => design.boxes.upper || (below?.top ?? lines.baseTop) < head)
}

function lineOf({ at0, slope }: RuleLine, leftwards: boolean): Line {
  const tilt = (Math.atan(slope) * 180) / Math.PI
  return { through: { x: 0, y: at0 }, directionDeg: leftwards ? tilt + 180 : tilt }
}

/** The lines a row lies between along one course: the upper edge below it, the lower edge above it. */
function boundsAt(row: Row, { lines, shape, head }: LayInput, x: number): { low: RuleLine; high: RuleLine } {
  const course = courseAt(lines, x)
  const low = row.below
    ? bandEdge(row.below, course, 'top')
    : { at0: course.at0 + (course.lift ?? 0) + lines.baseTop, slope: course.slope }
  if (row.above) return { low, high: bandEdge(row.above, course, 'bottom') }
  // without a rail on it the layout's own height bounds the row that reaches it
  if ((row.below?.top ?? lines.baseTop) < head)
    return { low, high: { at0: course.at0 + head, slope: course.slope } }
  const crown = lines.ceiling - lines.headLine
  return { low, high: { at0: profileAt(shape.ceiling, x) - crown, slope: 0 } }
}

/**
 * Sloped parts of the wall that are missing, attic or stair: the line to stay to the left of, which is the slope turned
 * round, since the part itself lies to the left of its edges. `over` is the floor's side: stay above it.
 */
function slopesAt(
  obstacles: readonly Obstacle[],
  left: number,
  right: number,
): { line: Line; over: boolean }[] {
  return obstacles
    .filter(({ kind, outline }) => isMissing(kind) && isSloped(outline))
    .filter(({ outline }) => {
      const bounds = boundsOf(outline)
      return bounds.right > left && bounds.left < right
    })
    .flatMap(({ outline }) =>
      outline.flatMap((from, i) => {
        const to = outline[(i + 1) % outline.length]
        if (!to || from.x === to.x || from.y === to.y) return []
        return [{ line: lineFrom(to, from), over: from.x > to.x }]
      }),
    )
}

/** The outline of a box in its place: what bounds it, each moved in by its margin. */
function outlineIn(
  input: LayInput,
  row: Row,
  free: { bottom: number; top: number },
  left: number,
  right: number,
): Polygon {
  const { boxes } = input.design
  const [below, above] = [boxes.below ?? boxes.margin, boxes.above ?? boxes.margin]
  const middle = (left + right) / 2
  const { low, high } = boundsAt(row, input, middle)
  const far = input.survey.height * 4
  let outline: Polygon = rectangle(left, -far, right, far)
  const cut = (line: Line, margin: number) => (outline = clipConvex(outline, shiftedLeft(line, margin)))
  cut(lineOf(low, false), below)
  cut(lineOf(high, true), above)
  if (Number.isFinite(free.bottom)) cut({ through: { x: 0, y: free.bottom }, directionDeg: 0 }, below)
  if (Number.isFinite(free.top)) cut({ through: { x: 0, y: free.top }, directionDeg: 180 }, above)
  for (const { line, over } of slopesAt(input.obstacles, left, right)) cut(line, over ? below : above)
  return outline
}

/** Every side is long enough for the miters at its two corners. */
function holdsMiters(outline: Polygon, mouldingWidth: number): boolean {
  const inner = miteredSides(outline).reduce<Polygon>(
    (face, { side }) => clipConvex(face, shiftedLeft(side, mouldingWidth)),
    outline,
  )
  return inner.length === outline.length
}

/**
 * Where a slope leaves a side too short to be mitered, that side is moved in until it is long enough; an outline that
 * never is has no box.
 */
function withLongSides(outline: Polygon, mouldingWidth: number): Polygon {
  if (outline.length < 3 || holdsMiters(outline, mouldingWidth)) return outline
  const shortest = [...miteredSides(outline)].sort((a, b) => sideLength(a) - sideLength(b))[0]
  if (!shortest) return []
  for (let quarters = 1; quarters <= 24; quarters++) {
    const moved = clipConvex(outline, shiftedLeft(shortest.side, (quarters * mouldingWidth) / 4))
    if (moved.length >= 3 && holdsMiters(moved, mouldingWidth)) return moved
  }
  return []
}

function sideLength({ side, to }: ReturnType<typeof miteredSides>[number]): number {
  return Math.hypot(to.through.x - side.through.x, to.through.y - side.through.y)
}

function isRoomy(outline: Polygon, mouldingWidth: number): boolean {
  if (outline.length < 3) return false
  const { left, right, bottom, top } = boundsOf(outline)
  return Math.min(right - left, top - bottom) >= mouldingWidth * LEAST_WIDTHS
}

/** Bends of the base line divide a row like a corner; half a margin is left on each side of a bend. */
function splitAtBends(section: Section, { lines, design }: LayInput): Section[] {
  const bends = lines.courses
    .slice(0, -1)
    .map(({ right }) => right)
    .filter((x) => x > section.left && x < section.right)
  if (bends.length === 0) return [section]
  const half = design.boxes.margin / 2
  const cuts = [section.left, ...bends, section.right]
  return cuts.slice(1).map((to, i) => ({
    ...section,
    id: i === 0 ? section.id : `${section.id}-bend${i}`,
    from: section.from.kind === 'wall' ? { kind: i === 0 ? 'corner' : 'bend' } : section.from,
    left: i === 0 ? (cuts[i] ?? to) : (cuts[i] ?? to) - half,
    right: i === cuts.length - 2 ? to : to + half,
  }))
}

/** A box in its row, and what its margins are measured from. */
type PlacedBox = Pick<BoxFrame, 'outline' | 'below' | 'above'>

function boundedBy(row: Row, free: { bottom: number; top: number }, head: number, lines: WallLines) {
  const low = row.below?.top ?? lines.baseTop
  const overHead = row.above ? 'strip' : low < head && head < lines.headLine ? 'open' : 'wall'
  return {
    below: Number.isFinite(free.bottom) ? 'thing' : row.below ? 'strip' : 'wall',
    above: Number.isFinite(free.top) ? 'thing' : overHead,
  } as const
}

function placeRow(
  row: Row,
  index: number,
  input: LayInput,
): { sections: SectionPlace[]; outlines: PlacedBox[] } {
  const { design, left, right, obstacles } = input
  const ends = [left, right].map((x) => boundsAt(row, input, x === left ? left + 1 : right - 1))
  const at = [left, right]
  const range = {
    bottom: Math.min(...ends.map(({ low }, i) => onLine(low, at[i] ?? 0))),
    top: Math.max(...ends.map(({ high }, i) => onLine(high, at[i] ?? 0))),
  }
  const moulding = materialIn(input, design.boxes.moulding)
  const sections: SectionPlace[] = []
  const outlines: PlacedBox[] = []
  const sides = sectionsBeside(left, right, range, obstacles, dividesBoxes(design.meets))
  for (const section of sides.flatMap((each) => splitAtBends(each, input))) {
    const id = index === 0 ? section.id : `row${index + 1}-${section.id}`
    const span = nearestNanometer(section.right - section.left)
    const own = design.sectionOwn[id]?.strips ?? (section.id === 'all' ? design.boxes.count : null)
    const placement = builtBoxes(design, id, span) ?? placeBoxes(design.boxes, span, own)
    if (!placement || section.free.length === 0) {
      const needed = nearestNanometer(moulding.width * LEAST_WIDTHS + 2 * design.boxes.margin)
      if (section.free.length > 0)
        sections.push({
          ...section,
          shifted: ZERO,
          id,
          row: index,
          placement: null,
          issue: { code: 'noRoomForBoxes', width: span, needed },
        })
      continue
    }
    const found = section.free.flatMap((free) =>
      placement.gaps.map((gap, i) => {
        const from =
          section.left + (placement.nearEdges[i] ?? 0) + (placement.widths?.[i] ?? design.boxes.margin)
        const outline = withLongSides(outlineIn(input, row, free, from, from + gap), moulding.width)
        return { outline, ...boundedBy(row, free, input.head, input.lines) }
      }),
    )
    const roomy = found.filter(({ outline }) => isRoomy(outline, moulding.width))
    if (roomy.length === 0) continue
    outlines.push(...roomy)
    sections.push({ ...section, id, row: index, placement, issue: null, shifted: ZERO })
  }
  return { sections, outlines }
}

/** Boxes where they were built: what lies between them and beside them are the margins, as wide as they are; null where nothing was. */
function builtBoxes({ sectionOwn, boxes }: LayInput['design'], id: string, span: Length): Placement | null {
  const places = sectionOwn[id]?.places
  if (!places) return null
  const edges = places.map(({ right }) => right)
  const nearEdges = [ZERO, ...edges]
  const widths = [...places.map(({ left }) => left), span].map((to, i) =>
    subtractLengths(to, nearEdges[i] ?? ZERO),
  )
  // what lies over another, or off the wall, can't be built
  if (widths.some((width) => width < 0)) return null
  return {
    span,
    stripWidth: boxes.margin,
    nearEdges,
    leftEnd: ZERO,
    rightEnd: ZERO,
    gaps: places.map(({ left, right }) => subtractLengths(right, left)),
    widths,
  }
}

/** Boxes on a span: the count asked for, else the one nearest to the wish, limits or not; null when none fits. */
function placeBoxes(boxes: Boxes, span: Length, count: number | null) {
  const wanted = boxSpacing(boxes, count)
  const placed = placeStrips(wanted, span, boxes.margin)
  if (placed.ok) return placed.value
  if (count !== null) return null
  const [nearest] = countChoices(wanted, span, boxes.margin).sort(
    (a, b) => Math.abs(a.offWish) - Math.abs(b.offWish),
  )
  if (!nearest || nearest.gap <= 0) return null
  const fallback = placeStrips({ ...wanted, strips: nearest.strips }, span, boxes.margin)
  return fallback.ok ? fallback.value : null
}

/** What to say where not one box finds room: the lowest row as it is, against its margins. */
function nothingFits(input: LayInput, rows: readonly Row[]): SectionPlace[] {
  const { left, right, design } = input
  const [row] = rows
  const middle = (left + right) / 2
  const bounds = row ? boundsAt(row, input, middle) : null
  const height = bounds ? Math.max(0, onLine(bounds.high, middle) - onLine(bounds.low, middle)) : 0
  const issue = {
    code: 'boxesTooTight',
    margin: design.boxes.margin,
    width: nearestNanometer(right - left),
    height: nearestNanometer(height),
  } as const
  const none = { opening: null, free: [], row: 0, placement: null, issue, shifted: ZERO }
  return [{ id: 'all', from: { kind: 'wall' }, left, right, ...none }]
}

/** What would end a side of a box, though strips are cut round it: too deep for a notch, or over the molding's whole width. */
function brokenBy(input: LayInput, placed: PlacedBox): string[] {
  const frame = { ...named({ kind: 'box', number: 0 }), number: 0, row: 0, ...placed }
  return [...new Set(frameStrips(input, frame).flatMap((side) => endedBy(side, input.obstacles, input)))]
}

/**
 * Frames row by row from the bottom, each from left to right; marked are the sides of every different box. A box is whole or it is
 * left out, and told as broken.
 */
export function layBoxes(input: LayInput): Laid {
  const inRows = rowsOf(input)
  const broken: BrokenBox[] = []
  const rows = inRows.map((row, i) => {
    const { sections, outlines } = placeRow(row, i, input)
    const whole = outlines.filter((placed) => {
      const thingIds = brokenBy(input, placed)
      if (thingIds.length > 0) broken.push({ outline: placed.outline, thingIds })
      return thingIds.length === 0
    })
    return { sections, outlines: whole }
  })
  let number = 0
  const frames = rows.flatMap(({ outlines }, row) =>
    [...outlines]
      .sort((a, b) => boundsOf(a.outline).left - boundsOf(b.outline).left)
      .map((placed): BoxFrame => {
        number += 1
        return { ...named({ kind: 'box', number }), number, row, ...placed }
      }),
  )
  const seen = new Set<string>()
  const uprights = frames.flatMap(({ id, name, number: n, outline }): Upright[] => {
    const { left, right } = boundsOf(outline)
    const key = `${left} ${right}`
    if (seen.has(key)) return []
    seen.add(key)
    return [{ id, name, number: n, left: nearestNanometer(left), right: nearestNanometer(right) }]
  })
  return {
    sections:
      frames.length === 0 && broken.length === 0
        ? nothingFits(input, inRows)
        : rows.flatMap(({ sections }) => sections),
    frames,
    uprights: uprights.sort((a, b) => a.left - b.left),
    bands: [],
    broken,
  }
}
