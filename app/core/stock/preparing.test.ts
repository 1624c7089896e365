import { type Make, STOCK_LIST } from '~/model'
import { wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { edgesThatDiffer, makeOf, preparationsOf, prepSteps } from './preparing'

const RAW: Make = { stuff: 'softwood', surface: 'raw', profile: 'square', edges: 'sharp', came: 'bought' }

// common practice, no source
describe('what stuff needs before paint', () => {
  test.each([
    [RAW, ['sealKnots', 'primeAll', 'scuff']],
    [{ ...RAW, stuff: 'hardwood' }, ['primeAll', 'scuff']],
    [{ ...RAW, surface: 'primed' }, ['primeCuts', 'scuff']],
    [
      { ...RAW, stuff: 'mdf', came: 'ripped' },
      ['sandSawn', 'easeEdges', 'sealEdges', 'primeAll', 'sandRaised'],
    ],
    [{ ...RAW, stuff: 'mdf', surface: 'primed', edges: 'eased' }, ['sealEdges', 'primeCuts', 'sandRaised']],
    [{ ...RAW, came: 'ripped' }, ['sandSawn', 'easeEdges', 'sealKnots', 'primeAll', 'scuff']],
    [{ ...RAW, surface: 'finished' }, []],
  ] as [Make, string[]][])('%#', (make, steps) => {
    expect(prepSteps(make)).toEqual(steps)
  })

  test('each material of a wall with its length and its cut ends; what nobody said has no steps', () => {
    const workpiece = wallOf()
    const { pieces } = computePlan(workpiece)
    const needs = preparationsOf(pieces, workpiece)
    expect(needs.reduce((sum, { ends }) => sum + ends, 0)).toBe(pieces.length * 2)
    expect(needs.reduce((sum, { length }) => sum + length, 0)).toBe(
      pieces.reduce((sum, { cutLength }) => sum + cutLength, 0),
    )
    expect(makeOf({ id: 'cedar-lath' })).toBeNull()
    expect(STOCK_LIST.every((material) => makeOf(material) !== null)).toBe(true)
  })

  test('eased edges beside sharp ones are told; moldings have edges of their own', () => {
    const wall = wallOf()
    const eased = {
      ...wall,
      settings: {
        ...wall.settings,
        materials: wall.settings.materials.map((each) =>
          each.id === 'pine-1x4' ? { ...each, make: { ...RAW, edges: 'eased' as const } } : each,
        ),
      },
    }
    const { pieces, findings } = computePlan(eased)
    expect(edgesThatDiffer(pieces, eased)).toEqual({ eased: 'pine-1x4', sharp: 'pine-1x3' })
    expect(findings.map(({ says }) => says.code)).toContain('edgesDiffer')
    expect(edgesThatDiffer(pieces, wall)).toBeNull()
  })
})
