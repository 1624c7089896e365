import fc from 'fast-check'
import { inches } from '~/length'
import { blankSurvey, inForce, startingDesign, startingSettings, withDesign } from '~/model'
import { anyMeetingWall } from '../../../tests/anyWall'
import { computePlan } from '../computePlan'
import { designLike, firstDesign } from './habit'

const { materials } = startingSettings('inches', '1/16')
const bare = { ...blankSurvey(), width: inches(131), height: inches(95) }
const based = { ...bare, baseboard: { height: inches(4), thickness: inches(0.5), fate: 'keep' as const } }

test('a first design stands on the base that stays, else on a rail of its own', () => {
  expect(inForce(firstDesign(based, materials)).foot).toEqual({ kind: 'baseboard' })
  expect(inForce(firstDesign(bare, materials)).foot.kind).toBe('rail')
  const off = { ...based, baseboard: { ...based.baseboard, fate: 'remove' as const } }
  expect(inForce(firstDesign(off, materials)).foot.kind).toBe('rail')
})

test('what speaks of the other wall alone stays there', () => {
  const like = withDesign(startingDesign(materials), {
    spacing: { school: 'fromCenter', wish: inches(14), measure: 'gap', centerOn: 'gap', about: 'window-1' },
    shift: inches(2),
    extent: { left: inches(1), right: inches(50) },
    locked: true,
    apart: true,
    meets: { 'window-1': 'notch' },
    foot: { kind: 'baseboard' },
  })
  const design = inForce(designLike(like, bare))
  expect(design).toMatchObject({
    spacing: { school: 'fromCenter', wish: inches(14), about: null },
    shift: 0,
    extent: null,
    locked: false,
    apart: false,
    meets: {},
    foot: { kind: 'floor' },
  })
  const placed = withDesign(like, { spacing: { school: 'placed', nearEdges: [inches(3)] } })
  expect(inForce(designLike(placed, based)).spacing.school).toBe('nearWish')
})

test('law: a new wall laid out like any wall can be planned, and has nothing placed by hand', () => {
  fc.assert(
    fc.property(anyMeetingWall, (workpiece) => {
      const design = designLike(workpiece.wall.design, based)
      expect(inForce(design)).toMatchObject({
        sectionOwn: {},
        shift: 0,
        schools: [],
        fillers: null,
        extent: null,
      })
      expect(() => computePlan({ ...workpiece, wall: { survey: based, design } })).not.toThrow()
    }),
    { numRuns: 80 },
  )
})

test('heights that a grid’s rails came to as they were built are no habit; weights one chose are', () => {
  const grid = (rows: number[]) => withDesign(startingDesign(materials), { pattern: 'grid', rows })
  expect(inForce(designLike(grid([1, 1.0139, 0.9861]), bare)).rows).toEqual([1, 1, 1])
  expect(inForce(designLike(grid([1, 1.5, 0.75]), bare)).rows).toEqual([1, 1.5, 0.75])
  // what binary fractions make of it is no other weight
  expect(inForce(designLike(grid([1.15, 0.29, 1.1]), bare)).rows).toEqual([1.15, 0.29, 1.1])
})
