import ICAL from 'ical.js'
import { USUAL_WORK } from '~/model'
import { minuteOf } from '~/core/sequence/dates'
import { orderOfWork } from '~/core/sequence/orderOfWork'
import { planWork } from '~/core/sequence/planWork'
import { workState } from '~/core/sequence/workState'
import { factsOf } from '../../../tests/demoFacts'
import { calendarFile } from '~/core/files/calendar'
import { sessionWords } from '~/messages'
import type { Task } from '~/core/sequence/task'
import { squeeze } from './squeeze'

const NOW = minuteOf('2027-03-01T08:00') ?? 0
const order = orderOfWork(factsOf('landing'), USUAL_WORK)
const { tasks } = planWork(order, USUAL_WORK, workState([]), NOW)
const words = (task: Task, part: { number: number; of: number } | null) =>
  sessionWords(task, `Do, "it"; ${task.id}`, part)
const MADE = Date.UTC(2027, 2, 1, 8)

/** The events of a file, read by an independent library (RFC 5545). */
function eventsIn(file: string) {
  const calendar = new ICAL.Component(ICAL.parse(file) as never[])
  return calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
}

test('every session is an event in the hours of the wall’s own clock, with commas and quotes in its name', () => {
  const job = { id: 'landing-job', name: 'Stairs, "upper"; back' }
  const file = calendarFile(job, tasks, words, MADE)
  const events = eventsIn(file)
  const sessions = tasks.flatMap(({ task, sessions: own }) => (task.people === 0 ? [] : own))
  expect(events).toHaveLength(sessions.length)
  const told = events
    .map(
      ({ startDate, duration }) =>
        `${startDate.toString().slice(0, 16)} ${duration.toSeconds() / 60} ${startDate.zone.tzid}`,
    )
    .sort()
  const wanted = sessions
    .map(({ start, end }) => {
      const at = new Date(start * 60_000).toISOString().slice(0, 16)
      return `${at} ${end - start} floating`
    })
    .sort()
  expect(told).toEqual(wanted)
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
  expect(events[0]?.summary.startsWith('Do, "it"; ')).toBe(true)
  expect(events[0]?.location).toBe(job.name)
  // the same plan made again says the same, word for word
  expect(calendarFile(job, tasks, words, MADE)).toBe(file)
})

test('the chart draws idle time together and keeps the order of time', () => {
  const rows = tasks.map(({ task, sessions }) => ({
    name: task.id,
    work: sessions.map(({ start, end }) => [start, end] as const),
    dry: null,
    tight: false,
  }))
  const { at, to, days } = squeeze(rows)
  const minutes = rows.flatMap(({ work }) => work.flat()).sort((a, b) => a - b)
  for (const [i, minute] of minutes.entries())
    expect(at(minute)).toBeGreaterThanOrEqual(at(minutes[i - 1] ?? minute))
  for (const { work } of rows)
    for (const [from, end] of work) expect(at(end) - at(from)).toBeCloseTo(end - from, 6)
  expect(at(minutes.at(-1) ?? 0)).toBeCloseTo(to, 6)
  expect(to).toBeLessThan(((minutes.at(-1) ?? 0) - (minutes[0] ?? 0)) / 3)
  expect(days.length).toBe(new Set(minutes.map((minute) => Math.floor(minute / 1_440))).size)
})
