import { readFileSync } from 'node:fs'
import { onHandOf } from '~/core/yard/yardState'
import { readJobFile } from '~/core/files/readJobFile'
import { inches } from '~/length'
import { actsOf, cuttingActs, recordActs } from './acts.server'
import { openDatabase } from './db/database.server'
import { importJob, jobDetail } from './jobs.server'
import { recordWork, workActsOf } from './work.server'
import { recordYard, yardActsOf } from './yard.server'

const DAY = 86_400_000

function withJob() {
  const db = openDatabase(':memory:')
  const file = readJobFile(readFileSync('examples/metric-study.regla.json', 'utf8'))
  if (!file.ok) throw new Error('the example is broken')
  importJob(db, file.value, 'job')
  const wallId = jobDetail(db, 'job')?.rooms[0]?.walls[0]?.id ?? ''
  return { db, wallId }
}

describe('a device whose clock is wrong', () => {
  // before, a count of 9 from a phone a day ahead stood against a count of 2 that was made later
  test('counts boards at the moment it truly did: the later count stands', () => {
    const { db } = withJob()
    const now = Date.now()
    const counted = (id: string, doneAt: number, count: number) => ({
      id,
      kind: 'counted',
      doneAt,
      material: '1x3',
      length: inches(96),
      count,
    })
    const ahead = { sentAt: now + DAY, acts: [counted('phone-ahead', now + DAY - 600_000, 9)] }
    expect(recordYard(db, ahead)).toBe(true)
    expect(recordYard(db, { sentAt: now, acts: [counted('phone-right', now - 60_000, 2)] })).toBe(true)
    const acts = yardActsOf(db)
    expect(acts.map(({ id }) => id)).toEqual(['phone-ahead', 'phone-right'])
    expect(onHandOf(acts).map(({ count }) => count)).toEqual([2])
    expect(Math.abs((acts[0]?.doneAt ?? 0) - (now - 600_000))).toBeLessThan(1_000)
  })

  test.each([
    ['a day ahead', DAY],
    ['a year back', -365 * DAY],
    ['three minutes ahead', 180_000],
  ])(
    'is set right in every log of acts, %s: at a wall, of its cutting, of the work, in the yard',
    (_, off) => {
      const { db, wallId } = withJob()
      const now = Date.now()
      const ids = { jobId: 'job', wallId }
      const posts = [
        (sentAt: number, doneAt: number, id: string) =>
          recordActs(db, ids, { sentAt, acts: [{ id: `wall-${id}`, kind: 'cut', doneAt }] }),
        (sentAt: number, doneAt: number, id: string) =>
          recordWork(db, 'job', {
            sentAt,
            acts: [{ id: `work-${id}`, kind: 'cautionSeen', doneAt, caution: 'dust' }],
          }),
        (sentAt: number, doneAt: number, id: string) =>
          recordYard(db, {
            sentAt,
            acts: [
              { id: `yard-${id}`, kind: 'counted', doneAt, material: '1x3', length: inches(96), count: 1 },
            ],
          }),
      ]
      const reads = [
        [() => actsOf(db, wallId), () => cuttingActs(db, [wallId]).get(wallId) ?? []],
        [() => workActsOf(db, 'job')],
        [() => yardActsOf(db)],
      ]
      posts.forEach((post, i) => {
        // done in this order: by the wrong clock, then by the right one, then by the wrong one
        const before = reads[i]?.map((read) => read().length) ?? []
        const all = [
          post(now + off, now + off - 3_000_000, 'one-'),
          post(now, now - 2_000_000, 'two-'),
          post(now + off, now + off - 1_000_000, 'three'),
        ]
        expect(all).toEqual([true, true, true])
        reads[i]?.forEach((read, k) => {
          const found = read().slice(before[k])
          expect(found.map(({ id }) => id.slice(5))).toEqual(['one-', 'two-', 'three'])
          found.forEach(({ doneAt }, n) =>
            expect(Math.abs(doneAt - (now - (3 - n) * 1_000_000))).toBeLessThan(1_000),
          )
        })
      })
    },
  )
})
