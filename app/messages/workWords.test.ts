import { inches } from '~/length'
import { minuteOf } from '~/core/sequence/dates'
import type { WorkIssue } from '~/core/sequence/planWork'
import { CAUTIONS, CHECKS, WHYS } from '~/core/sequence/task'
import type { Basis } from '~/core/takeoff/supplies'
import { STOCK_LIST } from '~/model'
import {
  amountText,
  basisText,
  buyText,
  cautionText,
  checkText,
  durationText,
  finishText,
  packName,
  spanText,
  supplyName,
  taskIdName,
  timeText,
  whenText,
  whyText,
  workIssueText,
} from './index'

const w = {
  format: { units: 'inches' as const, tape: '1/16' as const },
  materials: STOCK_LIST,
  currency: 'USD',
}
const mm = { ...w, format: { units: 'mm' as const, tape: '1 mm' as const } }
const places = { rooms: new Map([['r', 'Den']]), walls: new Map([['w', 'Sofa wall']]) }

test('times and spans read as one says them', () => {
  const at = minuteOf('2027-03-01T18:45') ?? 0
  expect(timeText(at)).toBe('6:45 PM')
  expect(whenText(at)).toBe('Monday, March 1, 6:45 PM')
  expect([5, 60, 135].map(durationText)).toEqual(['5 min', '1 h', '2 h 15 min'])
  expect([90, 1_440, 3_060].map(spanText)).toEqual(['1 h 30 min', '1 day', '2 days 3 h'])
})

test('a task is called by what is done and where, by its id alone too', () => {
  expect(taskIdName('room/r/trimCoat-2', places)).toBe('Paint the trim, coat 2: Den')
  expect(taskIdName('wall/w/fit-1', places)).toBe('Fit, half 1 of 2: Sofa wall')
  expect(taskIdName('job/buy', places)).toBe('Buy boards and supplies')
  expect(taskIdName('own/x', places)).toBe('own/x')
})

test('every reason, caution and check has its words', () => {
  const said = [...WHYS.map(whyText), whyText(null), ...CAUTIONS.map(cautionText), ...CHECKS.map(checkText)]
  for (const text of said) expect(text.length).toBeGreaterThan(8)
  expect(new Set(said).size).toBe(said.length)
})

test('what an amount rests on, in both units', () => {
  const seams: Basis = { kind: 'seams', feet: 61, bead: inches(3 / 16), perPack: 55.01, hollow: 0 }
  expect(basisText(seams, w)).toBe('61 ft of seam, 3/16 in bead, one pack does 55 ft')
  expect(basisText(seams, mm)).toBe('18.6 m of seam, 4.8 mm bead, one pack does 16.8 m')
  // finer than the tape, and still as it is
  expect(basisText({ ...seams, bead: inches(5 / 32) }, w)).toContain('5/32 in bead')
  expect(basisText({ kind: 'covered', area: 53.2, coats: 2, cover: 375 }, w)).toBe(
    '53.2 sq ft, 2 coats, 375 sq ft a gallon',
  )
  expect(basisText({ kind: 'nails', places: 9, holes: 9, length: inches(2), gauge: 18 }, w)).toBe('9 places')
  expect(amountText({ product: 'paint', amount: 200 }, 'inches')).toBe('1.6 gal')
  expect(amountText({ product: 'caulk', amount: 12 }, 'mm')).toBe('355 ml')
  expect(packName('primer', 32, 'inches')).toBe('quart')
  const buy = [
    { size: 128, price: null, count: 1 },
    { size: 32, price: null, count: 2 },
  ]
  expect(buyText({ product: 'paint', buy }, 'inches')).toBe('1 × gallon, 2 × quart')
  expect(supplyName({ product: 'nails', key: 'nails/18/50800000', of: null }, [], w)).toBe(
    'Brads 2 in, 18 ga',
  )
  expect(supplyName({ product: 'paint', key: 'paint/open-trim', of: 'trim' }, [], w)).toBe(
    'Paint for the trim, color still open',
  )
})

test('what a plan says of itself names the place', () => {
  const issues: WorkIssue[] = [
    { kind: 'ring', tasks: ['a', 'b'], by: 'pin' },
    { kind: 'gone', what: 'own', id: 'a' },
    { kind: 'noHours', weekday: 2 },
    { kind: 'noDays' },
    { kind: 'endBeforeStart', start: '2027-03-04', end: '2027-03-01' },
    { kind: 'noSuchDay', day: '2027-02-30' },
    { kind: 'noRate', rate: 'fitOne' },
    { kind: 'longWait', wait: 'paint', hours: 900 },
    { kind: 'inParts', task: 'a', parts: 3 },
    { kind: 'noLoudHours' },
    { kind: 'late', by: 1_500, wished: '2027-03-01' },
  ]
  const said = issues.map((issue) => workIssueText(issue, (id) => `task ${id}`))
  expect(new Set(said).size).toBe(issues.length)
  expect(said[2]).toBe('Wednesday ends before it begins, so nobody works then.')
  expect(said[4]).toBe('The wished end, Mon, Mar 1, lies before the first day, Thu, Mar 4.')
  expect(said[8]).toBe('task a is longer than any day’s hours, and is done in 3 parts.')
})

test('the finish list in words', () => {
  const say = (what: Parameters<typeof finishText>[0]) => finishText(what, w, [])
  expect(say({ kind: 'seam', against: 'wall', length: inches(120), bead: inches(1 / 8) })).toBe(
    'Caulk trim to wall: 10 ft, 1/8 in bead',
  )
  expect(say({ kind: 'sand', grits: [150, 220] })).toBe('Sand at 150, then 220')
  expect(say({ kind: 'coat', on: 'trim', number: 1, of: 2, paint: null })).toBe('Trim, coat 1 of 2')
})
