import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { STARTING_BOXES, type Thing, withDesign, type Workpiece } from '~/model'
import { anyOldWall, anyPlainMeeting, eighths } from './anyWall'
import { thing } from './namedWalls'

const pick = fc.constantFrom

/** A wall of boxes among what strips may not cross: heat, cabinets, panels, beds that are kept clear, trim that stays or is cut round. */
export const anyBoxWall: fc.Arbitrary<Workpiece> = fc
  .tuple(
    fc.oneof(anyPlainMeeting, anyOldWall),
    fc.array(
      fc.record({
        kind: pick('cabinet', 'panel', 'radiator', 'bed', 'ledge', 'outlet'),
        at: fc.double({ min: 0, max: 0.85, noNaN: true }),
        up: eighths(2, 60),
        wide: eighths(3, 40),
        high: eighths(2, 40),
        fate: pick('keep', 'keep', 'cutRound'),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    fc.record({ high: eighths(24, 70), margin: eighths(2, 5), upper: fc.boolean() }),
  )
  .map(([workpiece, more, { high, margin, upper }]) => {
    const { survey, design } = workpiece.wall
    const wide = toInches(survey.width)
    const added = more.map(({ kind, at, up, wide: width, high: height, fate }, i) => ({
      ...thing(
        kind as Thing['kind'],
        Math.round(wide * at * 8) / 8,
        up,
        Math.min(width, wide * 0.15),
        height,
        {
          fate: kind === 'bed' ? 'keptClear' : fate,
        } as Partial<Thing>,
      ),
      id: `more-${i}`,
    }))
    return {
      ...workpiece,
      wall: {
        survey: { ...survey, things: [...survey.things, ...added] },
        design: withDesign(design, {
          pattern: 'boxes',
          topRail: { material: 'chair-rail' },
          height: { rule: 'typed', value: inches(high) },
          boxes: { ...STARTING_BOXES, margin: inches(margin), upper, least: inches(6), most: inches(60) },
        }),
      },
    }
  })
