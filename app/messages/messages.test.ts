import { someStrips } from '../../tests/namedStrips'
import { computePlan } from '~/core/computePlan'
import { inches, millimeters } from '~/length'
import { wallOf } from '../../tests/namedWalls'
import {
  boardIssueText,
  endCutName,
  findingText,
  heightMarkName,
  pieceName,
  WALK_QUESTIONS,
  walkCaution,
  wayOutText,
  WORK_CAUTIONS,
  type Wording,
} from '.'
import { STOCK_LIST } from '~/model'

const wording: Wording = {
  format: { units: 'inches', tape: '1/16' },
  materials: STOCK_LIST,
  strips: someStrips,
}

function said(workpiece: ReturnType<typeof wallOf>, code: string) {
  const finding = computePlan(workpiece).findings.find(({ says }) => says.code === code)
  if (!finding) throw new Error(`no finding ${code}`)
  return {
    text: findingText(finding.says, wording),
    ways: finding.waysOut.map((way) => wayOutText(way.says, wording)),
  }
}

describe('findings speak the trade’s words, with numbers and where from', () => {
  test('strips wider than the wall', () => {
    const { text, ways } = said(
      wallOf({}, { spacing: { school: 'equalByCount', strips: 60, ends: 'gap' } }),
      'stripsWiderThanSpan',
    )
    expect(text).toBe(
      '60 strips of 2 1/2 need 150 in, more than the 131 in there are. At most 52 stand side by side.',
    )
    expect(ways).toEqual(['26 strips, gaps 2 7/16', 'Use 1x2 pine'])
  })

  test('center marks: both bays, by how much, and the right marks offered', () => {
    const { text, ways } = said(
      wallOf({}, { spacing: { school: 'centerMarks', bays: 4 } }),
      'centerMarksUneven',
    )
    expect(text).toBe(
      'Center marks are not even: the inner bays are 30 1/4, each end bay is 31 1/2. That is half a strip, 1 1/4 in wider, at each end.',
    )
    expect(ways).toEqual(['3 strips, gaps 30 7/8'])
  })

  test('a sliver names the ends and offers the other centering', () => {
    const spacing = {
      school: 'fromCenter',
      about: null,
      wish: inches(18),
      measure: 'gap',
      centerOn: 'strip',
    } as const
    const { text, ways } = said(wallOf({}, { spacing }), 'endSliver')
    expect(text).toBe(
      'Both end bays are slivers: 2 3/4 at the left and 2 3/4 at the right, against gaps of 18 in.',
    )
    expect(ways[0]).toBe('Gap on the center, ends 13')
  })

  test('too high: above what, by how much, and what to lower to', () => {
    const { text, ways } = said(wallOf({}, { height: { rule: 'typed', value: inches(99) } }), 'topAboveHead')
    expect(text).toBe('The top at 99 is 4 in above the ceiling at 95.')
    expect(ways).toEqual(['Lower to 95', 'Two thirds, 63 5/16'])
  })

  test('no sentence carries undefined or NaN', () => {
    const walls = [
      wallOf({ width: inches(300) }),
      wallOf({ height: inches(260) }, { height: { rule: 'full' } }),
      wallOf({}, { foot: { kind: 'baseboard' } }),
      wallOf({}, { spacing: { school: 'equalByCount', strips: 1, ends: 'strip' } }),
      wallOf({ width: inches(2) }),
    ]
    const metric: Wording = { ...wording, format: { units: 'mm', tape: '1 mm' } }
    for (const workpiece of walls)
      for (const { says, waysOut } of computePlan(workpiece).findings)
        for (const text of [findingText(says, metric), ...waysOut.map((way) => wayOutText(way.says, metric))])
          expect(text).not.toMatch(/undefined|NaN|null/)
  })
})

test('pieces, ends, heights and board troubles have names', () => {
  expect(pieceName({ stripId: 'batten-4' }, wording)).toBe('Batten 4')
  expect(pieceName({ stripId: 'topRail', part: { side: null, number: 2 } }, wording)).toBe('Top rail, part 2')
  expect(endCutName({ kind: 'miter', sawSettingDeg: 38.168, longEdge: 'left' }, inches(2.5), wording)).toBe(
    'saw at 38.2°, left edge long',
  )
  expect(endCutName({ kind: 'scarf', bevelDeg: 45, hidden: millimeters(0) }, inches(2.5), wording)).toBe(
    '45° scarf through the thickness, laps over',
  )
  expect(heightMarkName({ what: 'bandBottom', bandId: 'topRail' }, wording)).toBe('underside of the top rail')
  expect(
    boardIssueText(
      {
        code: 'pieceTooLong',
        materialId: 'pine-1x3',
        pieceIds: ['a'],
        length: inches(100),
        longest: inches(96),
      },
      wording,
    ),
  ).toBe(
    '1 piece up to 100 in: the longest board listed gives 96 in. List a longer board or lower the layout.',
  )
})

describe('cautions', () => {
  const answered = (Object.keys(WALK_QUESTIONS) as (keyof typeof WALK_QUESTIONS)[]).flatMap((question) =>
    WALK_QUESTIONS[question].answers.map(({ id }) => walkCaution(question, id)),
  )
  const all = [...answered.filter((text) => text !== null), ...WORK_CAUTIONS].join('\n')

  test.each([
    'local codes; licensed trades',
    'respirator, extraction',
    'NIOSH sets 1 mg/m3',
    'hands clear, small pieces clamped',
    'never toward a hand',
    'Cables run up and down from every box',
    'NFPA 70, 314.20',
    'EPA, 40 CFR 745',
    'asbestos: have a sample tested',
    'ventilate, no flame',
    'three points',
    'Two people move what is heavy',
    'Nothing loose or heavy over a bed or crib',
    'Ask the owner first',
  ])('%s can be reached', (words) => expect(all).toContain(words))

  test('harmless answers call for none', () => {
    expect(walkCaution('holder', 'owner')).toBeNull()
    expect(walkCaution('age', 'later')).toBeNull()
    expect(walkCaution('plates', null)).toBeNull()
  })
})
