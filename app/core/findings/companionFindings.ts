import { type Length, nearestNanometer, tickOf } from '~/length'
import { type Arch, type Companions, inForce, type ItemRow, type Workpiece } from '~/model'
import { curveOf, type PlacedArch, placeArch } from '../companions/arch'
import { itemOutline, placeRow } from '../companions/itemRow'
import { boundsOf, distanceBetween, type Polygon, TOUCHING } from '../geometry'
import type { Layout } from '../layout/layout'
import type { Piece } from '../pieces'
import { profileAt } from '../survey/profile'
import { baseAt } from '../survey/wallLines'
import type { Finding, FindingSays, WayOut } from './finding'

function patched({ wall }: Workpiece, patch: Partial<Companions>): WayOut['edits'] {
  const { companions } = inForce(wall.design)
  return [{ type: 'patchDesign', patch: { companions: { ...companions, ...patch } } }]
}

function archWith(workpiece: Workpiece, id: string, patch: Partial<Arch> | null): WayOut['edits'] {
  const { arches } = inForce(workpiece.wall.design).companions
  return patched(workpiece, {
    arches: arches.flatMap((each) => (each.id !== id ? [each] : patch ? [{ ...each, ...patch }] : [])),
  })
}

function rowWith(workpiece: Workpiece, id: string, patch: Partial<ItemRow> | null): WayOut['edits'] {
  const { rows } = inForce(workpiece.wall.design).companions
  return patched(workpiece, {
    rows: rows.flatMap((each) => (each.id !== id ? [each] : patch ? [{ ...each, ...patch }] : [])),
  })
}

function told(says: FindingSays, severity: Finding['severity'], waysOut: WayOut[]): Finding {
  return { stage: 'layout', severity, says, stripIds: [], waysOut }
}

/** Whether an outline of any shape, its straight stretches at least, comes over another. */
function over(a: Polygon, b: Polygon): boolean {
  const [p, q] = [boundsOf(a), boundsOf(b)]
  if (p.left > q.right || q.left > p.right || p.bottom > q.top || q.bottom > p.top) return false
  return distanceBetween(a, b) < TOUCHING
}

function archFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[], arch: Arch): Finding[] {
  const away: WayOut = {
    says: { code: 'companionAway', of: 'arch' },
    edits: archWith(workpiece, arch.id, null),
  }
  const placed = placeArch(arch, layout)
  const tick = tickOf(workpiece.settings.tape)
  if (!placed) {
    const flat = Math.floor((arch.width * 0.3) / tick) * tick
    const hasRise = arch.kind !== 'half'
    // a segment rises at most half its width, a three-centered arch less; of three equal arcs more than 0.134 of it
    const says: FindingSays =
      hasRise && placeArch({ ...arch, rise: nearestNanometer(flat) }, layout)
        ? { code: 'archOver', archId: arch.id, what: 'tooHigh', by: arch.rise }
        : { code: 'middleGone', of: 'arch', id: arch.id }
    const lower: WayOut[] =
      says.code === 'archOver'
        ? [
            {
              says: { code: 'archRise', to: nearestNanometer(flat) },
              edits: archWith(workpiece, arch.id, { rise: nearestNanometer(flat) }),
            },
          ]
        : []
    return [told(says, 'wrong', [...lower, away])]
  }
  const band = arch.band ?? 0
  const found: Finding[] = []
  const says = (what: 'ceiling' | 'wall' | 'strips' | 'thing', by: number): FindingSays => ({
    code: 'archOver',
    archId: arch.id,
    what,
    by: nearestNanometer(by),
  })
  const curve = curveOf(placed, band)
  const ceiling = Math.max(...curve.map(({ x, y }) => y - profileAt(layout.shape.ceiling, x)))
  if (ceiling > TOUCHING) {
    const to = nearestNanometer(Math.floor((arch.spring - ceiling) / tick) * tick)
    found.push(
      told(says('ceiling', ceiling), 'wrong', [
        ...(to >= 0
          ? [
              {
                says: { code: 'archLower' as const, to },
                edits: archWith(workpiece, arch.id, { spring: to }),
              },
            ]
          : []),
        away,
      ]),
    )
  }
  const beside = Math.max(
    layout.lines.left - boundsOf(curve).left,
    boundsOf(curve).right - layout.lines.right,
  )
  if (beside > TOUCHING) found.push(told(says('wall', beside), 'wrong', [away]))
  const outline = filled(placed, band)
  const crossed = pieces.filter(({ polygon }) => over(polygon, outline))
  if (crossed.length > 0)
    found.push({
      ...told(says('strips', placed.apex), 'watch', [away]),
      stripIds: [...new Set(crossed.map(({ stripId }) => stripId))],
    })
  const met = layout.obstacles.find((each) => each.kind !== 'strip' && over(each.outline, outline))
  if (met) found.push(told(says('thing', 0), 'watch', [away]))
  return found
}

/** The ring of a cased arch's band, of a painted one the line itself, as an outline to be met. */
function filled(placed: PlacedArch, band: number): Polygon {
  const outer = curveOf(placed, Math.max(band, TOUCHING), 24)
  return [...outer, ...curveOf(placed, 0, 24).reverse()]
}

function rowFindings(
  workpiece: Workpiece,
  layout: Layout,
  pieces: readonly Piece[],
  row: ItemRow,
): Finding[] {
  const away: WayOut = { says: { code: 'companionAway', of: 'row' }, edits: rowWith(workpiece, row.id, null) }
  const thickness = (id: string) => layout.materials.get(id)?.thickness ?? 0
  const placed = placeRow(row, layout, pieces, thickness)
  if (!placed) return [told({ code: 'middleGone', of: 'row', id: row.id }, 'wrong', [away])]
  const says = (what: 'wall' | 'ceiling' | 'items' | 'thing', by: number): FindingSays => ({
    code: 'rowOver',
    rowId: row.id,
    what,
    by: nearestNanometer(Math.max(0, by)),
  })
  const tick = tickOf(workpiece.settings.tape)
  const found: Finding[] = []
  const tight = Math.min(0, ...placed.gaps)
  const overWall = Math.max(placed.from - placed.left, placed.right - placed.to)
  const total = row.items.reduce((sum, { width }) => sum + width, 0)
  const room = (placed.to - placed.from - total) / (row.items.length + 1)
  const gap = nearestNanometer(Math.floor(room / tick) * tick)
  const spread: WayOut[] =
    gap >= 0 && row.items.length > 1
      ? [{ says: { code: 'rowGap', gap }, edits: rowWith(workpiece, row.id, { spread: { by: 'gap', gap } }) }]
      : []
  if (tight < -TOUCHING || (row.spread.by === 'equal' && room < 0))
    found.push(told(says('items', Math.max(-tight, -room)), 'wrong', [...spread, away]))
  else if (overWall > TOUCHING) found.push(told(says('wall', overWall), 'wrong', [...spread, away]))
  const middle = (placed.left + placed.right) / 2
  const base = baseAt(layout.lines, middle)
  const top = base + row.line + row.height
  const ceiling =
    top - Math.min(...[placed.left, middle, placed.right].map((x) => profileAt(layout.shape.ceiling, x)))
  if (ceiling > TOUCHING) {
    const to: Length = nearestNanometer(Math.floor((row.line - ceiling) / tick) * tick)
    found.push(
      told(says('ceiling', ceiling), 'wrong', [
        ...(to > 0
          ? [{ says: { code: 'rowLower' as const, to }, edits: rowWith(workpiece, row.id, { line: to }) }]
          : []),
        away,
      ]),
    )
  }
  const outlines = placed.items.map((item) => itemOutline(item, placed, base))
  if (layout.obstacles.some((each) => outlines.some((outline) => over(outline, each.outline))))
    found.push(told(says('thing', 0), 'watch', [away]))
  const bridging = placed.items.filter(({ lies }) => lies === 'bridges')
  if (bridging.length > 0 && placed.packing !== null)
    found.push(
      told(
        { code: 'rowBridges', rowId: row.id, items: bridging.length, packing: placed.packing },
        'note',
        [],
      ),
    )
  if (row.overBed) found.push(told({ code: 'heavyOverBed', rowId: row.id }, 'watch', []))
  return found
}

/** What arches and rows meet: ceiling, ends of the wall, strips, things; what they need behind them. */
export function companionFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const { arches, rows } = layout.design.companions
  return [
    ...arches.flatMap((arch) => archFindings(workpiece, layout, pieces, arch)),
    ...rows.flatMap((row) => rowFindings(workpiece, layout, pieces, row)),
  ]
}
