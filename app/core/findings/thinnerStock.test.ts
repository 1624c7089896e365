import { lineWall, STRIP } from '../../../tests/lineWalls'
import { wallOf } from '../../../tests/namedWalls'
import { inches, type Length, ZERO } from '~/length'
import { type Design, inForce, type Move, type Workpiece } from '~/model'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import type { Role } from '../pieces'
import { thinner } from './thinnerStock'

/** The design after the strips of some roles were made of stock no thicker than a limit; null where that is not offered. */
function after(workpiece: Workpiece, roles: readonly Role[], limit: number, skin: Length = ZERO) {
  const { layout } = computePlan(workpiece)
  const thick = layout.strips
    .filter(({ role }) => roles.includes(role))
    .map((strip) => ({ strip, standsOut: strip.material.thickness }))
  expect(thick.length).toBeGreaterThan(0)
  const [way] = thinner(workpiece, thick, limit, skin)
  return way ? inForce(applyEdits(workpiece, way.edits).wall.design) : null
}
const changed = (before: Design, next: Design | null) =>
  next &&
  (Object.keys(next) as (keyof Design)[]).filter(
    (key) => JSON.stringify(next[key]) !== JSON.stringify(before[key]),
  )

const slanted: Move = {
  id: 'm1',
  on: true,
  kind: 'diagonals',
  material: STRIP,
  deg: 40,
  clear: inches(17),
  start: 'center',
  where: 'field',
}

describe('the same strips of thinner stock', () => {
  test('boxes are made of another molding, and nothing else is', () => {
    const usual = wallOf({}, { pattern: 'boxes' })
    const boxes = applyEdits(usual, [
      {
        type: 'patchDesign',
        patch: { boxes: { ...inForce(usual.wall.design).boxes, moulding: 'pine-1x3' } },
      },
    ])
    const before = inForce(boxes.wall.design)
    const next = after(boxes, ['boxRail', 'boxStile'], inches(0.5))
    expect(changed(before, next)).toEqual(['boxes'])
    const { moulding } = next?.boxes ?? before.boxes
    expect({ ...next?.boxes, moulding: before.boxes.moulding }).toEqual(before.boxes)
    const made = boxes.settings.materials.find(({ id }) => id === moulding)
    expect(made?.thickness).toBeLessThanOrEqual(inches(0.5))
    // each kind of side alone
    for (const role of ['boxRail', 'boxStile'] as const)
      expect(after(boxes, [role], inches(0.5))?.boxes.moulding).toBe(moulding)
  })

  test('lines with stock of their own change that; lines without it the stock of all strips', () => {
    const own = lineWall(70, 50, [slanted, { ...slanted, id: 'm2', deg: 70 }])
    const next = after(own, ['line'], inches(0.5))
    expect(changed(inForce(own.wall.design), next)).toEqual(['lines'])
    const moves = next?.lines.moves ?? []
    // all else of a move stays
    expect(moves.map((move) => ({ ...move, material: STRIP }))).toEqual(inForce(own.wall.design).lines.moves)
    expect(new Set(moves.map(({ material }) => material)).size).toBe(1)
    expect(moves[0]?.material).not.toBe(STRIP)
    // of one move alone the other keeps its stock
    const { layout } = computePlan(own)
    const first = layout.strips.filter(({ group }) => group === 'm1')
    const [way] = thinner(
      own,
      first.map((strip) => ({ strip, standsOut: strip.material.thickness })),
      inches(0.5),
      ZERO,
    )
    const alone = inForce(applyEdits(own, way?.edits ?? []).wall.design).lines.moves
    expect(alone.map(({ material }) => material === STRIP)).toEqual([false, true])
    const plain = lineWall(70, 50, [{ ...slanted, material: null }])
    const other = after(plain, ['line'], inches(0.5))
    expect(changed(inForce(plain.wall.design), other)).toEqual(['battenMaterial'])
  })

  test('nearest in width of what is thin enough with the skin under it; none where nothing is', () => {
    const battens = wallOf({}, { pattern: 'battens', battenMaterial: 'pine-1x3', topRail: null })
    const thin = battens.settings.materials.filter(({ thickness }) => thickness <= inches(0.5))
    const nearest = Math.min(...thin.map(({ width }) => Math.abs(width - inches(2.5))))
    const id = after(battens, ['batten'], inches(0.5))?.battenMaterial
    const taken = thin.find((each) => each.id === id)
    expect(Math.abs((taken?.width ?? 0) - inches(2.5))).toBe(nearest)
    expect(after(battens, ['batten'], inches(0.5), inches(0.5))).toBeNull()
  })
})
