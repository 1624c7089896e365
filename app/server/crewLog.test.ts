import { sql } from 'drizzle-orm'
import sharp from 'sharp'
import { taskId } from '~/core/sequence/roomMaker'
import { inches } from '~/length'
import { startingSettings } from '~/model'
import { actsOf, recordActs } from './acts.server'
import { crewKnown, crewLog, pacedSettings } from './crewLog.server'
import { addMember } from './crew/members.server'
import { openDatabase } from './db/database.server'
import { createJob, jobDetail } from './jobs.server'
import { jobLog } from './jobLog.server'
import { keepLogPhotos, logPhotoBytes } from './logPhotos.server'
import { createWall } from './walls.server'
import { recordWork } from './work.server'
import { recordYard } from './yard.server'

function fresh() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Attic', client: '', units: 'inches', tape: '1/16' })
  const wallId = createWall(db, { jobId, roomName: 'Attic', name: 'Gable' })
  return { db, ids: { jobId, wallId } }
}
let n = 0
const act = (kind: string, doneAt: number, more: object = {}) => ({
  id: `crew-log-${String(++n).padStart(4, '0')}`,
  kind,
  doneAt,
  ...more,
})
const HOUR = 3_600_000

describe('what the crew’s logs tell', () => {
  test('a time with its count is a rate of the crew’s, until it is left out by hand; worked out anew where something was added', () => {
    const { db, ids } = fresh()
    const room = jobDetail(db, ids.jobId)?.rooms[0]?.id ?? ''
    const task = taskId('room', room, 'prepare')
    const now = 50 * HOUR
    expect(crewLog(db, now).rates).toEqual([])
    const counted = { rate: 'sandBoard', amount: 12, less: 0, planned: 70 }
    const timed = act('timed', now, { task, from: now - HOUR, to: now, counted })
    expect(recordWork(db, ids.jobId, [timed])).toBe(true)
    const [rate] = crewLog(db, now).rates
    expect(rate).toMatchObject({ rate: 'sandBoard', median: 5, jobs: 1 })
    expect(crewKnown(db).rates.map(({ rate: name }) => name)).toEqual(['sandBoard'])
    // the pace goes to whoever is told hours, wherever nobody typed a rate
    const settings = startingSettings('inches', '1/16')
    expect(pacedSettings(db, settings).work.rates.sandBoard).toBe(5)
    const typed = { ...settings.work, rates: { ...settings.work.rates, sandBoard: 11 } }
    expect(pacedSettings(db, { ...settings, work: typed }).work.rates.sandBoard).toBe(11)
    recordWork(db, ids.jobId, [act('sampleOut', now + 1, { rate: 'sandBoard', sample: task })])
    expect(crewLog(db, now).rates).toEqual([])
    recordWork(db, ids.jobId, [act('sampleIn', now + 2, { rate: 'sandBoard', sample: task })])
    expect(crewLog(db, now).rates).toHaveLength(1)
    expect(jobLog(db, ids.jobId, null)?.rates).toHaveLength(1)
    expect(jobLog(db, 'nobody', null)).toBeNull()
  })

  test('time that ends before it starts is not taken; nor a count of nothing', () => {
    const { db, ids } = fresh()
    const timed = (from: number, to: number, counted: object | null = null) =>
      act('timed', 9, { task: 'wall/w/caulk', from, to, counted })
    expect(recordWork(db, ids.jobId, [timed(2 * HOUR, HOUR)])).toBe(false)
    expect(recordWork(db, ids.jobId, [timed(HOUR, HOUR)])).toBe(false)
    const nothing = { rate: 'caulkFeet', amount: 0, less: 0, planned: 1 }
    expect(recordWork(db, ids.jobId, [timed(0, HOUR, nothing)])).toBe(false)
    expect(recordWork(db, ids.jobId, [timed(0, HOUR)])).toBe(true)
  })

  test('readings of what was built and a hook that was proved make the crew’s errors', () => {
    const { db, ids } = fresh()
    const reads = Array.from({ length: 9 }, (_, i) =>
      act('builtAt', i, {
        strip: `batten-${i}`,
        edge: 'left',
        place: inches(20) + (i - 4) * 400_000,
        planned: inches(20),
        with: 'tape',
      }),
    )
    expect(recordActs(db, ids, reads)).toBe(true)
    recordYard(db, [act('toolProved', 5, { tool: 'tapeHook', error: inches(1 / 32), over: null })])
    const { errors, proved } = crewLog(db)
    expect(errors.readings).toBe(9)
    expect(errors.errors.hook).toBe(inches(1 / 32))
    expect(proved).toHaveLength(1)
  })
})

test('rows that go with their job and as many that come are not taken for the same', () => {
  const { db, ids } = fresh()
  const room = jobDetail(db, ids.jobId)?.rooms[0]?.id ?? ''
  const now = 60 * HOUR
  const timed = (amount: number) =>
    act('timed', now, {
      task: taskId('room', room, 'prepare'),
      from: now - HOUR,
      to: now,
      counted: { rate: 'sandBoard', amount, less: 0, planned: 70 },
    })
  recordWork(db, ids.jobId, [timed(12)])
  expect(crewLog(db, now).rates[0]?.median).toBe(5)
  const before = db.get<{ id: string }>(sql`select id from work_acts limit 1`)
  recordWork(db, ids.jobId, [timed(6)])
  db.run(sql`delete from work_acts where id = ${before.id}`)
  expect(crewLog(db, now).rates[0]?.median).toBe(10)
})

describe('acts by both clocks', () => {
  test('a phone whose clock is an hour slow is set right; one that is right is left alone; who did it stands beside it', async () => {
    const { db, ids } = fresh()
    const ann = await addMember(db, 'Ann', 'a passphrase of hers')
    const member = ann.ok ? ann.value : null
    const now = Date.now()
    const began = (at: number) => act('began', at, { stage: 'fit' })
    expect(recordActs(db, ids, { sentAt: now - HOUR, acts: [began(now - HOUR - 5_000)] }, member)).toBe(true)
    expect(recordActs(db, ids, { sentAt: now, acts: [began(now - 9_000)] })).toBe(true)
    const [right, slow] = actsOf(db, ids.wallId)
    expect(right).toMatchObject({ doneAt: now - 9_000, member: null })
    expect(slow?.member).toBe(member)
    expect(Math.abs((slow?.doneAt ?? 0) - (now - 5_000))).toBeLessThan(2_000)
    expect(slow?.keptAt).toBeGreaterThanOrEqual(now)
    expect(recordActs(db, ids, { sentAt: 'soon', acts: [began(1)] })).toBe(false)
    expect(recordActs(db, ids, [act('began', 1, { stage: 'dreaming' })])).toBe(false)
  })
})

test('a photograph of the log is kept once, upright and without where it was taken; what is none is not', async () => {
  const { db, ids } = fresh()
  const onDatabase = <T>(work: (of: typeof db) => T) => work(db)
  const png = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#665544' } })
    .png()
    .toBuffer()
  const photo = { id: 'photo-000001', kind: 'logPhoto', data: png.toString('base64') }
  expect(await keepLogPhotos(onDatabase, ids, { sentAt: 1, acts: [photo] })).toBe(true)
  expect(await keepLogPhotos(onDatabase, ids, [photo])).toBe(true)
  const kept = logPhotoBytes(db, ids.wallId, photo.id)
  expect((await sharp(kept ?? Buffer.alloc(0)).metadata()).format).toBe('jpeg')
  expect(logPhotoBytes(db, 'another', photo.id)).toBeNull()
  expect(await keepLogPhotos(onDatabase, ids, [{ ...photo, id: 'photo-000002', data: 'bm9uZQ==' }])).toBe(
    false,
  )
  expect(await keepLogPhotos(onDatabase, { ...ids, wallId: 'gone' }, [photo])).toBe(false)
})
