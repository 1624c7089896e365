import type { Workpiece } from '~/model'
import type { PulledOff } from '../asbuilt/pulledOff'
import { paperDrops } from '../agree/paperDrops'
import { colorsOf } from '../agree/wallColors'
import type { Plan } from '../computePlan'
import type { Point, Polygon } from '../geometry'
import { aboveOutline } from '../layout/above'
import { heldBy } from '../takeoff/fixings'
import { cutDrops, muralFit, type MuralFit } from '../takeoff/papering'
import { AGAINST, type Against, seamsOf } from '../takeoff/seams'
import { caulked, gritsOf } from '../takeoff/supplies'
import { wallFacts } from '../takeoff/wallFacts'

/** What is done to finish a wall, in working order. */
export type FinishWhat =
  /** Were the nailer's pressure and depth checked? */
  | { readonly kind: 'nailer' }
  | { readonly kind: 'nails'; readonly count: number }
  | { readonly kind: 'holes'; readonly count: number }
  /** Holes of a piece that was pulled off, by its name. */
  | { readonly kind: 'pulled'; readonly count: number; readonly piece: string }
  | { readonly kind: 'joints'; readonly count: number; readonly length: number }
  | { readonly kind: 'sand'; readonly grits: readonly number[] }
  | { readonly kind: 'vacuum' | 'wipe' | 'tapeOff' | 'touchUp' }
  | { readonly kind: 'knots'; readonly count: number }
  | { readonly kind: 'seam'; readonly against: Against; readonly length: number; readonly bead: number }
  /** What is never caulked, and why it stays so. */
  | { readonly kind: 'never'; readonly what: 'floor' | 'joints' | 'stained' | 'chosen' }
  | {
      readonly kind: 'coat'
      readonly on: 'trim' | 'field' | 'above' | 'varnish'
      readonly number: number
      readonly of: number
      readonly paint: string | null
    }
  | { readonly kind: 'plates'; readonly count: number; readonly paint: string | null }
  | { readonly kind: 'sideTrim'; readonly count: number }
  | {
      readonly kind: 'drop'
      readonly number: number
      readonly cut: number
      readonly width: number
      readonly roll: number
      /** Which of its roll’s drops it is cut as: the order of cutting is not always that of hanging. */
      readonly turn: number
    }
  | { readonly kind: 'panel'; readonly number: number; readonly fit: MuralFit }

/** One line of the finish list, with where it is on the wall. */
export interface FinishItem {
  readonly id: string
  readonly what: FinishWhat
  /** Nothing to tick: it says what is left alone. */
  readonly told: boolean
  /** What has to be ticked before, and the hours it then waits. */
  readonly after: { readonly id: string; readonly wait: number } | null
  readonly dots: readonly Point[]
  readonly lines: readonly { readonly from: Point; readonly to: Point }[]
  readonly areas: readonly Polygon[]
}

const NOWHERE = { dots: [], lines: [], areas: [] } as const

/** The finish list of a wall: nails and joints, seams, sanding, coats with their waits, paper drop by drop, what goes back on. */
export function finishList(
  workpiece: Workpiece,
  plan: Plan,
  pulled: readonly PulledOff[] = [],
): FinishItem[] {
  const { work, paints } = workpiece.settings
  const { pieces } = plan
  if (pieces.length === 0) return []
  const facts = wallFacts(
    { id: '', name: '', room: '' },
    workpiece,
    { boards: 0, setUps: 0, inPlace: 0 },
    plan,
  )
  const { seams, joints } = seamsOf(workpiece, plan)
  const held = heldBy(pieces, workpiece, work.spread)
  const colors = colorsOf({ paint: workpiece.wall.design.frame.paint }, { paints })
  const items: FinishItem[] = []
  const add = (id: string, what: FinishWhat, more: Partial<FinishItem> = {}) =>
    items.push({ id, what, told: false, after: null, ...NOWHERE, ...more })
  const nails = held.flatMap(({ nailsAt }) => nailsAt())
  const holes = facts.nails.reduce((sum, each) => sum + each.holes, 0)
  const faces = pieces.map(({ polygon }) => polygon)
  const stained = work.trim === 'stained'

  if (holes > 0) {
    add('nailer', { kind: 'nailer' })
    add('nails', { kind: 'nails', count: holes }, { dots: nails })
    add('holes', { kind: 'holes', count: holes }, { dots: nails })
  }
  if (joints.length > 0)
    add(
      'joints',
      { kind: 'joints', count: joints.length, length: facts.joints.length },
      { lines: joints.map(({ from, to }) => ({ from, to })) },
    )
  for (const { id, piece, holes: count, at } of pulled)
    if (count > 0) add(`pulled-${id}`, { kind: 'pulled', count, piece }, { dots: at })
  const filled = joints.length > 0 ? 'joints' : holes > 0 ? 'holes' : null
  add(
    'sand',
    { kind: 'sand', grits: gritsOf(facts, work) },
    { areas: faces, after: filled ? { id: filled, wait: work.waits.filler } : null },
  )
  add('vacuum', { kind: 'vacuum' })
  add('wipe', { kind: 'wipe' }, { after: { id: 'vacuum', wait: 0 } })
  const softwood = facts.stuff.filter((stuff) => stuff.softwood).reduce((sum, { length }) => sum + length, 0)
  const knots = Math.round((softwood / (25_400_000 * 120)) * work.spread.knots)
  if (knots > 0 && !stained) add('knots', { kind: 'knots', count: knots }, { areas: faces })

  const isSealed = caulked(facts, work) > 0
  for (const against of AGAINST) {
    const own = seams.filter((seam) => seam.against === against)
    if (own.length === 0) continue
    const isOpen = work.caulk === 'every' || against !== 'wall' || facts.hollow > 0
    const lines = own.map(({ from, to }) => ({ from, to }))
    if (against === 'floor') add('never-floor', { kind: 'never', what: 'floor' }, { told: true, lines })
    else if (isSealed && isOpen)
      add(
        `seam-${against}`,
        {
          kind: 'seam',
          against,
          length: own.reduce((sum, { length }) => sum + length, 0),
          bead: work.spread.caulkBead,
        },
        { lines, after: { id: 'wipe', wait: 0 } },
      )
  }
  if (!isSealed) add('never-seams', { kind: 'never', what: stained ? 'stained' : 'chosen' }, { told: true })
  if (joints.length > 0 && isSealed)
    add(
      'never-joints',
      { kind: 'never', what: 'joints' },
      { told: true, lines: joints.map(({ from, to }) => ({ from, to })) },
    )
  addCoats()
  addPaper()
  if (facts.plates > 0)
    add('plates', { kind: 'plates', count: facts.plates, paint: colors.plates?.id ?? null })
  if (facts.goesBack.pieces > 0) add('sideTrim', { kind: 'sideTrim', count: facts.goesBack.pieces })
  add('touchUp', { kind: 'touchUp' })
  return items

  function addCoats() {
    const lastSeam = items.findLast(({ what }) => what.kind === 'seam')?.id ?? null
    const first = lastSeam ? { id: lastSeam, wait: work.waits.caulk } : { id: 'wipe', wait: 0 }
    const above = aboveOutline(plan)
    const onto = [
      ...(facts.paints.above === null
        ? []
        : [{ on: 'above' as const, coats: work.coats.above, areas: above ? [above] : [] }]),
      ...(facts.paints.field === null ? [] : [{ on: 'field' as const, coats: work.coats.field, areas: [] }]),
      ...(facts.paints.trim === null
        ? []
        : [{ on: stained ? ('varnish' as const) : ('trim' as const), coats: work.coats.trim, areas: faces }]),
    ]
    const most = Math.max(0, ...onto.map(({ coats }) => coats))
    for (let number = 1; number <= most; number++)
      for (const { on, coats, areas } of onto)
        if (number <= coats)
          add(
            `coat-${on}-${number}`,
            {
              kind: 'coat',
              on,
              number,
              of: coats,
              paint: on === 'varnish' ? null : (colors[on]?.id ?? null),
            },
            {
              areas,
              after:
                number === 1
                  ? first
                  : {
                      id: `coat-${on}-${number - 1}`,
                      wait: on === 'varnish' ? work.waits.varnish : work.waits.paint,
                    },
            },
          )
    if (most > 0) add('tapeOff', { kind: 'tapeOff' }, { after: { id: items.at(-1)?.id ?? 'wipe', wait: 0 } })
  }

  function addPaper() {
    const { paper } = facts
    const outline = aboveOutline(plan)
    if (!paper || !outline) return
    const places = paperDrops(paper.paper, outline)
    const last = items.findLast(({ what }) => what.kind === 'coat')?.id
    const after = last ? { id: last, wait: work.waits.paint } : null
    if (paper.paper.kind === 'mural') {
      const fit = muralFit(paper.paper, paper.width, paper.height)
      for (const { number, polygon } of places)
        add(`panel-${number}`, { kind: 'panel', number, fit }, { areas: [polygon], after })
      return
    }
    const { drops } = cutDrops(paper.heights, paper.paper)
    for (const { number, polygon } of places) {
      const drop = drops[number - 1]
      if (drop)
        add(
          `drop-${number}`,
          { kind: 'drop', number, cut: drop.cut, width: paper.paper.width, roll: drop.roll, turn: drop.turn },
          { areas: [polygon], after },
        )
    }
  }
}
