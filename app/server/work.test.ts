import { readFileSync } from 'node:fs'
import { taskId } from '~/core/sequence/roomMaker'
import { cautionsOfKind } from '~/core/sequence/kindRules'
import { withDemoDays } from './demoWork.server'
import { openDatabase } from './db/database.server'
import { readJobFile } from '~/core/files/readJobFile'
import { addMember } from './crew/members.server'
import { importJob, jobDetail } from './jobs.server'
import { changePage } from './pageChanges.server'
import { pageOfWork } from './pages.server'
import { jobWork, localMinute, recordWork, workActsOf } from './work.server'

const read = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
if (!read.ok) throw new Error('the demo job is broken')
const file = read.value

function job() {
  const db = openDatabase(':memory:')
  const id = importJob(db, withDemoDays(file, Date.now()))
  const room = jobDetail(db, id)?.rooms[0]
  if (!room) throw new Error('no room')
  return { db, id, room }
}
let n = 0
const act = (kind: string, more: object) => ({ id: `act-number-${++n}`, kind, doneAt: n, ...more })
const done = (task: string) => act('taskDone', { task, at: '2027-03-01T19:00' })

test('a task is ticked only after its cautions were seen, by each member for themselves; an act sent twice is kept once', async () => {
  const { db, id, room } = job()
  const task = taskId('room', room.id, 'remove')
  const seen = cautionsOfKind(task).map((caution) => act('cautionSeen', { caution }))
  expect(seen.length).toBeGreaterThan(0)
  expect(recordWork(db, id, [done(task)])).toBe(false)
  expect(recordWork(db, id, seen)).toBe(true)
  const ticked = done(task)
  expect(recordWork(db, id, [ticked])).toBe(true)
  expect(recordWork(db, id, [ticked])).toBe(true)
  expect(workActsOf(db, id).filter(({ kind }) => kind === 'taskDone')).toHaveLength(1)
  // whoever signs in has seen nothing yet
  const made = await addMember(db, 'Rowan', 'a long enough passphrase')
  if (!made.ok) throw new Error(made.issue)
  const member = made.value
  expect(recordWork(db, id, [done(task)], member)).toBe(false)
  const again = cautionsOfKind(task).map((caution) => act('cautionSeen', { caution }))
  expect(recordWork(db, id, [...again, done(task)], member)).toBe(true)
  expect(workActsOf(db, id).some((each) => each.member === member)).toBe(true)
})

test('what can’t be read is not kept, nor what is of no job', () => {
  const { db, id } = job()
  for (const bad of [
    null,
    [],
    [{}],
    [act('taskDone', { task: '', at: 'noon' })],
    [act('unknown', {})],
    [act('takesLonger', { task: 'job/buy', minutes: -5 })],
  ])
    expect(recordWork(db, id, bad)).toBe(false)
  expect(recordWork(db, 'nobody', [done('own/x')])).toBe(false)
  expect(recordWork(db, id, [done('own/x')])).toBe(true)
})

test('the plan is a document: saved, undone by its own page, while what happened stays', () => {
  const { db, id } = job()
  const page = pageOfWork(db, { jobId: id })
  const before = jobWork(db, id, null)
  if (!page || !before?.settings) throw new Error('no page')
  const { settings } = before
  const body = { ...settings.body, work: { ...settings.body.work, people: 2 } }
  const save = (token: string) =>
    changePage(db, page, {
      intent: 'save',
      documents: [{ id: settings.id, base: settings.revision, body }],
      clashing: 'ask',
      token,
      after: [],
    })
  const saved = save('first')
  if (saved.kind !== 'done') throw new Error(saved.kind)
  expect(recordWork(db, id, [act('takesLonger', { task: 'job/buy', minutes: 40 })])).toBe(true)
  expect(saved.history.undo?.parts).toEqual(['settings.work'])
  const undone = changePage(db, page, {
    intent: 'undo',
    change: saved.history.undo?.change,
    documents: [{ id: settings.id, base: saved.documents[0]?.revision }],
  })
  expect(undone.kind).toBe('done')
  const after = jobWork(db, id, null)
  expect(after?.settings?.body.work.people).toBe(1)
  expect(after && 'workActs' in after ? after.workActs : []).toHaveLength(1)
  expect(jobWork(db, 'nobody', null)).toBeNull()
})

test('the file’s own tasks come along, in the room as it is called here', () => {
  const { db, id } = job()
  const held = jobWork(db, id, null)
  const room = jobDetail(db, id)?.rooms.find(({ name }) => name === 'Reading corner')
  expect(held?.settings?.body.work.tasks[0]?.room).toBe(room?.id)
  expect(Math.abs(localMinute(new Date()) * 60_000 - Date.now())).toBeLessThan(15 * 3_600_000)
})
