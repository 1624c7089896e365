import fc from 'fast-check'
import { BooleanOperations, Polygon as FlattenPolygon } from '@flatten-js/core'
import { inches, nearestNanometer, toInches } from '~/length'
import { type Design, STARTING_JUDGEMENT, type Workpiece, inForce } from '~/model'
import { battenWall, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { rectangle } from '../geometry'
import { layOut } from '../layout/layOutWall'
import { equalGap, placeStrips } from '../spacing'
import { proposalCards } from './cards'
import { overHollows } from './overHollows'
import { propose } from './propose'
import { boardsFor, offAxis, onStuds } from './score'
import { unevenBays } from './unevenBays'

const ring = (polygon: readonly { x: number; y: number }[]) =>
  new FlattenPolygon(polygon.map(({ x, y }) => [x / 25.4e6, y / 25.4e6] as [number, number]))

/** How many battens lie over the plates grown by the clearance: cut pieces against outlines, by another library. */
function hitsByPolygons(workpiece: Workpiece): number {
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { clearance } = design.judgement
  const battens = computePlan(workpiece).pieces.filter(({ role }) => role === 'batten')
  let hits = 0
  for (const { left, bottom, width, height } of survey.things) {
    const grown = ring(
      rectangle(left - clearance, bottom - clearance, left + width + clearance, bottom + height + clearance),
    )
    for (const { polygon } of battens) {
      const shared = BooleanOperations.intersect(ring(polygon), grown)
      if (!shared.isEmpty() && shared.area() > 1e-6) hits += 1
    }
  }
  return hits
}

describe('differential: the search against a slow brute force on small walls', () => {
  /** Every layout within the limits, laid out and cut whole, with what it meets. */
  function bruteForce(workpiece: Workpiece): { hits: number; off: number }[] {
    const design = inForce(workpiece.wall.design)
    const { judgement, spacing } = design
    if (spacing.school !== 'nearWish') throw new Error('the oracle knows wishes only')
    const tick = inches(1 / 8)
    const found: { hits: number; off: number }[] = []
    const lay = (patch: Partial<Design>, gap: number) => {
      const next = applyEdits(workpiece, [{ type: 'patchDesign', patch }])
      found.push({ hits: hitsByPolygons(next), off: Math.abs(gap - spacing.wish) })
    }
    const span = workpiece.wall.survey.width
    for (const ends of judgement.ends)
      for (let strips = 1; strips < 30; strips++) {
        const gap = equalGap(span, inches(2.5), strips, ends)
        if (!(gap >= spacing.least && gap <= spacing.most)) continue
        const equal = { school: 'equalByCount', strips, ends } as const
        const placed = placeStrips(equal, span, inches(2.5))
        if (!placed.ok) continue
        for (let by = -judgement.shiftUpTo; by <= judgement.shiftUpTo; by += tick)
          if ((by <= 0 || by <= placed.value.rightEnd) && (by >= 0 || -by <= placed.value.leftEnd))
            lay({ spacing: equal, shift: nearestNanometer(by) }, gap)
      }
    for (const centerOn of ['strip', 'gap'] as const) {
      const centered = {
        school: 'fromCenter',
        wish: spacing.wish,
        measure: 'gap',
        centerOn,
        about: null,
      } as const
      const placed = placeStrips(centered, span, inches(2.5))
      if (!placed.ok || placed.value.nearEdges.length < 2) continue
      for (let by = -judgement.shiftUpTo; by <= judgement.shiftUpTo; by += tick)
        if ((by <= 0 || by <= placed.value.rightEnd) && (by >= 0 || -by <= placed.value.leftEnd))
          lay({ spacing: centered, shift: nearestNanometer(by) }, spacing.wish)
    }
    return found
  }

  test.each([
    ['one plate', 71, [33]],
    ['two plates', 83, [22, 51]],
    ['three plates, close', 64, [14, 28.5, 44]],
    ['plates that bar every layout', 52, [6, 10, 14, 18, 22, 26, 30, 34, 38, 42, 46]],
  ])(
    '%s',
    (_, width, plates) => {
      const base = battenWall(width, plates, { shiftUpTo: inches(1) })
      // a coarse tape keeps the oracle's walk short
      const workpiece: Workpiece = { ...base, settings: { ...base.settings, tape: '1/8' } }
      const all = bruteForce(workpiece)
      const search = propose(workpiece)
      const clear = all.filter(({ hits }) => hits === 0)
      expect(search.tried).toBe(all.length)
      expect(search.clear).toBe(clear.length)
      // each proposal meets exactly what its drawing says it meets
      for (const { edits, hits } of search.proposals)
        expect(hitsByPolygons(applyEdits(workpiece, edits)) > 0).toBe(hits.length > 0)
      const fewest = Math.min(...all.map(({ hits }) => hits))
      const best = search.proposals[0]
      if (!best) throw new Error('no proposal')
      expect(hitsByPolygons(applyEdits(workpiece, best.edits))).toBe(fewest)
    },
    60_000,
  )

  test('with only the wish counting, the best is as near to it as any layout is', () => {
    const weights = {
      plates: 10,
      slivers: 0,
      wish: 5,
      symmetry: 0,
      studs: 0,
      boards: 0,
      pieces: 0,
      hollows: 0,
    }
    const base = battenWall(83, [22, 51], { shiftUpTo: inches(1), weights })
    const workpiece: Workpiece = { ...base, settings: { ...base.settings, tape: '1/8' } }
    const clear = bruteForce(workpiece).filter(({ hits }) => hits === 0)
    const nearest = Math.min(...clear.map(({ off }) => off))
    expect(Math.abs(propose(workpiece).proposals[0]?.offWish ?? NaN)).toBeCloseTo(nearest, -1)
  })
})

describe('proposals', () => {
  test('a naive even layout that hits two plates has a best proposal that clears both', () => {
    // 12 battens of 2 1/2 on 226: the third and the ninth would stand on plates
    const naive = computePlan(battenWall(226, []))
    const on = [2, 8].map((i) => toInches(naive.layout.uprights[i]?.left ?? inches(0)) - 0.5)
    const workpiece = battenWall(226, on)
    expect(computePlan(workpiece).findings.filter(({ says }) => says.code === 'stripMeets')).toHaveLength(2)
    const [best] = propose(workpiece).proposals
    const after = computePlan(applyEdits(workpiece, best?.edits ?? []))
    expect(after.findings.filter(({ says }) => says.code === 'stripMeets')).toEqual([])
    expect(best?.clears).toBeGreaterThanOrEqual(inches(0.5))
  })

  test('where nothing clears, that is proven and the least bad come with what they meet', () => {
    const wallToWall = Array.from({ length: 24 }, (_, i) => 2 + i * 3)
    const search = propose(battenWall(74, wallToWall))
    expect(search.clear).toBe(0)
    expect(search.tried).toBeGreaterThan(100)
    expect(search.proposals.every(({ hits }) => hits.length > 0)).toBe(true)
  })

  test('bays that may differ let single strips step aside', () => {
    const still = battenWall(131, [41.5, 89], { ends: ['strip'], weights: { ...STARTING_JUDGEMENT.weights } })
    const loose = battenWall(131, [41.5, 89], { ends: ['strip'], baysDiffer: inches(3) })
    const uneven = propose(loose).proposals.find(({ ends }) => ends === 'uneven')
    expect(propose(still).proposals.some(({ ends }) => ends === 'uneven')).toBe(false)
    expect(uneven?.hits).toEqual([])
    const plan = computePlan(applyEdits(loose, uneven?.edits ?? []))
    const gaps = plan.layout.placement?.gaps ?? []
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(inches(3) + 2)
    expect(plan.closing?.difference).toBe(0)
  })

  test('the worst hollow falls between strips where that counts, and there is a layout that does it', () => {
    const weights = {
      plates: 0,
      slivers: 0,
      wish: 0,
      symmetry: 0,
      studs: 0,
      boards: 0,
      pieces: 0,
      hollows: 10,
    }
    const base = battenWall(131, [], { weights, shiftUpTo: inches(2) })
    const flatness = [
      {
        id: 'f',
        x: inches(65.5),
        y: inches(40),
        lie: 'up',
        length: inches(9),
        gap: inches(0.25),
        shape: 'hollow',
      },
    ] as const
    const hollow = {
      ...base,
      wall: { ...base.wall, survey: { ...base.wall.survey, flatness: [...flatness] } },
    }
    const [best] = propose(hollow).proposals
    const after = applyEdits(hollow, best?.edits ?? [])
    const { layout, findings } = computePlan(after)
    expect(findings.map(({ says }) => says.code)).not.toContain('notFlat')
    const over = overHollows(layout)
    expect(
      Math.max(...layout.uprights.map(({ left, right }) => over?.((left + right) / 2) ?? 1)),
    ).toBeLessThan(0.2)
    expect(over?.(inches(65.5))).toBeGreaterThan(0.9)
    expect(overHollows(computePlan(base).layout)).toBeNull()
  })

  test('weights move the order: what counts for nothing decides nothing', () => {
    const weights = {
      plates: 0,
      slivers: 0,
      wish: 0,
      symmetry: 0,
      studs: 0,
      boards: 0,
      pieces: 10,
      hollows: 0,
    }
    const fewestFirst = propose(battenWall(131, [40], { weights })).proposals
    expect(fewestFirst[0]?.strips).toBe(Math.min(...fewestFirst.map(({ strips }) => strips)))
    const nearFirst = propose(
      battenWall(131, [40], { weights: { ...weights, pieces: 0, wish: 10 } }),
    ).proposals
    const offs = nearFirst.map(({ offWish }) => Math.abs(offWish))
    expect(offs[0]).toBe(Math.min(...offs))
  })

  test('boxes are judged by their own sides: a plate inside a box is clear of them', () => {
    const workpiece = wallOf(
      { width: inches(120), things: [thing('outlet', 58, 14, 2.75, 4.5)] },
      {
        pattern: 'boxes',
        foot: { kind: 'floor' },
        topRail: { material: 'chair-rail' },
        height: { rule: 'typed', value: inches(38) },
      },
    )
    const { proposals, plates } = propose(workpiece)
    expect(plates).toBe(1)
    for (const { edits, hits } of proposals) {
      const plan = computePlan(applyEdits(workpiece, edits))
      // the search asks for clearance, the finding for an overlap: no hit means no finding
      const met = plan.findings.filter(({ says }) => says.code === 'stripMeets')
      if (hits.length === 0) expect(met).toEqual([])
    }
    expect(proposals.some(({ hits }) => hits.length === 0)).toBe(true)
  })

  test('sections beside a window follow one gap, each with its own count', () => {
    const window = thing('window', 60, 30, 40, 40, { casing: inches(2) })
    const workpiece = battenWall(170, [], {}, { sections: 'beside' })
    const walled = {
      ...workpiece,
      wall: { ...workpiece.wall, survey: { ...workpiece.wall.survey, things: [window] } },
    }
    const search = propose(walled)
    expect(search.proposals.length).toBeGreaterThan(1)
    const after = applyEdits(walled, search.proposals[0]?.edits ?? [])
    const { sections } = layOut(after.wall.survey, inForce(after.wall.design), after.settings)
    expect(sections.map(({ id }) => id)).toEqual(['first', 'at-window-60', 'after-window-60'])
    expect(Object.keys(inForce(after.wall.design).sectionOwn)).toHaveLength(3)
  })

  test('cards carry the drawing, the pieces and the boards of the whole plan', () => {
    const workpiece = battenWall(131, [40])
    const { cards, tried } = proposalCards(workpiece)
    expect(tried).toBeGreaterThan(0)
    for (const { proposal, scene, pieces, boards } of cards) {
      expect(scene.nodes.filter(({ kind }) => kind === 'strip')).toHaveLength(pieces)
      expect(boards).toBeGreaterThan(0)
      const plan = computePlan(applyEdits(workpiece, proposal.edits))
      expect(plan.layout.uprights).toHaveLength(proposal.strips)
    }
  })
})

describe('what a layout is measured by', () => {
  // A14: common practice, no source; arithmetic checked by hand
  test('A14: gap 18 1/2, strip 1 1/2, pitch 20: on 16-in studs one batten in four meets a stud', () => {
    const lefts = Array.from({ length: 20 }, (_, i) => inches(20 * i))
    const studs = Array.from({ length: 30 }, (_, i) => inches(16 * i + 0.75))
    expect(onStuds(lefts, inches(1.5), studs)).toBe(5)
  })

  test('off the axis: nothing where a strip or a bay is centered on it', () => {
    const lefts = [0, 10, 20].map(inches)
    expect(offAxis(lefts, inches(2), inches(11))).toBe(0)
    expect(offAxis(lefts, inches(2), inches(6))).toBe(0)
    expect(offAxis(lefts, inches(2), inches(12))).toBe(inches(1))
  })

  test('boards for equal uprights, by the length that takes least', () => {
    const { settings } = wallOf()
    // two of 47 15/16 from 96; 60 only fits once in 96 or twice in 120 less a kerf: not at all
    expect(boardsFor(6, inches(47.9375), 'pine-1x3', settings)).toBe(3)
    expect(boardsFor(6, inches(300), 'pine-1x3', settings)).toBeNull()
  })
})

test('law: uneven bays keep the sum, the difference asked for, and clear of what is barred', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 200 }),
      fc.integer({ min: 2, max: 9 }),
      fc.constantFrom('gap' as const, 'strip' as const, 'half' as const),
      fc.array(fc.integer({ min: 5, max: 190 }), { maxLength: 4 }),
      (span, strips, ends, plates) => {
        fc.pre(span > strips * 6)
        const barred = plates.map((at) => ({ from: inches(at), to: inches(at + 5) }))
        const lefts = unevenBays(inches(span), inches(2), strips, ends, inches(2), barred, inches(1 / 8))
        if (!lefts) return
        for (const left of lefts) expect(barred.some(({ from, to }) => left > from && left < to)).toBe(false)
        const bays = lefts.slice(1).map((left, i) => left - (lefts[i] ?? 0) - inches(2))
        expect(Math.max(...bays) - Math.min(...bays)).toBeLessThanOrEqual(inches(2) + 2)
        expect(lefts[0]).toBeGreaterThanOrEqual(0)
        expect((lefts.at(-1) ?? 0) + inches(2)).toBeLessThanOrEqual(inches(span))
      },
    ),
  )
})
