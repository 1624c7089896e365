import { boundsOf } from '../geometry'
import { OPENINGS, type Paper, type Workpiece } from '~/model'
import { colorsOf, isPainted } from '../agree/wallColors'
import { computePlan, type Plan } from '../computePlan'
import { flatAdvice } from '../cutting/flat'
import { aboveOutline } from '../layout/above'
import { lengthBefore } from '../layout/returning'
import { panelsOf } from '../panels/panels'
import type { Piece } from '../pieces'
import { makeOf, prepSteps, type PrepStep } from '../stock/preparing'
import { type FitGroup, fitSteps } from '../sequence/fitSteps'
import { isOpening, isPlate } from '../survey/obstacles'
import { areasOf, type Areas } from './areas'
import { type Held, heldBy, type Nails } from './fixings'
import { dropHeights } from './papering'
import { AGAINST, type Against, type Seams, seamsOf } from './seams'

/** Stuff of a wall that is prepared alike before paint. Lengths and areas in nanometers. */
export interface StuffToPrepare {
  readonly steps: readonly PrepStep[]
  readonly softwood: boolean
  readonly mdf: boolean
  readonly length: number
  readonly area: number
  readonly pieces: number
  readonly ends: number
}

/** What hangs above the trim. */
export interface PaperFacts {
  readonly paper: Paper
  readonly heights: readonly number[]
  /** The widest and the highest it has to cover, as read. */
  readonly width: number
  readonly height: number
}

/** What a wall takes, worked out from its plan: plain figures, for take-off, hours and tasks. Lengths and areas in nanometers. */
export interface WallFacts {
  readonly wall: string
  readonly name: string
  readonly room: string
  readonly width: number
  readonly strips: number
  readonly pieces: number
  readonly inPlace: number
  readonly setUps: number
  readonly boards: number
  readonly seams: Readonly<Record<Against, number>>
  /** Of them those that stand open: over a hollow, or at what was cut to a reading. What a hollow takes besides, as an area. */
  readonly openSeams: number
  readonly hollow: number
  readonly joints: { readonly count: number; readonly length: number; readonly miters: number }
  readonly areas: Areas
  /** The kept baseboard's face, where it is painted with the trim. */
  readonly baseArea: number
  readonly nails: readonly Nails[]
  readonly held: Readonly<Record<'glue' | 'beads' | 'dabs' | 'hotGlue' | 'tape', number>>
  /** Pieces held by adhesive alone. */
  readonly propped: number
  readonly stuff: readonly StuffToPrepare[]
  /** Paints by what they go on: the paint's id, `open` where none was picked yet, null where it stays as it is. */
  readonly paints: {
    readonly trim: string | null
    readonly field: string | null
    readonly above: string | null
  }
  readonly paper: PaperFacts | null
  /** What masking tape runs along. */
  readonly taped: number
  readonly panels: {
    readonly sheet: string
    readonly sheets: number
    readonly pieces: number
    readonly plates: number
    readonly price: number | null
  } | null
  /** Running trim and trim at the sides that comes off; what of it goes back. */
  readonly comesOff: { readonly length: number; readonly pieces: number }
  readonly goesBack: { readonly length: number; readonly pieces: number }
  readonly base: 'keep' | 'remove' | null
  readonly plates: number
  readonly doors: number
  readonly beveledFeet: number
  /** Pieces of the border and next to the corners: what is painted before it goes up, by one school. */
  readonly edgePieces: number
  readonly textured: boolean
  readonly oldPaint: boolean
  readonly rented: boolean
  readonly furniture: boolean
  readonly child: boolean
  readonly heat: boolean
  readonly cables: boolean
  readonly floor: { readonly when: 'before' | 'under' | 'against' } | null
  /** What goes on one after the other: how many pieces of what. */
  readonly steps: readonly { readonly group: FitGroup; readonly pieces: number }[]
}

const isPerimeter = ({ role, startsAt, endsAt }: Piece) =>
  role === 'border' || role === 'topRail' || role === 'bottomRail' || startsAt === 'wall' || endsAt === 'wall'

function nailsTogether(held: readonly Held[]): Nails[] {
  const byKind = new Map<string, { nails: Nails; places: number; holes: number }>()
  for (const { nails } of held) {
    if (!nails) continue
    const key = `${nails.kind} ${nails.length}`
    const known = byKind.get(key)
    if (known) {
      known.places += nails.places
      known.holes += nails.holes
    } else byKind.set(key, { nails, places: nails.places, holes: nails.holes })
  }
  return [...byKind.values()]
    .map(({ nails, places, holes }) => ({ ...nails, places, holes }))
    .sort((a, b) => a.length - b.length)
}

function stuffToPrepare(
  plan: Plan,
  { settings }: Workpiece,
  areaOf: (piece: Piece) => number,
): StuffToPrepare[] {
  return settings.materials.flatMap((material): StuffToPrepare[] => {
    const own = plan.pieces.filter(({ materialId }) => materialId === material.id)
    if (own.length === 0) return []
    const make = makeOf(material)
    return [
      {
        steps: make ? prepSteps(make) : [],
        softwood: make?.stuff === 'softwood' && make.surface === 'raw',
        mdf: make?.stuff === 'mdf',
        length: own.reduce((sum, { cutLength }) => sum + cutLength, 0),
        area: own.reduce((sum, piece) => sum + areaOf(piece), 0),
        pieces: own.length,
        ends: own.length * 2,
      },
    ]
  })
}

function paintsOf({ wall, settings }: Workpiece): WallFacts['paints'] {
  const { paint } = wall.design.frame
  const colors = colorsOf({ paint }, settings)
  // before a color was picked trim and field are painted in what is still open
  if (!isPainted(colors)) return { trim: 'open', field: 'open', above: null }
  return {
    trim: colors.trim?.id ?? null,
    field: colors.field?.id ?? null,
    above: paint.paper ? null : (colors.above?.id ?? null),
  }
}

function openSeams(workpiece: Workpiece, plan: Plan, { seams }: Seams): { length: number; hollow: number } {
  const advice = flatAdvice(plan.pieces, workpiece).filter(({ way }) => way === 'fill' || way === 'pull')
  const over = new Set(advice.map(({ pieceId }) => pieceId))
  const length = seams.reduce(
    (sum, seam) =>
      sum +
      (seam.against !== 'floor' && (seam.against !== 'wall' || over.has(seam.pieceId)) ? seam.length : 0),
    0,
  )
  // a seam over a hollow is as deep as the hollow, on both sides of the strip
  const hollow = advice.reduce((sum, { way, behind }) => sum + (way === 'fill' ? 2 * behind.area : 0), 0)
  return { length, hollow }
}

/** Counts a board plan and a cut list know, handed in by whoever has them. */
export interface AtSawCounts {
  readonly boards: number
  readonly setUps: number
  readonly inPlace: number
}

/** Works out what a wall takes. */
export function wallFacts(
  { id, name, room }: { readonly id: string; readonly name: string; readonly room: string },
  workpiece: Workpiece,
  counts: AtSawCounts,
  plan: Plan = computePlan(workpiece),
): WallFacts {
  const { survey, design } = workpiece.wall
  const { work } = workpiece.settings
  const { pieces, layout } = plan
  const found = seamsOf(workpiece, plan)
  const areas = areasOf(workpiece, plan, found)
  const held = heldBy(pieces, workpiece, work.spread)
  const sums = Object.fromEntries(AGAINST.map((against) => [against, 0])) as Record<Against, number>
  for (const { against, length } of found.seams) sums[against] += length
  const open = openSeams(workpiece, plan, found)
  const faces = pieces.length === 0 ? 1 : (areas.faces + areas.edges) / Math.max(1, areas.faces)
  const faceOf = ({ longLength, shortLength, faceWidth }: Piece) =>
    ((longLength + shortLength) / 2) * faceWidth * faces
  const { paint } = design.frame
  const paints = paintsOf(workpiece)
  const outline = aboveOutline(plan)
  const paper = paint.paper
  const bounds = outline && boundsOf(outline)
  const doors = survey.things.filter(({ kind, fate }) => kind === 'door' && fate !== 'remove')
  const doorWidth = doors.reduce((sum, { width, casing }) => sum + width + 2 * casing, 0)
  const keptBase = survey.baseboard?.fate === 'keep'
  const running = [survey.baseboard, survey.crown].filter((each) => each?.fate === 'remove').length
  const off = survey.things.filter(({ fate }) => fate === 'remove' || fate === 'goesBack')
  const back = survey.things.filter(({ fate }) => fate === 'goesBack')
  const lengthsOf = (things: typeof off) => things.reduce((sum, thing) => sum + lengthBefore(thing), 0)
  const skin = panelsOf(workpiece, layout)
  const around = survey.things
    .filter(({ kind }) => isOpening(kind))
    .reduce((sum, { width, height, casing }) => sum + 2 * (width + height) + 8 * casing, 0)
  const { walkRound } = survey
  return {
    wall: id,
    name,
    room,
    width: survey.width,
    strips: layout.strips.length,
    pieces: pieces.length,
    ...counts,
    seams: sums,
    openSeams: open.length,
    hollow: open.hollow,
    joints: {
      count: found.joints.length,
      length: found.joints.reduce((sum, { length }) => sum + length, 0),
      miters: found.joints.filter(({ miter }) => miter).length,
    },
    areas,
    baseArea: keptBase && paint.base ? layout.lines.baseTop * Math.max(0, survey.width - doorWidth) : 0,
    nails: nailsTogether(held),
    held: {
      glue: held.reduce((sum, { glue }) => sum + glue, 0),
      beads: held.reduce((sum, { beads }) => sum + beads, 0),
      dabs: held.reduce((sum, { dabs }) => sum + dabs, 0),
      hotGlue: held.reduce((sum, { hotGlue }) => sum + hotGlue, 0),
      tape: held.reduce((sum, { tape }) => sum + tape, 0),
    },
    propped: held.filter(({ fixing }) => fixing === 'adhesiveOnly' || fixing === 'hotGlue').length,
    stuff: stuffToPrepare(plan, workpiece, faceOf),
    paints,
    paper:
      paper && outline && bounds
        ? {
            paper,
            heights: paper.kind === 'repeat' ? dropHeights(paper, outline) : [],
            width: bounds.right - bounds.left,
            height: bounds.top - bounds.bottom,
          }
        : null,
    // along what is not painted: the floor, casing, and the ceiling where the wall is painted up to it
    taped: survey.width - doorWidth + around + (paints.above === null && outline ? 0 : survey.width),
    panels:
      skin?.ok === true
        ? {
            sheet: skin.value.sheet.id,
            sheets: skin.value.sheets,
            pieces: skin.value.panels.length,
            plates: skin.value.plates.length,
            price: skin.value.sheet.price,
          }
        : null,
    comesOff: {
      length:
        running * survey.width +
        lengthsOf(off.filter(({ kind }) => !(OPENINGS as readonly string[]).includes(kind))),
      pieces: running + off.length,
    },
    goesBack: { length: lengthsOf(back), pieces: back.length },
    base: survey.baseboard?.fate ?? null,
    plates: survey.things.filter(({ kind, fate }) => isPlate(kind) && fate !== 'remove').length,
    doors: doors.length,
    beveledFeet: pieces.filter(({ start, end }) => start.kind === 'bevel' || end.kind === 'bevel').length,
    edgePieces: pieces.filter(isPerimeter).length,
    textured: walkRound.texture === 'textured' && skin?.ok !== true,
    oldPaint: walkRound.age === 'before1978' || walkRound.age === 'unknown',
    rented: walkRound.holder === 'renter',
    furniture: walkRound.furniture === 'stays',
    child: walkRound.child === 'yes',
    heat: walkRound.heat === 'placed',
    cables: survey.behind.keepOuts.length > 0 || survey.things.some(({ kind }) => isPlate(kind)),
    floor: survey.floorToCome ? { when: survey.floorToCome.when } : null,
    steps: fitSteps(pieces, work.fitOrder).map(({ group, pieceIds }) => ({ group, pieces: pieceIds.length })),
  }
}
