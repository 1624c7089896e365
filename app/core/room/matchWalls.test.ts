import fc from 'fast-check'
import { runs } from '../../../tests/anyWall'
import { memberOf } from '../../../tests/matchMember'
import { wallOf } from '../../../tests/namedWalls'
import { inches } from '~/length'
import { matchGaps, matchMembers } from './matchWalls'

describe('matched walls', () => {
  test('law: the first is the best by cost over every combination, and none that is shown is beaten in both', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 60, max: 300 }), fc.boolean()), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 12, max: 50 }),
        (walls, wish) => {
          // up to four walls, of which some have two sections
          const members = walls.map(([span, locked], i) => ({
            ...memberOf(`w${i % 4}`, span, locked),
            sectionId: `s${i}`,
          }))
          const shown = matchGaps(members, inches(wish), 4)
          let best = Infinity
          const every: { spread: number; offWish: number }[] = []
          const walk = (i: number, gaps: readonly number[]) => {
            const member = members[i]
            if (!member) {
              const spread = Math.max(...gaps) - Math.min(...gaps)
              const offWish = Math.abs(gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length - inches(wish))
              every.push({ spread, offWish })
              best = Math.min(best, spread * 2 + offWish)
              return
            }
            for (const { gap } of member.locked ? [{ gap: member.gap }] : member.choices)
              walk(i + 1, [...gaps, gap])
          }
          const takes = members.every(({ locked, choices }) => locked || choices.length > 0)
          if (!takes) return
          walk(0, [])
          const [first] = shown
          expect(first && first.spread * 2 + first.offWish).toBeCloseTo(best, -3)
          for (const match of shown)
            expect(
              every.some(({ spread, offWish }) => spread < match.spread - 10 && offWish < match.offWish - 10),
            ).toBe(false)
        },
      ),
      { numRuns: runs(60) },
    )
  })

  test('a wall without a count inside its own limits takes part, or is named as left out', () => {
    const own = (width: number, least: number, most: number) =>
      wallOf(
        { width: inches(width) },
        {
          spacing: {
            school: 'nearWish',
            wish: inches(least),
            measure: 'gap',
            least: inches(least),
            most: inches(most),
            ends: 'gap',
            strips: null,
          },
        },
      )
    const walls = [
      { id: 'a', workpiece: own(131, 10, 24) },
      // nothing of 40 to 41 parts a wall of 60
      { id: 'b', workpiece: own(60, 40, 41) },
    ]
    const members = matchMembers(walls, { least: inches(10), most: inches(24) })
    expect(members.map(({ wallId }) => wallId)).toEqual(['a', 'b'])
    expect(matchGaps(members, inches(16), 1)[0]?.members).toHaveLength(2)
  })
})
