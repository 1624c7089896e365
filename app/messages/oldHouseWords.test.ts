import { computePlan } from '~/core/computePlan'
import { inches } from '~/length'
import { FLAT_WAYS, FLOOR_WHEN, HEATS, LIES } from '~/model'
import { reading, thing, wallOf } from '../../tests/namedWalls'
import { readingsThatMatter } from '~/core/asbuilt/matters'
import { blockCards } from '~/core/marks/blocks'
import { sightsOf } from '~/core/layout/sight'
import {
  blockDatumText,
  blockText,
  endCutName,
  findingText,
  flatnessText,
  flatWayText,
  floorText,
  lieName,
  sightText,
  standName,
  stripName,
  suspectText,
  wayOutText,
  type Wording,
} from '.'

const workpiece = wallOf(
  {
    readings: [reading('plumbLeft', 80, 0.5), reading('floorFall', 131, 0.25)],
    things: [
      thing('fireplace', 48, 0, 36, 30, { clear: inches(2) }),
      thing('sideTrim', 129.875, 0, 1.125, 95, { fate: 'goesBack' }),
    ],
    flatness: [
      {
        id: 'f',
        x: inches(20),
        y: inches(40),
        lie: 'up',
        length: inches(30),
        gap: inches(0.75),
        shape: 'hollow',
      },
    ],
    floorToCome: { covering: 'carpet', build: inches(0.5), when: 'against' },
  },
  {
    cap: {
      material: 'pine-1x4',
      lay: 'flat',
      ledge: { depth: null, past: inches(0), ends: 'square', brackets: null },
    },
  },
)
const plan = computePlan(workpiece)
const wording: Wording = {
  format: { units: 'inches', tape: '1/16' },
  materials: workpiece.settings.materials,
  strips: new Map(plan.layout.strips.map(({ id, name }) => [id, name])),
}

describe('an old house in words', () => {
  test('every finding and every way out of it is a sentence with its figures, and no code', () => {
    expect(plan.findings.length).toBeGreaterThan(6)
    for (const { says, waysOut } of plan.findings) {
      expect(findingText(says, wording)).toMatch(/^[A-Z0-9].*[.:]$/s)
      expect(findingText(says, wording)).not.toMatch(/undefined|NaN|\[object|Strip /)
      for (const way of waysOut) expect(wayOutText(way.says, wording)).toMatch(/^[A-Z0-9]/)
    }
  })

  test('what is near a fire says how near, how far, and who decides', () => {
    const near = plan.findings.find(({ says }) => says.code === 'nearHeat')
    expect(near && findingText(near.says, wording)).toMatch(
      /comes within 2 in of the fireplace; 6 is to be kept clear\..*Local code comes first/,
    )
  })

  test('a floor, a straightedge, ways and schools are told apart', () => {
    const said = FLOOR_WHEN.map((when) => floorText({ covering: 'tile', build: inches(0.75), when }, wording))
    expect(new Set(said).size).toBe(3)
    expect(said[0]).toBe('Tile still to come, 3/4 in high, laid before the trim goes on')
    expect(new Set(FLAT_WAYS.map(flatWayText)).size).toBe(4)
    expect(new Set(LIES.map(lieName)).size).toBe(4)
    expect(new Set((['plumb', 'square', 'left', 'right', 'own'] as const).map(standName)).size).toBe(5)
    const [flat] = workpiece.wall.survey.flatness
    expect(flat && flatnessText(flat, wording)).toBe(
      'Hollow of 3/4 under 30 in of straightedge, upright, its middle at 20, 40 up',
    )
    expect(HEATS).toHaveLength(4)
  })

  test('what the eye sees of plumb uprights beside a leaning corner', () => {
    const [plumb] = sightsOf(workpiece)
    expect(plumb && sightText(plumb, wording)).toMatch(
      /^Plumb\. Left corner .+ narrower at the head, right corner parallel\. Floor .+ off square, ceiling square\.$/,
    )
  })

  test('a suspect says what each miss spoils; a block what it stands on', () => {
    const [worst] = readingsThatMatter(workpiece, [inches(1 / 8), inches(1 / 4)])
    expect(worst && suspectText(worst, wording)).toMatch(
      /off by 1\/8, \d+ pieces? (is|are) scrap.*; by 1\/4, \d+/,
    )
    const [card] = blockCards(plan.layout, '1/16')
    expect(card && blockDatumText(card.datum, true, wording)).toMatch(
      /^From the (floor that will be|top of the .+)$/,
    )
    const [block] = card?.blocks ?? []
    expect(block && blockText(block, wording)).toMatch(/^prop block under the/)
  })

  test('a returned end, trim put back', () => {
    expect(
      endCutName(
        { kind: 'returned', sawSettingDeg: 45, depth: inches(8), hidden: inches(8.125) },
        inches(0.75),
        wording,
      ),
    ).toBe('miter at 45° with the front edge long, and an 8 return to the wall from the same board')
    expect(stripName('back:sideTrim-129.875', wording)).toBe('Trim put back')
  })
})
