import { point, Polygon as Flat } from '@flatten-js/core'
import fc from 'fast-check'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { inches } from '~/length'
import { type Act, blankSurvey, startingDesign, startingSettings, type Survey } from '~/model'
import { computePlan } from '../computePlan'
import { panelsOf } from '../panels/panels'
import { finishList } from '../finish/finishList'
import { heldBy } from '../takeoff/fixings'
import { overFloor, takeDown } from './takeDown'

test('on any wall every piece comes off once; nails and beads lie on it, and holes are those the finish list fills', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const plan = computePlan(workpiece)
      const down = takeDown(plan, workpiece)
      const held = new Map(
        heldBy(plan.pieces, workpiece, workpiece.settings.work.spread).map((each) => [each.pieceId, each]),
      )
      expect(down.pieces.map(({ pieceId }) => pieceId).sort()).toEqual([...held.keys()].sort())
      for (const { pieceId, nailsAt, beads, dabsAt, nails } of down.pieces) {
        const piece = plan.pieces.find(({ id }) => id === pieceId)
        const face = new Flat((piece?.face ?? []).map(({ x, y }) => [x, y] as [number, number]))
        // on the middle of the face: a hair for what is rounded
        for (const at of [...nailsAt, ...dabsAt, ...(beads ? [beads.from, beads.to] : [])])
          expect(face.contains(point(at.x, at.y)) ? 0 : face.distanceTo(point(at.x, at.y))[0]).toBeLessThan(
            1_000,
          )
        expect(nails?.places ?? 0).toBe(nailsAt.length)
      }
      const skin = panelsOf(workpiece, plan.layout)
      expect(down.panels?.count ?? 0).toBe(skin?.ok ? skin.value.panels.length : 0)
      const filled = finishList(workpiece, plan).find(({ what }) => what.kind === 'holes')
      expect(down.holes).toBe(filled?.what.kind === 'holes' ? filled.what.count : 0)
    }),
    { numRuns: runs(40) },
  )
})

test('what went up last comes off first, and what was pulled off earlier left its holes', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const plan = computePlan(workpiece)
      const [piece] = plan.pieces
      if (!piece) return
      const acts: Act[] = [
        {
          id: 'pulled-off-1',
          kind: 'pulledOff',
          release: 'release-1',
          piece: 'C3',
          holes: 4,
          at: [{ x: 1_000_000, y: 2_000_000 }],
          doneAt: 5,
        } as Act,
      ]
      const before = takeDown(plan, workpiece)
      const after = takeDown(plan, workpiece, acts)
      expect(after.holes).toBe(before.holes + 4)
      expect(after.earlier).toEqual([{ piece: 'C3', at: [{ x: 1_000_000, y: 2_000_000 }], holes: 4 }])
      const torn = before.pieces.filter(({ tears }) => tears === 'paper')
      expect(before.torn.beads > 0 || before.torn.dabs > 0).toBe(torn.length > 0)
    }),
    { numRuns: runs(20) },
  )
})

test('places are read up from the floor below them: one that falls, and one that is still to come', () => {
  const settings = startingSettings('inches', '1/16')
  const survey: Survey = {
    ...blankSurvey(),
    readings: [
      {
        id: 'fall',
        kind: 'floorFall',
        method: 'laser',
        takenAt: '2031-01-01T00:00:00.000Z',
        place: inches(120),
        value: inches(1.5),
      },
    ],
  }
  const over = (of: Survey) =>
    overFloor(computePlan({ wall: { survey: of, design: startingDesign() }, settings }).layout, {
      x: inches(40),
      y: inches(20),
    })
  // a third of the way along it has fallen by a third
  expect(over(survey)).toBe(inches(20.5))
  const floorToCome = { covering: 'tile', build: inches(0.75), when: 'before' } as const
  expect(over({ ...survey, floorToCome })).toBe(inches(19.75))
})
