import { type Length, nearestNanometer, tickOf, ZERO } from '~/length'
import type { Act, Design, Edit, Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { boardsNear } from '../cutting/leftToCut'
import { buildCutList, type Piece } from '../pieces'
import { builtWall, leastGap, offPlan } from './built'
import { builtHeights, heightPatch, offHeights, overAnother } from './builtUp'
import {
  type BuiltRow,
  type EvenIssue,
  evenIssue,
  EVENINGS_OUT,
  placedBy,
  type Run,
  runsOf,
  shares,
  type Unevenness,
  unevenness,
} from './evenOut'
import type { Release } from './release'
import { type CutFacts, cutFacts } from './cutFacts'
import { bestSplit, type SplitAim } from './splits'
import { costOf, type WayCost } from './wayCost'
import { placedEdits, type Places, railsIn } from './wayEdits'

/** How what is left goes on after a reading. */
export const BUILT_WAYS = [
  ...EVENINGS_OUT,
  'fewestRecuts',
  'smallestStep',
  'filler',
  'resize',
  'stays',
] as const
export type BuiltWay = (typeof BUILT_WAYS)[number]

/** One way on: where everything then stands, how uneven that is and what it takes. */
export interface WayOn extends WayCost {
  readonly ways: readonly BuiltWay[]
  readonly edits: readonly Edit[]
  readonly uneven: Unevenness
  /** Strips not up yet that move, and of them those whose marks are on the wall. */
  readonly moves: readonly string[]
}

/** What can be done about the wall as it is built. */
export interface WaysOn {
  readonly issue: EvenIssue | null
  readonly ways: readonly WayOn[]
}

/** Boxes not up yet made as wide as leaves their margins as they were laid out. */
function resized(row: BuiltRow): BuiltRow {
  const wider = new Map<number, number>()
  for (const run of runsOf(row)) {
    const count = run.to - run.from
    for (let i = run.from; i < run.to; i++) wider.set(i, run.by / count)
  }
  return {
    ...row,
    standing: row.standing.map((each, i) => ({
      ...each,
      width: each.right - each.left + (wider.get(i) ?? 0),
    })),
  }
}

/** Boxes not up yet as wide as they are cut, so that only margins change. */
function asCutRow(row: BuiltRow, widthOf: (id: string) => number | null): BuiltRow {
  return {
    ...row,
    standing: row.standing.map((each) => {
      const width = each.at ? null : widthOf(each.id)
      return width === null ? each : { ...each, width }
    }),
  }
}

interface Tried {
  readonly way: BuiltWay
  readonly places: readonly Places[]
  readonly up: Places | null
  readonly more?: Partial<Design>
}

const NOTHING = 2

/** What is out of place: sections along the wall, a grid's rails up it, and all horizontals. None of a direction in which nothing is. */
function outOfPlace(workpiece: Workpiece, layout: Layout, acts: readonly Act[], release: Release | null) {
  const heights = builtHeights(layout, acts, release)
  const off = offHeights(heights, NOTHING)
  const along = builtWall(workpiece, layout, acts, release)
  return {
    along: off.size > 0 && offPlan(along, NOTHING).size === 0 ? [] : along,
    upRow: heights.row?.standing.some(({ id }) => off.has(id)) ? heights.row : null,
    heights: off.size > 0 ? heights : null,
  }
}

/**
 * The ways on for a wall of which something is up elsewhere than laid out: each carried out whole, so that what it says is what comes.
 * What is up stays where it is in all of them. Ways that come to the same are one.
 */
export function waysOn(
  workpiece: Workpiece,
  plan: { layout: Layout; pieces: readonly Piece[] },
  acts: readonly Act[],
  release: Release | null,
  facts: CutFacts = { ...cutFacts(acts), release },
): WaysOn {
  const { layout, pieces } = plan
  const { along: built, upRow, heights } = outOfPlace(workpiece, layout, acts, release)
  if (built.length === 0 && !heights) return { issue: null, ways: [] }
  const { settings } = workpiece
  const tick = tickOf(settings.tape)
  const margins = rulesOf(layout).places === 'margins'
  const cut = new Map(
    (release?.pieces ?? []).flatMap((state) => (state.cutAt === null ? [] : [[state.piece.pieceId, state]])),
  )
  const cutWidths = new Map(
    [...cut.values()].flatMap(({ piece, upAt }) =>
      upAt === null && piece.role === 'boxRail' ? [[piece.stripId, piece.longLength as number] as const] : [],
    ),
  )
  const rows = built.map(({ row }) => (margins ? asCutRow(row, (id) => cutWidths.get(id) ?? null) : row))
  const least = margins ? tick : leastGap(workpiece, tick)
  const over = heights && overAnother(heights, layout)
  const issue =
    (over ? ({ code: 'cannotBe', strip: over } as const) : null) ??
    rows.map((row) => evenIssue(row, least)).find((each) => each !== null) ??
    (upRow && upIssue(upRow, tick))
  if (issue && issue.code !== 'gapsTooSmall') return { issue, ways: [] }
  const evened = rows.length > 0 || upRow !== null
  const tried: Tried[] = evened
    ? EVENINGS_OUT.map((way) => ({
        way,
        places: rows.map((row) => placedBy(row, (run) => shares(run, way))),
        up: upRow && placedBy(upRow, (run) => shares(run, way)),
      }))
    : [{ way: 'stays', places: [], up: null }]
  if (margins && evened)
    tried.push({
      way: 'resize',
      places: built.map(({ row }) => placedBy(resized(row), (run) => run.gaps.map(() => 0))),
      up: null,
    })
  else if (evened) {
    const isCut = new Set(
      [...cut.values()].flatMap((state) => (state.upAt === null ? [state.piece.pieceId] : [])),
    )
    for (const way of ['fewestRecuts', 'smallestStep'] as const)
      tried.push({
        way,
        places: rows.map((row) => placedBy(row, (run) => splitOf(run, row, way, 'along'))),
        up: upRow && placedBy(upRow, (run) => splitOf(run, upRow, way, 'up')),
      })
    const filler = upRow ? null : withFiller(rows, layout, workpiece)
    if (filler) tried.push(filler)
    function splitOf(run: Run, row: BuiltRow, aim: SplitAim, axis: 'along' | 'up'): readonly number[] {
      const ticks = Math.round(run.by / tick)
      const rest = run.by - ticks * tick
      const rails = railsIn(pieces, isCut, run, row, axis)
      const open = run.open.flatMap((is, i) => (is ? [i] : []))
      const found = bestSplit(
        {
          rails: open.map((i) => rails[i] ?? 0),
          ticks,
          tolerance: Math.floor(settings.fit / tick),
          neighbor: run.from > 0,
        },
        aim,
      )
      if (!found) return shares(run, 'even')
      const by = run.gaps.map(() => 0)
      open.forEach((bay, i) => (by[bay] = (found.by[i] ?? 0) * tick))
      const last = open.at(-1) ?? 0
      by[last] = (by[last] ?? 0) + rest
      return by
    }
  }
  const now = boardsNear({ layout, pieces, cutList: buildCutList(pieces) }, workpiece, facts)
  const looked = [...built.map(({ row }) => row), ...(upRow ? [upRow] : [])]
  const byKey = new Map<string, WayOn>()
  for (const { way, places, up, more } of tried) {
    if (places.some((row, i) => squeezed(row, rows[i], least === tick ? 0 : tick))) continue
    if (up && squeezed(up, upRow ?? undefined, 0)) continue
    const stood = [...places, ...(up ? [up] : [])]
    const key = JSON.stringify([
      stood.map((row) => row.map(({ left, right }) => [left, right])),
      more ?? null,
    ])
    const known = byKey.get(key)
    if (known) {
      byKey.set(key, { ...known, ways: [...known.ways, way] })
      continue
    }
    const raised = heights ? heightPatch(workpiece, heights, up) : {}
    const edits: Edit[] = [
      ...(built.length > 0 ? placedEdits(workpiece, built, places, more) : []),
      ...(heights ? [{ type: 'patchDesign' as const, patch: raised }] : []),
    ]
    byKey.set(key, {
      ways: [way],
      edits,
      ...costOf(workpiece, edits, { release, facts, now, cut, acts, pieces }),
      ...lookOf(looked, stood, more?.fillers?.right ?? ZERO),
    })
  }
  // what no eye sees first, then what costs least
  const ways = [...byKey.values()].sort(
    (a, b) =>
      Number(a.uneven.seen) - Number(b.uneven.seen) ||
      a.recuts.length - b.recuts.length ||
      a.uneven.step - b.uneven.step,
  )
  return { issue, ways }
}

/** The same of a grid's rails: there is no end of the wall to read again, only rails to lie over one another. */
function upIssue(row: BuiltRow, least: number): EvenIssue | null {
  const issue = evenIssue(row, least)
  return issue?.code === 'beyondWall' ? { code: 'cannotBe', strip: issue.strip } : issue
}

/** A gap of nothing or less between two places. */
function squeezed(places: Places, row: BuiltRow | undefined, least: number): boolean {
  if (!row) return false
  return [...places, { left: row.right }].some(({ left }, i) => {
    const gap = left - (i === 0 ? row.left : (places[i - 1]?.right ?? row.left))
    const atEnd = i === 0 || i === places.length
    return gap < (atEnd ? -2 : Math.max(1, least))
  })
}

/** What is left over goes into a strip ripped for the end of the wall: only at the right end, with strips hard at it, and room for one. */
function withFiller(rows: readonly BuiltRow[], layout: Layout, workpiece: Workpiece): Tried | null {
  const [row, ...more] = rows
  if (!row || more.length > 0 || layout.fillers.length > 0) return null
  const run = runsOf(row).find(({ to }) => to === row.standing.length)
  if (!run || run.open.at(-1) !== false || run.by < tickOf(workpiece.settings.tape)) return null
  const places = placedBy(row, () => run.gaps.map(() => 0))
  const last = places.at(-1)
  if (!last) return null
  const right = nearestNanometer(row.right - last.right)
  return { way: 'filler', places: [places], up: null, more: { fillers: { left: ZERO, right } } }
}

/** How even rows are with everything at these places; what a strip ripped for the right end fills is no bay. */
function lookOf(
  rows: readonly BuiltRow[],
  places: readonly Places[],
  filled: Length,
): Pick<WayOn, 'uneven' | 'moves'> {
  const looks = rows.map((row, i) => unevenness({ ...row, right: row.right - filled }, places[i] ?? []))
  const moves = rows.flatMap((row, i) =>
    row.standing.flatMap(({ id, left, at }, n) =>
      at === null && Math.abs((places[i]?.[n]?.left ?? left) - left) > 2 ? [id] : [],
    ),
  )
  const most = (of: (each: Unevenness) => Length) => nearestNanometer(Math.max(0, ...looks.map(of)))
  return {
    uneven: {
      worst: most(({ worst }) => worst),
      step: most(({ step }) => step),
      seen: looks.some(({ seen }) => seen),
    },
    moves,
  }
}
