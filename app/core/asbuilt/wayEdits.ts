import { nearestNanometer, ZERO } from '~/length'
import { type Design, type Edit, inForce, type Workpiece } from '~/model'
import { boundsOf } from '../geometry'
import type { Piece } from '../pieces'
import type { BuiltSection } from './built'
import type { BuiltRow, placedBy, Run } from './evenOut'

export type Places = ReturnType<typeof placedBy>

/** Places as the design keeps them: section by section from its left end. */
export function placedEdits(
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

/** Pieces that are cut and run from one side of a bay to the other, along the wall or up it: what is recut where the bay changes. */
export function railsIn(
  pieces: readonly Piece[],
  cut: ReadonlySet<string>,
  run: Run,
  row: BuiltRow,
  axis: 'along' | 'up',
): number[] {
  const edges = [
    row.standing[run.from - 1]?.right ?? row.plannedLeft,
    ...row.standing.slice(run.from, run.to).flatMap(({ left, right }) => [left, right]),
    row.standing[run.to]?.left ?? row.plannedRight,
  ]
  const spans = pieces
    .filter(({ id }) => cut.has(id))
    .map(({ polygon }) => boundsOf(polygon))
    .map(({ left, right, bottom, top }) => (axis === 'along' ? [left, right] : [bottom, top]))
  return run.gaps.map((_, bay) => {
    const [from, to] = [edges[2 * bay] ?? 0, edges[2 * bay + 1] ?? 0]
    return spans.filter(
      ([low = 0, high = 0]) => Math.abs(low - from) < 1_000_000 && Math.abs(high - to) < 1_000_000,
    ).length
  })
}
