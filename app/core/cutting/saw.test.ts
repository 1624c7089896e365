import fc from 'fast-check'
import { inches } from '~/length'
import { startingSettings, type Tool, TOOLS, USUAL_SAW, USUAL_TOOLS } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { strike } from '../../../tests/linePieces'
import { lineWall } from '../../../tests/lineWalls'
import { computePlan } from '../computePlan'
import { cornerCut } from '../layout/corners'
import type { EndCut } from '../pieces'
import { cardGroups, cutCards, toolFor } from './cutCards'
import { sawTrips } from './openings'
import { otherWay, sawLimits, settingKey, settingsOf } from './sawSetting'
import { edgesOf } from '../pieces'
import { planSetups, sawRows } from './setups'
import { toRelease } from './toRelease'

const shop = (patch: Partial<Parameters<typeof sawLimits>[0]> = {}) =>
  sawLimits({ swing: 50, saw: USUAL_SAW, tools: USUAL_TOOLS as Tool[], ...patch })
const miter = (sawSettingDeg: number, longEdge: 'left' | 'right'): EndCut => ({
  kind: 'miter',
  sawSettingDeg,
  longEdge,
})
const WIDE = inches(2.5)

describe('what the saw is set to', () => {
  // common practice, no source; computed: 90 - A/2, 0 a square cut
  test.each([
    [88.5, 45.75],
    [91.2, 44.4],
    [135, 22.5],
    [157.5, 11.25],
    [60, 60],
    [120.4, 29.8],
  ])('G1: a corner of %d degrees is mitered at %d', (deg, sawSettingDeg) => {
    const { cut } = cornerCut('miter', { deg, turn: 'inside', measured: true }, inches(0.75))
    const [setting] = cut ? settingsOf(cut, true, WIDE, shop({ saw: { ...USUAL_SAW, tiltRight: 60 } })) : []
    expect(setting?.tiltDeg).toBeCloseTo(sawSettingDeg, 6)
  })

  test('a picture frame’s leg: 45 to one side for its start, to the other for its end; a parallelogram one side for both', () => {
    const [start] = settingsOf(miter(45, 'left'), true, WIDE, shop())
    const [end] = settingsOf(miter(45, 'left'), false, WIDE, shop())
    expect([start?.hand, end?.hand]).toEqual(['right', 'left'])
    const [slant] = settingsOf(miter(38, 'left'), true, WIDE, shop())
    const [other] = settingsOf(miter(38, 'right'), false, WIDE, shop())
    expect(slant && other && settingKey(slant)).toBe(other && settingKey(other))
  })

  // by hand: a left edge at the fence, the piece right of the blade; the cut from front right to back left leaves it long at the fence
  test('law: the hand of the swing leaves the long point where the card has it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('left' as const, 'right' as const),
        fc.boolean(),
        (deg, longEdge, isStart) => {
          const [setting] = settingsOf(miter(deg, longEdge), isStart, WIDE, shop())
          // the blade's line: at the fence (y = width) it lies this much to the right of where it is at the front (y = 0)
          const lean = Math.tan((deg * Math.PI) / 180) * (setting?.hand === 'left' ? 1 : -1)
          // the start's long edge reaches farther left, the end's farther right
          const atFence = lean
          const longAtFence = isStart ? atFence < 0 : atFence > 0
          expect(longAtFence).toBe(longEdge === 'left')
        },
      ),
    )
  })

  test('a saw that tilts to the left alone cuts the other side with the face down', () => {
    const under: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: inches(0.75) }
    const over: EndCut = { kind: 'scarf', bevelDeg: 45, hidden: inches(0) }
    const [end] = settingsOf(under, false, WIDE, shop())
    const [start] = settingsOf(over, true, WIDE, shop())
    // the back runs on under the next part: both leave the blade leaning left, face up
    expect(end).toMatchObject({ tilt: 'left', face: 'up', tiltDeg: 45 })
    expect(start).toMatchObject({ tilt: 'left', face: 'up' })
    const [bevel] = settingsOf({ kind: 'bevel', bevelDeg: 45 }, true, WIDE, shop())
    expect(bevel).toMatchObject({ tilt: 'left', face: 'down' })
    const both = shop({ saw: { ...USUAL_SAW, tiltRight: 45 } })
    expect(settingsOf({ kind: 'bevel', bevelDeg: 45 }, true, WIDE, both)[0]).toMatchObject({
      tilt: 'right',
      face: 'up',
    })
  })

  test('a pointed end takes a setting a cut', () => {
    const pointed: EndCut = {
      kind: 'twoCuts',
      meetFromLeft: inches(1.25),
      leftBack: inches(1.25),
      meetBack: inches(0),
      rightBack: inches(1.25),
    }
    const found = settingsOf(pointed, false, WIDE, shop())
    expect(found.map(({ swingDeg, hand }) => [swingDeg, hand])).toEqual([
      [45, 'right'],
      [45, 'left'],
    ])
  })

  test('past the saw: turned over, held square to the fence, guided, by hand, or not at all', () => {
    const left = settingsOf(miter(48, 'right'), true, WIDE, shop())[0]
    const steep = settingsOf(miter(62, 'right'), true, WIDE, shop())[0]
    if (!left || !steep) throw new Error('no setting')
    expect(left.hand).toBe('left')
    expect(otherWay(left, WIDE, shop())).toBeNull()
    expect(otherWay(left, WIDE, shop({ swing: 45, saw: { ...USUAL_SAW, swingRight: 50 } }))).toEqual({
      way: 'turnOver',
      hand: 'right',
    })
    expect(otherWay(steep, WIDE, shop())).toEqual({ way: 'squareBlock', deg: 28 })
    expect(otherWay(steep, inches(11), shop())).toEqual({ way: 'squareBlock', deg: 28 })
    expect(otherWay(left, inches(11), shop())).toEqual({ way: 'guided' })
    const noSaw = (tools: Tool[]) => otherWay(left, WIDE, shop({ tools }))
    expect([noSaw(['ripGuide']), noSaw(['handSaw']), noSaw([])].map((way) => way?.way)).toEqual([
      'guided',
      'byHand',
      'mate',
    ])
    const square = settingsOf({ kind: 'square' }, true, WIDE, shop())[0]
    expect(square && otherWay(square, WIDE, shop({ tools: ['handBox'] }))).toBeNull()
    expect(noSaw(['handBox'])?.way).toBe('mate')
  })

  test('cuts past the saw’s swing are told with the steepest, and not where the saw swings so far', () => {
    const steep = lineWall(100, 90, [strike({ heading: { to: 'angle', deg: 25 } })])
    const told = (swing: number) =>
      computePlan({
        ...steep,
        settings: { ...steep.settings, shop: { ...steep.settings.shop, swing } },
      }).findings.flatMap(({ says }) => (says.code === 'pastSaw' ? [says.setting.swingDeg] : []))
    expect(told(50)).toEqual([65])
    expect(told(66)).toEqual([])
  })
})

describe('cards', () => {
  const cardsOf = (workpiece: Parameters<typeof computePlan>[0]) => {
    const plan = computePlan(workpiece)
    const release = toRelease(plan, workpiece)
    const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
    const cards = cutCards(
      plan.cutList,
      (row) => {
        const piece = byId.get(row.pieceIds[0] ?? '')
        return { advice: release.adviceOf(row), ripTo: piece ? release.ripTo(piece) : null }
      },
      workpiece.settings,
    )
    return { plan, cards }
  }

  test('law: every piece is on one card; groups hold one setting, the longest first; as many set-ups as its order counts', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const { plan, cards } = cardsOf(workpiece)
        expect(cards.flatMap(({ row }) => row.pieceIds).sort()).toEqual(
          plan.pieces.map(({ id }) => id).sort(),
        )
        const groups = cardGroups(cards)
        expect(groups.flatMap((group) => group.cards)).toHaveLength(cards.length)
        for (const { cards: of, materialId } of groups) {
          expect(new Set(of.map(({ group }) => group)).size).toBe(1)
          expect(of.every(({ row }) => row.materialId === materialId)).toBe(true)
          of.forEach(({ row }, i) => {
            const before = of[i - 1]
            if (before) expect(row.cutLength).toBeLessThanOrEqual(before.row.cutLength)
          })
        }
        const setups = planSetups(
          sawRows(cards, workpiece.settings.materials),
          sawLimits(workpiece.settings.shop),
        )
        // every row is in a visit for its first end and in one for its second
        for (const { row, advice } of cards) {
          const firsts = setups.visits.findIndex(({ firsts: of }) => of.includes(row.label))
          const lengths = setups.visits.findIndex(({ lengths: of }) => of.includes(row.label))
          expect(firsts).toBeGreaterThanOrEqual(0)
          expect(lengths).toBeGreaterThanOrEqual(firsts)
          const stop = setups.visits[lengths]?.stop
          expect(stop).toEqual(
            advice.advice === 'batch' ? { kind: 'length', length: edgesOf(row).measured } : { kind: 'away' },
          )
        }
        const counted = setups.visits.reduce((sum, visit, i) => {
          const before = setups.visits[i - 1]
          const changes =
            Number(!before || settingKey(before.setting) !== settingKey(visit.setting)) +
            Number(!before || JSON.stringify(before.stop) !== JSON.stringify(visit.stop))
          return sum + changes
        }, 0)
        expect(counted).toBe(setups.count)
        expect(setups.bound).toBeLessThanOrEqual(setups.count)
      }),
      { numRuns: runs(60) },
    )
  })

  test('what is measured in place is cut long and crept up on; a batch is not', () => {
    const { cards } = cardsOf(lineWall(100, 90, [strike({ heading: { to: 'angle', deg: 40 } })]))
    for (const { advice, creep } of cards) expect(creep === null).toBe(advice.advice === 'batch')
    expect(Math.min(...cards.flatMap(({ creep }) => creep ?? []), Infinity)).toBeGreaterThanOrEqual(
      inches(1 / 8),
    )
  })

  test('the first of the crew’s tools that does a work; nothing where they have none', () => {
    expect(toolFor('notch', ['handSaw', 'jigsaw'])).toBe('jigsaw')
    expect(toolFor('lap', ['jigsaw'])).toBeNull()
    expect(TOOLS.every((tool) => typeof tool === 'string')).toBe(true)
    expect(startingSettings('inches', '1/16').shop.tools).toEqual([...USUAL_TOOLS])
  })
})

describe('trips to the saw', () => {
  const piece = (name: string, open: boolean, ...after: string[]) => ({ name, open, after })

  test('what is read is read when what it lands on is up: as many openings as can be in one visit', () => {
    const trips = sawTrips([
      piece('A1', false),
      piece('B1', true, 'A1'),
      piece('C1', true, 'B1'),
      piece('B2', true, 'A1'),
      piece('D1', true, 'C1', 'A1'),
    ])
    expect(trips).toEqual([['A1'], ['B1', 'B2'], ['C1'], ['D1']])
  })

  test('pieces that wait for one another are read as they come; nothing is left out', () => {
    expect(sawTrips([piece('A1', true, 'B1'), piece('B1', true, 'A1')])).toEqual([['A1'], ['B1']])
    expect(sawTrips([])).toEqual([])
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.array(fc.nat({ max: 9 }), { maxLength: 3 })), { maxLength: 10 }),
        (all) => {
          const pieces = all.map(([open, after], i) => piece(`P${i}`, open, ...after.map((k) => `P${k}`)))
          const trips = sawTrips(pieces)
          expect(trips.flat().sort()).toEqual(pieces.map(({ name }) => name).sort())
          expect(trips.every((names) => names.length > 0)).toBe(true)
        },
      ),
    )
  })
})
