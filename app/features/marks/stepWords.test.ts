import { dayLineText } from '~/messages'
import fc from 'fast-check'
import { computePlan } from '~/core/computePlan'
import { markWalk } from '~/core/marks/markWalk'
import { stripNames } from '~/core/layout/stripNames'
import { spoken } from '~/editor/useVoice'
import { inches } from '~/length'
import type { Wording } from '~/messages'
import { AT_WALL, isKept, wallOf as wallPathOf } from '~/offline/kept'
import { anyMeetingWall, runs } from '../../../tests/anyWall'
import { wallOf } from '../../../tests/namedWalls'
import { stepWords } from './stepWords'

const wordingOf = (
  workpiece: { settings: { units: Wording['format']['units']; tape: Wording['format']['tape'] } },
  strips?: Wording['strips'],
): Wording => ({
  format: { units: workpiece.settings.units, tape: workpiece.settings.tape },
  materials: [],
  ...(strips ? { strips } : {}),
})

test('law: every step of any wall says where, what and a number, from either corner, by floor or by laser', () => {
  fc.assert(
    fc.property(
      anyMeetingWall,
      fc.constantFrom('left' as const, 'right' as const),
      fc.boolean(),
      (workpiece, datum, byLaser) => {
        const plan = computePlan(workpiece)
        const wording = wordingOf(workpiece, stripNames(plan.layout))
        const laser = byLaser ? inches(44) : null
        for (const step of markWalk(plan, workpiece, { datum, hook: 'foot', laser })) {
          const words = stepWords(step, { datum, edge: 'near', hook: 'foot', layout: plan.layout, wording })
          expect(words.where).not.toBe('')
          expect(words.what).not.toBe('')
          expect(words.number).toMatch(/\d/)
          // a height below the laser is said as below, never as less than nothing
          if (step.what.kind === 'height' && byLaser) expect(words.number).not.toMatch(/[-−]/)
        }
      },
    ),
    { numRuns: runs(30) },
  )
})

test('the laser’s heights are above or below it', () => {
  const wall = wallOf()
  const plan = computePlan(wall)
  const wording = wordingOf(wall, stripNames(plan.layout))
  const said = markWalk(plan, wall, { datum: 'left', hook: 'foot', laser: inches(40) })
    .filter(({ what }) => what.kind === 'height')
    .map(
      (step) =>
        stepWords(step, { datum: 'left', edge: 'near', hook: 'foot', layout: plan.layout, wording }).what,
    )
  expect(new Set(said)).toEqual(new Set(['above the laser line', 'below the laser line']))
})

test('fractions are spoken, not spelled', () => {
  expect(spoken('Batten 2: 28 5/8')).toBe('Batten 2: 28 and 5 over 8')
  expect(spoken('7⁄16')).toBe('7 over 16')
  expect(spoken('90')).toBe('90')
})

test('a day’s lines: names while they can be said, a number beyond', () => {
  const places = { rooms: new Map(), walls: new Map() }
  const done = { kind: 'done' as const, id: 'a', at: 0, place: '', member: null }
  expect(dayLineText({ ...done, what: 'up', names: ['A1', 'A2'] }, places)).toBe('Fitted: A1, A2')
  const many = Array.from({ length: 30 }, (_, i) => `A${i}`)
  expect(dayLineText({ ...done, what: 'cut', names: many }, places)).toBe('Cut: 30')
  expect(dayLineText({ ...done, what: 'marked', names: ['x', 'y'] }, places)).toBe('Marked: 2')
  const worked = {
    kind: 'worked' as const,
    id: 'w',
    at: 0,
    place: '',
    of: 'fit',
    member: null,
    minutes: 74.6,
    by: 'ticks' as const,
    backwards: false,
    running: false,
  }
  expect(dayLineText(worked, places)).toBe('fitting: 1 h 15 min, by ticks')
  const used = {
    kind: 'used' as const,
    id: 'u',
    at: 0,
    place: '',
    member: null,
    product: 'Enamel',
    color: '',
    batch: 'B7',
  }
  expect(dayLineText(used, places)).toBe('Enamel, B7')
})

test('kept without the server are the stages of a wall and the pages of its job that are wanted there, and nothing else', () => {
  for (const stage of AT_WALL) expect(isKept(`/jobs/a/walls/b/${stage}`)).toBe(true)
  for (const stage of ['mark', 'cut', 'fit', 'finish', 'log'] as const) expect(AT_WALL).toContain(stage)
  for (const path of ['/jobs/a', '/jobs/a/rooms/b', '/jobs/a/boards/list', '/jobs/a/work/today'])
    expect(isKept(path)).toBe(true)
  for (const path of [
    '/',
    '/jobs/new',
    '/jobs/a/boards',
    '/jobs/a/rooms/b/document',
    '/jobs/a/walls/b/acts',
    '/jobs/a/walls/b/mark/x',
    '/c/token',
    '/sign-in',
  ])
    expect(isKept(path)).toBe(false)
  expect(wallPathOf('/jobs/a/walls/b/fit')).toBe('/jobs/a/walls/b')
  expect(wallPathOf('/jobs/a/work')).toBeNull()
})
