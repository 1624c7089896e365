import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { thing, wallOf } from '../../../tests/namedWalls'
import { inches } from '~/length'
import { ByLeft, boundsOf } from '../geometry'
import { type Obstacle, obstaclesOf } from '../survey/obstacles'
import { meetings } from './meetObstacles'
import { obstaclesNear } from './nearObstacles'

const place = (least: number, most: number) => fc.integer({ min: least * 8, max: most * 8 }).map((n) => n / 8)
const outlet = fc.record({
  left: place(0, 300),
  bottom: place(0, 90),
  width: place(1, 40),
  height: place(1, 30),
})

describe('what lies near a strip', () => {
  test('law: of many obstacles none that a strip meets is left out, whichever way it leans', () => {
    let fewer = 0
    fc.assert(
      fc.property(
        fc.array(outlet, { minLength: 2, maxLength: 40 }),
        place(0, 300),
        fc.oneof(fc.constant(90), fc.integer({ min: 40, max: 140 }), fc.constant(0)),
        place(1, 8),
        (things, x, directionDeg, width) => {
          const { survey } = wallOf({
            width: inches(340),
            height: inches(130),
            things: things.map((each, i) => ({
              ...thing('outlet', each.left, each.bottom, each.width, each.height),
              id: `o${i}`,
            })),
          }).wall
          const obstacles = obstaclesOf(survey)
          const strip = { center: { x: inches(x), y: inches(9) }, directionDeg, faceWidth: inches(width) }
          const near = obstaclesNear(strip, obstacles)
          fewer += near.length < obstacles.length ? 1 : 0
          const idsOf = (list: readonly Obstacle[]) =>
            meetings(strip, list).map(({ obstacle }) => obstacle.id)
          expect(idsOf(near)).toEqual(idsOf(obstacles))
        },
      ),
      { numRuns: runs(200) },
    )
    expect(fewer).toBeGreaterThan(0)
  })

  test('of many plates in a row a standing strip has those it touches, a level one all', () => {
    const { survey } = wallOf({
      width: inches(340),
      height: inches(130),
      // from 10 to 12, from 20 to 22, and so on
      things: Array.from({ length: 20 }, (_, i) => ({
        ...thing('outlet', 10 + 10 * i, 40, 2, 4),
        id: `o${i + 1}`,
      })),
    }).wall
    const obstacles = obstaclesOf(survey)
    const near = (x: number, faceWidth: number, directionDeg = 90) =>
      obstaclesNear(
        { center: { x: inches(x), y: inches(9) }, directionDeg, faceWidth: inches(faceWidth) },
        obstacles,
      )
    expect(near(51, 6).map(({ id }) => id)).toEqual(['o5'])
    expect(near(46, 6)).toEqual([])
    expect(near(46, 10).map(({ id }) => id)).toEqual(['o4', 'o5'])
    // of one that leans by 20 degrees those between its feet and its head
    // worked by hand: at 42 up its center has gone 33 / tan 70 = 12 to the right, to 63, and it is 6.4 wide along the level
    expect(near(51, 6, 70).map(({ id }) => id)).toEqual(['o6'])
    expect(near(51, 6, 110).map(({ id }) => id)).toEqual(['o4'])
    expect(near(51, 6, 0)).toBe(obstacles)
    expect(near(51, 6, 60)).toBe(obstacles)
  })

  test('law: what reaches into a stretch is found by its left end, as by looking at each', () => {
    fc.assert(
      fc.property(fc.array(outlet, { maxLength: 30 }), place(-20, 320), place(0, 60), (all, from, wide) => {
        const outline = ({ left, width, bottom, height }: (typeof all)[number]) => [
          { x: left, y: bottom },
          { x: left + width, y: bottom + height },
        ]
        const found = new ByLeft(all, outline).between(from, from + wide).map(({ item }) => item)
        const each = all.filter((one) => {
          const { left, right } = boundsOf(outline(one))
          return right >= from && left <= from + wide
        })
        expect(new Set(found)).toEqual(new Set(each))
        expect(found).toHaveLength(each.length)
      }),
      { numRuns: runs(300) },
    )
  })
})
