import fc from 'fast-check'
import { inches } from '~/length'
import { type Act, type Paint, USUAL_WORK, withDesign } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { boundsOf, isInside } from '../geometry'
import { heldBy } from '../takeoff/fixings'
import { seamsOf } from '../takeoff/seams'
import { finishList } from './finishList'
import { finishDone, waitsFor } from './finishState'

const INCH = inches(1)

describe('the finish list', () => {
  it('over random walls: every nail lies on its piece, seams and joints are the plan’s, each item once', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        const items = finishList(workpiece, plan)
        expect(items.length === 0).toBe(plan.pieces.length === 0)
        expect(new Set(items.map(({ id }) => id)).size).toBe(items.length)
        const ids = items.map(({ id }) => id)
        // what comes before stands before
        for (const { id, after } of items)
          if (after) expect(ids.indexOf(after.id)).toBeLessThan(ids.indexOf(id))
        const nails = items.find(({ id }) => id === 'nails')
        const places = heldBy(plan.pieces, workpiece, USUAL_WORK.spread).reduce(
          (sum, { nailsAt }) => sum + nailsAt().length,
          0,
        )
        expect(nails?.dots.length ?? 0).toBe(places)
        for (const at of nails?.dots ?? [])
          expect(plan.pieces.some(({ face }) => isInside(at, face))).toBe(true)
        const { seams, joints } = seamsOf(workpiece, plan)
        const caulked = items
          .flatMap(({ what }) => (what.kind === 'seam' ? [what.length] : []))
          .reduce((sum, each) => sum + each, 0)
        const sealed = seams
          .filter(({ against }) => against !== 'floor')
          .reduce((sum, { length }) => sum + length, 0)
        if (plan.pieces.length > 0) expect(caulked / INCH).toBeCloseTo(sealed / INCH, 3)
        expect(items.find(({ id }) => id === 'joints')?.lines.length ?? 0).toBe(joints.length)
      }),
      { numRuns: runs(50), seed: 13 },
    )
  })

  const painted = (use: Paint['use']): Paint => ({
    id: use, name: use, code: '', hex: '#808080', sheen: 'satin', use, state: 'listed', triedOn: null, note: '', batch: '',
  }) // prettier-ignore
  const paper = {
    kind: 'repeat' as const,
    name: 'Sedge',
    width: inches(22),
    height: inches(14),
    panels: 1,
    from: 'left' as const,
    roll: inches(380),
    match: 'straight' as const,
    over: inches(2),
    hex: '#d9d2c0',
  }
  const wall = (more: Partial<typeof USUAL_WORK> = {}, drops = true) => {
    const workpiece = wallOf(
      { width: inches(137), height: inches(99), things: [thing('outlet', 40, 12, 2.75, 4.5)] },
      {},
      { paints: [painted('trim'), painted('field')], work: { ...USUAL_WORK, ...more } },
    )
    const design = withDesign(workpiece.wall.design, {
      paint: {
        trim: 'trim',
        field: 'field',
        above: null,
        plates: null,
        base: true,
        paper: drops ? paper : null,
      },
    })
    return { ...workpiece, wall: { ...workpiece.wall, design } }
  }
  const listOf = (of: ReturnType<typeof wall>) => finishList(of, computePlan(of))

  it('coats wait for the one before, paper hangs drop by drop, plates go back on last but for touching up', () => {
    const items = listOf(wall())
    const ids = items.map(({ id }) => id)
    expect(ids).toEqual(
      expect.arrayContaining(['coat-field-1', 'coat-trim-1', 'coat-field-2', 'coat-trim-2', 'plates']),
    )
    expect(ids.at(-1)).toBe('touchUp')
    expect(items.find(({ id }) => id === 'coat-trim-2')?.after).toEqual({ id: 'coat-trim-1', wait: 3 })
    const drops = items.filter(({ what }) => what.kind === 'drop')
    expect(drops).toHaveLength(7)
    for (const { what, areas } of drops) {
      if (what.kind !== 'drop' || !areas[0]) throw new Error('no drop')
      const { bottom, top } = boundsOf(areas[0])
      expect(what.cut).toBeGreaterThanOrEqual(top - bottom + inches(4) - 1)
    }
    const first = drops[0]?.areas[0] ?? []
    expect(isInside({ x: inches(1), y: inches(90) }, first)).toBe(true)
  })

  it('what is never caulked is told and not ticked; stained or chosen so, nothing is', () => {
    const told = (of: ReturnType<typeof wall>) => listOf(of).flatMap(({ id, told: is }) => (is ? [id] : []))
    expect(told(wall())).toContain('never-joints')
    expect(told(wall({ caulk: 'none' }))).toContain('never-seams')
    const stained = listOf(wall({ trim: 'stained' }))
    expect(stained.some(({ what }) => what.kind === 'seam')).toBe(false)
    expect(stained.some(({ id }) => id === 'coat-varnish-2')).toBe(true)
    expect(listOf(wall({ sanding: 'fine' })).find(({ id }) => id === 'sand')?.what).toMatchObject({
      grits: [150, 220],
    })
  })

  it('ticks outlive one another, the last word counts; what dries is waited for by the clock', () => {
    const acts: Act[] = [
      { id: 'finish-a', kind: 'finishDone', item: 'joints', note: '', doneAt: 1_000 },
      { id: 'finish-b', kind: 'finishDone', item: 'joints', note: 'one gap', doneAt: 2_000 },
      { id: 'finish-c', kind: 'finishDone', item: 'nails', note: '', doneAt: 3_000 },
      { id: 'finish-d', kind: 'finishOpen', item: 'nails', doneAt: 4_000 },
    ]
    const done = finishDone([...acts].reverse())
    expect([...done]).toEqual([['joints', { at: 2_000, note: 'one gap' }]])
    const sand = { after: { id: 'joints', wait: 4 } }
    expect(waitsFor(sand, new Map(), 0)).toEqual({ kind: 'item', id: 'joints' })
    expect(waitsFor(sand, done, 5_000)).toEqual({ kind: 'until', at: 2_000 + 4 * 3_600_000 })
    expect(waitsFor(sand, done, 2_000 + 4 * 3_600_000)).toBeNull()
  })
})
