import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { FIT_ORDERS } from '~/model'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { reading, thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { landsOnPieces } from '../cutting/openings'
import { markWalk } from '../marks/markWalk'
import { fitOrder, fitWalk, lengthOnWall } from './fitWalk'
import { anyLines, inLines } from '../../../tests/anyLines'
import { strike } from '../../../tests/linePieces'
import { lineWall } from '../../../tests/lineWalls'
import { boundsOf, type Point } from '../geometry'
import { keepOutsOf } from '../survey/keepOuts'

const asked = { datum: 'left' as const, hook: 'foot' as const, inPlace: new Set<string>() }
const wall = wallOf(
  {
    width: inches(118),
    height: inches(94),
    behind: { studs: [9, 25, 41, 57, 73, 89, 105].map(inches), wallboard: inches(0.5), keepOuts: [] },
  },
  { spacing: { school: 'equalByCount', strips: 5, ends: 'gap' } },
)

describe('fitting, piece by piece', () => {
  test('each piece with its mark, its nail, its studs from its own end, and what to look at', () => {
    const plan = computePlan(wall)
    const cards = fitWalk(wall, plan, asked)
    expect(cards.map(({ group }) => group).filter((group, i, all) => group !== all[i - 1])).toEqual([
      'border',
      'uprights',
    ])
    const [first] = cards
    expect(first?.checks.map(({ kind }) => kind)).toEqual(['levelFirst', 'straightedge', 'nailDepth'])
    expect(first?.held).toBe('prop')
    expect(first?.studs.map(({ tick }) => toInches(tick))).toEqual([9, 25, 41, 57, 73, 89, 105])
    const uprights = cards.filter(({ group }) => group === 'uprights')
    expect(uprights.map(({ marks }) => marks?.number)).toEqual([1, 2, 3, 4, 5])
    expect(uprights[1]?.checks.map(({ kind }) => kind)).toEqual(['stands', 'gapBlock'])
    expect(uprights[2]?.checks.map(({ kind }) => kind)).toContain('runningMark')
    for (const { fixing } of cards)
      expect(fixing.nail === null || fixing.nail <= fixing.longestNail).toBe(true)
  })
  test('uprights first: the rail on top is looked along for before it covers them', () => {
    const work = { ...wall.settings.work, fitOrder: 'uprightsFirst' as const }
    const cards = fitWalk({ ...wall, settings: { ...wall.settings, work } }, computePlan(wall), asked)
    const at = (is: (card: (typeof cards)[number]) => boolean) => cards.findIndex(is)
    const back = at(({ checks }) => checks.some(({ kind }) => kind === 'lookBack'))
    expect(back).toBeGreaterThan(at(({ group }) => group === 'uprights'))
    expect(cards.filter(({ checks }) => checks.some(({ kind }) => kind === 'lookBack'))).toHaveLength(1)
  })
  test('furniture that stays: what it is in the way of comes in the second half', () => {
    const kept = {
      ...wall,
      wall: {
        ...wall.wall,
        survey: {
          ...wall.wall.survey,
          walkRound: { ...wall.wall.survey.walkRound, furniture: 'stays' as const },
          things: [thing('bed', 70, 0, 40, 30)],
        },
      },
    }
    const cards = fitWalk(kept, computePlan(kept), asked)
    const halves = cards.map(({ half }) => half)
    expect(halves).toEqual([...halves].sort())
    expect(new Set(halves)).toEqual(new Set([1, 2]))
  })
  test('law: studs under a piece, however it is turned, lie where they are said to from its own end; none where a cable may run', () => {
    let said = 0
    fc.assert(
      fc.property(
        fc.oneof(
          anyMeetingWall,
          fc.tuple(anyMeetingWall, anyLines).map(([base, lines]) => inLines(base, lines)),
        ),
        (any) => {
          const plan = computePlan(any)
          const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
          const { survey } = any.wall
          const cables = keepOutsOf(survey).map(({ outline }) => boundsOf(outline))
          for (const { pieceId, studs, studsFrom } of fitWalk(any, plan, asked)) {
            const piece = byId.get(pieceId)
            if (!piece || studs.length === 0) continue
            const turn = (piece.directionDeg * Math.PI) / 180
            const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
            const sense = (studsFrom === 'lower' ? sin : cos) < 0 ? -1 : 1
            const reach = ({ x, y }: Point) => sense * (x * cos + y * sin)
            const end = Math.min(...piece.face.map(reach))
            // its lower or left corner is where the tape is hooked
            const hooked = piece.face.find((corner) => reach(corner) === end)
            const low = Math.min(...piece.face.map((corner) => (studsFrom === 'lower' ? corner.y : corner.x)))
            const own = studsFrom === 'lower' ? hooked?.y : hooked?.x
            expect((own ?? Infinity) - low).toBeLessThanOrEqual(piece.faceWidth * 1.01)
            // the middle of what a plumb line at the stud cuts out of a strip is on its middle line
            const middles = survey.behind.studs.flatMap((stud) => {
              const ys = piece.face.flatMap((a, i) => {
                const b = piece.face[(i + 1) % piece.face.length] ?? a
                if (a.x === b.x || stud < Math.min(a.x, b.x) || stud > Math.max(a.x, b.x)) return []
                return [a.y + ((b.y - a.y) * (stud - a.x)) / (b.x - a.x)]
              })
              return ys.length < 2 ? [] : [{ x: stud, y: (Math.min(...ys) + Math.max(...ys)) / 2 }]
            })
            for (const { exact } of studs) {
              const across = piece.faceWidth * Math.abs(sin / cos)
              const at = middles.find((place) => Math.abs(reach(place) - end - exact) <= 1_000 + across)
              expect(at).toBeDefined()
              said += 1
              if (!at || across > 10_000_000) continue
              expect(
                cables.some((k) => at.x > k.left && at.x < k.right && at.y > k.bottom && at.y < k.top),
              ).toBe(false)
            }
          }
        },
      ),
      { numRuns: runs(60) },
    )
    expect(said).toBeGreaterThan(0)
  })

  test('a strip struck at 45 degrees: studs are as much farther apart along it as it slants', () => {
    const plain = lineWall(90, 90, [strike({})])
    const base = {
      ...plain,
      wall: {
        ...plain.wall,
        survey: {
          ...plain.wall.survey,
          behind: { studs: [30, 46, 62].map(inches), wallboard: inches(0.5), keepOuts: [] },
        },
      },
    }
    const slanted = (wanted: typeof base) => {
      const plan = computePlan(wanted)
      return fitWalk(wanted, plan, asked).find(({ pieceId }) => {
        const turn = plan.pieces.find(({ id }) => id === pieceId)?.directionDeg ?? 0
        return Math.abs(Math.abs(Math.tan((turn * Math.PI) / 180)) - 1) < 0.01
      })
    }
    const card = slanted(base)
    const places = card?.studs.map(({ exact }) => exact / 25_400_000) ?? []
    expect(places.length).toBeGreaterThan(1)
    // 16 on center is 22 5/8 along it
    for (const [i, each] of places.slice(1).entries())
      expect(each - (places[i] ?? 0)).toBeCloseTo(16 * Math.SQRT2, 3)
  })

  test('law: over any wall and school every piece is on one card; what is measured in place comes after what it lands on', () => {
    fc.assert(
      fc.property(anyMeetingWall, fc.constantFrom(...FIT_ORDERS), (any, school) => {
        const work = { ...any.settings.work, fitOrder: school }
        const workpiece = { ...any, settings: { ...any.settings, work } }
        const plan = computePlan(workpiece)
        const all = new Set(plan.pieces.map(({ id }) => id))
        const cards = fitWalk(workpiece, plan, { ...asked, inPlace: all })
        expect(cards.map(({ pieceId }) => pieceId).sort()).toEqual([...all].sort())
        const lands = landsOnPieces(plan.pieces)
        const at = new Map(fitOrder(plan.pieces, workpiece, all).map(({ pieceId }, i) => [pieceId, i]))
        const waitsInRing = (from: string, id: string, seen = new Set<string>()): boolean =>
          (lands.get(id) ?? []).some(
            (other) => other === from || (!seen.has(other) && waitsInRing(from, other, seen.add(other))),
          )
        for (const [id, others] of lands)
          for (const other of others)
            if (!waitsInRing(id, other)) expect(at.get(id)).toBeGreaterThan(at.get(other) ?? Infinity)
        for (const { studs, pieceId } of cards) {
          const piece = plan.pieces.find(({ id }) => id === pieceId)
          for (const { exact } of studs) expect(exact).toBeLessThanOrEqual((piece?.longLength ?? 0) * 1.5 + 1)
        }
      }),
      { numRuns: runs(40) },
    )
  })
  test('a true length fits, is trimmed, or is short', () => {
    const of = (built: number) => lengthOnWall(inches(built), inches(30), inches(1 / 16))
    expect(of(30 + 1 / 32)).toMatchObject({ is: 'fits' })
    expect(of(30.25)).toMatchObject({ is: 'trim', by: inches(0.25) })
    expect(of(29.75)).toMatchObject({ is: 'short', by: inches(-0.25) })
  })
})

describe('marking, one thing at a time', () => {
  test('level line first, then heights, then strips from the hook; the laser gives the same heights', () => {
    const plan = computePlan(wall)
    const steps = markWalk(plan, wall, { datum: 'right', hook: 'foot', laser: null })
    expect(steps.map(({ what }) => what.kind).filter((kind, i, all) => kind !== all[i - 1])).toEqual([
      'level',
      'height',
      'upright',
    ])
    expect(steps.flatMap(({ what }) => (what.kind === 'upright' ? [what.marks.number] : []))).toEqual([
      5, 4, 3, 2, 1,
    ])
    const laser = markWalk(plan, wall, { datum: 'right', hook: 'foot', laser: inches(40) })
    for (const [i, { what }] of steps.entries()) {
      const other = laser[i]?.what
      if (what.kind === 'height' && other?.kind === 'height')
        expect((other.laser?.left.exact ?? NaN) + inches(40)).toBeCloseTo(what.mark.reading.exact, -1)
    }
  })
  test('the level line from a datum of one’s choice: how far the floor rises from there is told', () => {
    const falling = wallOf({ readings: [reading('floorFall', 131, 0.75)] })
    const level = (from: 'highest' | 'right') => {
      const [step] = markWalk(computePlan(falling), falling, {
        datum: 'left',
        hook: 'foot',
        laser: null,
        from,
      })
      return step?.what.kind === 'level' ? step.what : null
    }
    expect(level('highest')?.rises.tick).toBe(0)
    expect(level('highest')?.falls.tick).toBe(inches(0.75))
    expect([level('right')?.place.tick, level('right')?.rises.tick, level('right')?.falls.tick]).toEqual([
      inches(131),
      inches(0.75),
      0,
    ])
  })
  test('law: any wall that has something on it has something to mark; ids are each their own, and short enough for an act', () => {
    fc.assert(
      fc.property(anyMeetingWall, (workpiece) => {
        const plan = computePlan(workpiece)
        const steps = markWalk(plan, workpiece, { datum: 'left', hook: 'foot', laser: null })
        if (plan.pieces.length > 0) expect(steps.length).toBeGreaterThan(1)
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
        for (const { id } of steps) expect(id.length).toBeLessThanOrEqual(140)
        const strips = new Set(steps.map(({ id }) => id))
        for (const { id } of plan.layout.uprights) expect(strips).toContain(id)
      }),
      { numRuns: runs(60) },
    )
  })
})
