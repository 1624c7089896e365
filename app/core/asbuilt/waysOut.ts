import { type Length, nearestNanometer, tickOf, ZERO } from '~/length'
import { type Act, type Design, type Edit, inForce, type Workpiece } from '~/model'
import { applyEdits } from '../edits/applyEdit'
import { boundsOf } from '../geometry'
import { cutWall } from '../layout/cutWall'
import type { Layout } from '../layout/layout'
import { rulesOf } from '../patterns/rules'
import { buildCutList, type Piece, sameRecesses } from '../pieces'
import { boardRequests, firstBoards } from '../stock'
import { type BuiltSection, builtWall, leastGap } from './built'
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
import { lengthNow, type Release } from './release'
import { bestSplit, type SplitAim } from './splits'

/** How what is left goes on after a reading. */
export const BUILT_WAYS = [...EVENINGS_OUT, 'fewestRecuts', 'smallestStep', 'filler', 'resize'] as const
export type BuiltWay = (typeof BUILT_WAYS)[number]

/** One way on: where everything then stands, how uneven that is and what it takes. */
export interface WayOn {
  readonly ways: readonly BuiltWay[]
  readonly edits: readonly Edit[]
  readonly uneven: Unevenness
  /** Strips not up yet that move, and of them those whose marks are on the wall. */
  readonly moves: readonly string[]
  /** Pieces cut already that are cut anew, and of them those cut from themselves. */
  readonly recuts: readonly string[]
  readonly fromThemselves: number
  readonly boards: number | null
  readonly cost: number | null
  readonly minutes: number
}

/** What can be done about the wall as it is built. */
export interface WaysOn {
  readonly issue: EvenIssue | null
  readonly ways: readonly WayOn[]
}

type Places = ReturnType<typeof placedBy>

/** Places as the design keeps them: section by section from its left end. */
function placedEdits(
  workpiece: Workpiece,
  built: readonly BuiltSection[],
  places: readonly Places[],
  more: Partial<Design> = {},
): Edit[] {
  const { design, survey } = workpiece.wall
  const own = { ...inForce(design).sectionOwn }
  built.forEach(({ section, row }, i) => {
    const from = nearestNanometer(row.left)
    own[section.id] = {
      strips: null,
      shift: ZERO,
      places: (places[i] ?? []).map(({ left, right }) => ({
        left: nearestNanometer(left - from),
        right: nearestNanometer(right - from),
      })),
    }
  })
  // each row of boxes ends at the same wall: it is wider once
  const wider = built.map(({ row }) => row.right - row.plannedRight).find((each) => each !== 0) ?? 0
  const lower = built.map(({ row }) => row.left - row.plannedLeft).find((each) => each !== 0) ?? 0
  const by = nearestNanometer(wider)
  const width: Edit[] =
    by === 0 || lower !== 0
      ? []
      : [
          {
            type: 'patchSurvey',
            patch: {
              width: nearestNanometer(survey.width + by),
              readings: survey.readings.map((each) =>
                each.kind === 'width' ? { ...each, value: nearestNanometer(each.value + by) } : each,
              ),
            },
          },
        ]
  return [...width, { type: 'patchDesign', patch: { shift: ZERO, sectionOwn: own, ...more } }]
}

/** Horizontals that are cut and end at both sides of a bay: what is recut where the bay changes. */
function railsIn(pieces: readonly Piece[], cut: ReadonlySet<string>, run: Run, row: BuiltRow): number[] {
  const edges = [
    row.standing[run.from - 1]?.right ?? row.plannedLeft,
    ...row.standing.slice(run.from, run.to).flatMap(({ left, right }) => [left, right]),
    row.standing[run.to]?.left ?? row.plannedRight,
  ]
  const bounds = pieces.filter(({ id }) => cut.has(id)).map(({ polygon }) => boundsOf(polygon))
  return run.gaps.map((_, bay) => {
    const [from, to] = [edges[2 * bay] ?? 0, edges[2 * bay + 1] ?? 0]
    return bounds.filter(
      ({ left, right }) => Math.abs(left - from) < 1_000_000 && Math.abs(right - to) < 1_000_000,
    ).length
  })
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
  readonly more?: Partial<Design>
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
): WaysOn {
  const { layout, pieces } = plan
  const built = builtWall(workpiece, layout, acts, release)
  if (built.length === 0) return { issue: null, ways: [] }
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
  const issue = rows.map((row) => evenIssue(row, least)).find((each) => each !== null) ?? null
  if (issue && issue.code !== 'gapsTooSmall') return { issue, ways: [] }
  const tried: Tried[] = EVENINGS_OUT.map((way) => ({
    way,
    places: rows.map((row) => placedBy(row, (run) => shares(run, way))),
  }))
  if (margins)
    tried.push({
      way: 'resize',
      places: built.map(({ row }) => placedBy(resized(row), (run) => run.gaps.map(() => 0))),
    })
  else {
    const isCut = new Set(
      [...cut.values()].flatMap((state) => (state.upAt === null ? [state.piece.pieceId] : [])),
    )
    for (const way of ['fewestRecuts', 'smallestStep'] as const) {
      const places = rows.map((row) => placedBy(row, (run) => splitOf(run, row, way)))
      tried.push({ way, places })
    }
    const filler = withFiller(rows, layout, workpiece)
    if (filler) tried.push(filler)
    function splitOf(run: Run, row: BuiltRow, aim: SplitAim): readonly number[] {
      const ticks = Math.round(run.by / tick)
      const rest = run.by - ticks * tick
      const rails = railsIn(pieces, isCut, run, row)
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
  const byKey = new Map<string, WayOn>()
  for (const { way, places, more } of tried) {
    if (places.some((row, i) => squeezed(row, rows[i], least === tick ? 0 : tick))) continue
    const edits = placedEdits(workpiece, built, places, more)
    const key = JSON.stringify([
      places.map((row) => row.map(({ left, right }) => [left, right])),
      more ?? null,
    ])
    const known = byKey.get(key)
    if (known) byKey.set(key, { ...known, ways: [...known.ways, way] })
    else
      byKey.set(key, {
        ways: [way],
        edits,
        ...costOf(workpiece, edits, { cut, acts, pieces }),
        ...lookOf(built, places),
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
  return { way: 'filler', places: [places], more: { fillers: { left: ZERO, right } } }
}

function lookOf(built: readonly BuiltSection[], places: readonly Places[]): Pick<WayOn, 'uneven' | 'moves'> {
  const looks = built.map(({ row }, i) => unevenness(row, places[i] ?? []))
  const moves = built.flatMap(({ row }, i) =>
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

interface Known {
  readonly cut: ReadonlyMap<string, Release['pieces'][number]>
  readonly acts: readonly Act[]
  readonly pieces: readonly Piece[]
}

/** What edits cost whose pieces are cut already: of what is up nothing, of what is not cut nothing either. */
function costOf(
  workpiece: Workpiece,
  edits: readonly Edit[],
  { cut, acts, pieces }: Known,
): Pick<WayOn, 'recuts' | 'fromThemselves' | 'boards' | 'cost' | 'minutes'> {
  const after = applyEdits(workpiece, edits)
  const { fit, work } = workpiece.settings
  const wanted = cutWall(after).pieces
  const again: Piece[] = []
  const fresh: Piece[] = []
  for (const piece of wanted) {
    const state = cut.get(piece.id)
    if (!state || state.upAt !== null) continue
    const off = piece.longLength - lengthNow(state).longLength
    const fits = Math.abs(off) <= fit && sameRecesses(state.piece, piece)
    if (fits) continue
    again.push(piece)
    if (off > 0 || !sameRecesses(state.piece, piece)) fresh.push(piece)
  }
  const plans = boardRequests(buildCutList(fresh), workpiece.settings).map(firstBoards)
  const known = plans.flatMap((plan) => (plan.ok ? [plan.value] : []))
  const all = known.length === plans.length
  const marked = new Set(acts.flatMap((act) => (act.kind === 'marked' ? [act.strip] : [])))
  const was = new Map(pieces.map((piece) => [piece.id, boundsOf(piece.polygon).left]))
  const remark = new Set(
    wanted
      .filter(({ id, polygon }) => Math.abs((was.get(id) ?? 0) - boundsOf(polygon).left) > 2)
      .map(({ stripId }) => stripId),
  )
  const marks = [...remark].filter((id) => marked.has(id)).length
  return {
    recuts: again.map(({ id }) => cut.get(id)?.piece.name ?? id),
    fromThemselves: again.length - fresh.length,
    boards: all ? known.reduce((sum, { boards }) => sum + boards.length, 0) : null,
    cost: all
      ? known.reduce<number | null>((sum, { cost }) => (sum === null || cost === null ? null : sum + cost), 0)
      : null,
    minutes: Math.round(again.length * work.rates.cutOne + marks * work.rates.markOne),
  }
}
