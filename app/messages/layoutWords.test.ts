import type { SectionStart } from '~/core/layout/layout'
import { someStrips } from '../../tests/namedStrips'
import { computePlan } from '~/core/computePlan'
import { proposalCards } from '~/core/judgement/cards'
import { heightProposals } from '~/core/judgement/heights'
import { applyEdits } from '~/core/edits/applyEdit'
import { choosePattern, newRail } from '~/core/edits/choosePattern'
import { inches } from '~/length'
import { PATTERNS, RAIL_USES, startingSettings, inForce } from '~/model'
import { thing, wallOf } from '../../tests/namedWalls'
import {
  boardText,
  cornerAngleText,
  fittingStepText,
  heightReason,
  heightTakes,
  layoutTitle,
  leftOutText,
  matchText,
  pieceName,
  proposalTitle,
  proposalWhy,
  searchClaim,
  sectionName,
  stripName,
  type Wording,
} from '.'

const { units, tape, materials } = startingSettings('inches', '1/16')
const w: Wording = { format: { units, tape }, materials, strips: someStrips }
const plain = (text: string) => text.replaceAll('\u202f', ' ')

test('strips and pieces of every pattern have names a carpenter uses', () => {
  expect(
    ['stile-3', 'slat-12', 'box-2', 'rail-2', 'gridRail-2', 'chairRail-1', 'shelf-2', 'border'].map((id) =>
      stripName(id, w),
    ),
  ).toEqual(['Stile 3', 'Slat 12', 'Box 2', 'Mid rail 2', 'Rail 2', 'Chair rail', 'Shelf 2', 'Border'])
  expect(pieceName({ stripId: 'box-2', part: { side: 'left', number: null } }, w)).toBe('Box 2, left side')
  expect(pieceName({ stripId: 'box-2', part: { side: 'top', number: 1 } }, w)).toBe(
    'Box 2, upper side, part 1',
  )
  expect(pieceName({ stripId: 'box-5', part: { side: 'side3', number: null } }, w)).toBe('Box 5, side 3')
  expect(pieceName({ stripId: 'rail-2', part: { side: null, number: 4 } }, w)).toBe('Mid rail 2, part 4')
})

test('each pattern has a title, and choosing it gives a layout without a wrong finding', () => {
  const titles = PATTERNS.map((pattern) => {
    const start = wallOf({ width: inches(150), height: inches(97) })
    const plan = computePlan(applyEdits(start, choosePattern(start, pattern)))
    expect(plan.findings.filter(({ severity }) => severity === 'wrong')).toEqual([])
    expect(plan.pieces.length).toBeGreaterThan(0)
    return plain(layoutTitle(plan, w))
  })
  expect(titles).toEqual([
    '7 battens to a rail at 64 11/16',
    'A grid of 5 by 3, up to 97',
    '5 boxes under a rail at 32 5/16',
    '50 slats to 97',
    '15 lines, up to 97',
    '1 rail',
  ])
})

test('rails of each use start somewhere sensible, with names of their own', () => {
  let workpiece = wallOf()
  for (const use of RAIL_USES) workpiece = applyEdits(workpiece, newRail(workpiece, use))
  const ids = inForce(workpiece.wall.design).rails.map(({ id }) => id)
  expect(new Set(ids).size).toBe(RAIL_USES.length)
  const { bands } = computePlan(workpiece).layout
  for (const id of ids) expect(bands.find((band) => band.id === id)?.bottom).toBeGreaterThan(0)
})

test('a proposal says in one sentence what it clears, how near the wish, how it ends', () => {
  const workpiece = wallOf({ width: inches(131), things: [thing('outlet', 40, 12, 2.75, 4.5)] })
  const found = proposalCards(workpiece)
  for (const { proposal } of found.cards) {
    const why = plain(proposalWhy(proposal, workpiece.wall.survey, found.plates, 'battens', w))
    expect(why).toMatch(/^(Clears the plate by .* in|Meets an outlet), .*\.$/)
    expect(why).not.toMatch(/undefined|NaN/)
    expect(plain(proposalTitle(proposal, 'battens', w))).toMatch(/^\d+ battens, /)
  }
  expect(searchClaim({ tried: 1200, clear: 0, plates: 3, sections: 1 })).toContain(
    'No layout clears all 3 plates',
  )
  expect(searchClaim({ tried: 1200, clear: 7, plates: 1, sections: 1 })).toBe(
    '7 of 1,200 layouts within your limits clear the plate.',
  )
  expect(searchClaim({ tried: 0, clear: 0, plates: 1, sections: 1 })).toContain('Widen them')
})

test('a height says why and what it wastes', () => {
  const workpiece = wallOf({
    height: inches(97),
    things: [thing('window', 40, 34, 30, 40, { casing: inches(2) })],
  })
  const texts = heightProposals(workpiece).map((each) => [plain(heightReason(each, w)), heightTakes(each)])
  expect(texts.map(([why]) => why)).toEqual(
    expect.arrayContaining([
      'one third',
      'bottom of the window’s casing',
      'two from an 8 ft board: up to 47 15/16 each, the kerf counted',
    ]),
  )
  for (const [, takes] of texts) expect(takes).toMatch(/^\d+ boards?, \d+ % of them wasted$/)
})

test('sections, matches, corners and the order of fitting read like sentences', () => {
  const survey = wallOf({ things: [thing('window', 40, 34, 30, 40)] }).wall.survey
  const name = (from: SectionStart, opening: string | null = null, row = 0) =>
    sectionName({ from, opening, row }, survey)
  expect([
    name({ kind: 'wall' }),
    name({ kind: 'corner' }),
    name({ kind: 'bend' }),
    name({ kind: 'after', thingId: 'window-40' }),
    name({ kind: 'corner' }, 'window-40'),
    name({ kind: 'corner' }, null, 1),
  ]).toEqual([
    'the whole wall',
    'from the left corner',
    'along the slope',
    'right of the window',
    'over or under the window',
    'from the left corner, row 2',
  ])
  const member = { wallId: 'a', sectionId: 'all', locked: false, strips: 8, gap: 0, choices: [] }
  expect(
    plain(
      matchText(
        { members: [{ member, strips: 8, gap: inches(24.5) }], spread: 0, offWish: 0 },
        'boxes',
        () => 'East wall',
        w,
      ),
    ),
  ).toBe('East wall 7 of 24 1/2: all alike')
  // two stretches of one wall with gaps of their own are told each with its own
  const second = { ...member, sectionId: 'right' }
  const stretches = [
    { member, strips: 4, gap: inches(14.625) },
    { member: second, strips: 3, gap: inches(19) },
  ]
  expect(
    plain(
      matchText({ members: stretches, spread: inches(4.375), offWish: 0 }, 'battens', () => 'East wall', w),
    ),
  ).toMatch(/^East wall 4 .* 14 5\/8 \+ 3 .* 19: they differ by 4 3\/8 in$/)
  expect(cornerAngleText({ deg: 90, turn: 'inside', measured: false })).toBe('inside, not read: 90° assumed')
  expect(cornerAngleText({ deg: 91.25, turn: 'inside', measured: true })).toBe('91.25° inside')
  const walls = [
    { id: 'a', left: 'run', right: 'run' } as const,
    { id: 'b', left: 'cope', right: 'run' } as const,
  ]
  expect(fittingStepText({ wallId: 'b', after: ['a'] }, 1, walls, (id) => id.toUpperCase())).toBe(
    'Then the horizontals of B: after A, cut to it.',
  )
})

test('boards and what a match leaves out read in one line', () => {
  const board = {
    number: 2,
    offcut: inches(3.5),
    pieces: [
      { label: 'A', length: inches(48.75) },
      { label: 'C', length: inches(12) },
    ],
  }
  expect(plain(boardText(board, w))).toBe('Board 2: A 48 3/4, C 12; 3 1/2 left')
  expect(leftOutText(1, ['East wall'])).toMatch(/1 stretch of East wall\.$/)
  expect(leftOutText(3, ['East wall', 'Hall wall'])).toMatch(/3 stretches of East wall, Hall wall\.$/)
})
