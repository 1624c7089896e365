import { readFileSync } from 'node:fs'
import { readJobFile } from '~/core/files/readJobFile'
import { inches } from '~/length'
import { noPlans } from '../../tests/noPlans'
import { wallWindow } from '../../tests/windows'
import { openDatabase } from './db/database.server'
import { takeInJobFile } from './jobFiles.server'
import { findAnywhere } from './find.server'
import {
  archiveJob,
  createJob,
  duplicateJob,
  exportJob,
  jobDetail,
  listJobs,
  wallGlimpses,
} from './jobs.server'
import { freeName, LIMITS, nextName, withDesign } from '~/model'
import { jobView, pageOfWalls } from './jobView.server'
import { roomPage } from './rooms.server'
import { readWallLines } from '~/core/files/wallLines'
import { withPlaces } from '~/core/sequence/workOfJob'
import type { JobFile } from '~/model'
import { designOfWall, habitSettings, lastJob, lastWall } from './habits.server'
import { renameJob, renameRoom, renameWall } from './renaming.server'
import {
  archiveWall,
  createWall,
  createWalls,
  duplicateWall,
  FullError,
  wallExists,
  wallPage,
} from './walls.server'

const demo = readFileSync('examples/tern-cottage.regla.json', 'utf8')

describe('walls', () => {
  test('a copy goes its own way; a wall put away leaves the export', async () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'Attic', client: '', units: 'inches', tape: '1/16' })
    const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'North', name: 'Gable' }) }
    const copy = duplicateWall(db, ids)
    await wallWindow(db, ids).change('survey', (survey) => ({ ...survey, width: inches(177) }))
    expect(wallWindow(db, { jobId, wallId: copy ?? '' }).body('survey').width).toBe(inches(120))
    archiveWall(db, ids.wallId, true)
    expect(exportJob(db, ids.jobId)?.rooms[0]?.walls.map(({ id }) => id)).toEqual([copy])
    expect(wallPage(db, { jobId: 'other', wallId: ids.wallId })).toBeNull()
    expect(wallExists(db, { jobId: 'other', wallId: ids.wallId })).toBe(false)
  })
})

describe('jobs', () => {
  const nameIn =
    ({ rooms }: JobFile) =>
    (scope: 'room' | 'wall', id: string) =>
      (scope === 'room' ? rooms : rooms.flatMap(({ walls }) => walls)).find((each) => each.id === id)?.name ??
      id

  test('what is exported is imported as the same job', () => {
    const db = openDatabase(':memory:')
    const taken = takeInJobFile(db, demo)
    if (!taken.ok) throw new Error(taken.issue.join('\n'))
    const first = exportJob(db, taken.value)
    const again = takeInJobFile(db, JSON.stringify(first))
    const second = exportJob(db, again.ok ? again.value : '')
    // rooms and walls by their names, wherever they are spoken of
    const bare = (file: typeof first) =>
      file && {
        ...file,
        settings: { ...file.settings, work: withPlaces(file.settings.work, nameIn(file)) },
        rooms: file.rooms.map((r) => ({ ...r, id: '', walls: r.walls.map((w) => ({ ...w, id: '' })) })),
      }
    expect(bare(second)).toEqual(bare(first))
    const read = readJobFile(demo)
    expect(bare(first)).toEqual(bare(read.ok ? read.value : null))
  })

  test('a broken file is taken in not at all, and every problem is listed', () => {
    const db = openDatabase(':memory:')
    const file = JSON.parse(demo) as {
      rooms: {
        walls: {
          survey: { width: string }
          design: { pattern: string; patterns: Record<string, { battenMaterial: string }> }
        }[]
      }[]
    }
    const wall = file.rooms[0]?.walls[0]
    if (!wall) throw new Error('no wall')
    wall.survey.width = '12 q'
    const [first, second] = [takeInJobFile(db, JSON.stringify(file)), takeInJobFile(db, '{')]
    expect(first).toMatchObject({
      ok: false,
      issue: [expect.stringMatching(/^rooms\[0\]\.walls\[0\]\.survey\.width: “12 q”/)],
    })
    expect(second).toMatchObject({ ok: false, issue: [expect.stringMatching(/^file: is not JSON/)] })
    wall.survey.width = '120'
    const { pattern, patterns } = wall.design
    const options = patterns[pattern]
    if (options) options.battenMaterial = 'oak'
    expect(takeInJobFile(db, JSON.stringify(file))).toMatchObject({
      issue: [
        expect.stringContaining(
          'rooms[0].walls[0].design.patterns.battens.battenMaterial: there is no material "oak"',
        ),
      ],
    })
    expect(listJobs(db, { archived: false, search: '' }).jobs).toEqual([])
  })

  test('search, duplicate, put away and bring back', () => {
    const db = openDatabase(':memory:')
    const id = createJob(db, { name: 'Mill house', client: 'Orla', units: 'mm', tape: '1 mm' })
    createJob(db, { name: 'Barn', client: '', units: 'inches', tape: '1/8' })
    expect(listJobs(db, { archived: false, search: 'orla' }).jobs.map(({ name }) => name)).toEqual([
      'Mill house',
    ])
    expect(jobDetail(db, duplicateJob(db, id) ?? '')?.name).toBe('Mill house 2')
    archiveJob(db, id, true)
    expect(listJobs(db, { archived: true, search: '' }).jobs.map((job) => job.id)).toEqual([id])
    archiveJob(db, id, false)
    expect(listJobs(db, { archived: true, search: '' }).jobs).toEqual([])
    expect(jobDetail(db, 'nowhere')).toBeNull()
    expect(jobView(db, 'nowhere')).toBeNull()
  })

  test('walls of one room share it whatever the capitals', () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
    createWall(db, { jobId, roomName: 'Hall', name: 'A' })
    createWall(db, { jobId, roomName: 'hall', name: 'B' })
    const view = jobView(db, jobId, 1, noPlans())
    expect(view?.rooms.map(({ name, walls }) => [name, walls.map((w) => w.name)])).toEqual([
      ['Hall', ['A', 'B']],
    ])
    expect(view?.rooms[0]?.walls[0]?.size).toBe('120 × 96')
  })
})

describe('how much there may be', () => {
  const job = (db: ReturnType<typeof openDatabase>) =>
    createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })

  test('a room takes sixty walls, those put away too; a copy of one is one more', () => {
    const db = openDatabase(':memory:')
    const jobId = job(db)
    const walls = Array.from({ length: LIMITS.wallsInRoom }, (_, i) =>
      createWall(db, { jobId, roomName: 'Hall', name: `W${i}` }),
    )
    archiveWall(db, walls[0] ?? '', true)
    expect(() => createWall(db, { jobId, roomName: 'hall', name: 'One more' })).toThrow(FullError)
    expect(() => duplicateWall(db, { jobId, wallId: walls[1] ?? '' })).toThrow(FullError)
    // brought back it goes in again, and the whole job goes out as a file and comes in
    archiveWall(db, walls[0] ?? '', false)
    const file = exportJob(db, jobId)
    expect(readJobFile(JSON.stringify(file)).ok).toBe(true)
  })

  test('a job takes sixty rooms', () => {
    const db = openDatabase(':memory:')
    const jobId = job(db)
    for (let i = 0; i < LIMITS.rooms; i++) createWall(db, { jobId, roomName: `R${i}`, name: 'W' })
    expect(() => createWall(db, { jobId, roomName: 'One more', name: 'W' })).toThrow(FullError)
    expect(() => createWall(db, { jobId, roomName: 'r7', name: 'V' })).not.toThrow()
  })

  test('long lists come by pages', () => {
    const db = openDatabase(':memory:')
    const ids = Array.from({ length: 51 }, () => job(db))
    const page = (wanted: number) => listJobs(db, { archived: false, search: '', page: wanted })
    expect([page(1).jobs.length, page(2).jobs.length, page(1).pages]).toEqual([40, 11, 2])
    expect([page(0).page, page(99).page, page(NaN).page]).toEqual([1, 2, 1])
    for (let r = 0; r < 3; r++)
      for (let i = 0; i < 30; i++) createWall(db, { jobId: ids[0] ?? '', roomName: `R${r}`, name: `W${i}` })
    const detail = jobDetail(db, ids[0] ?? '')
    const walls = (wanted: number) =>
      detail && pageOfWalls(detail, wanted).rooms.map(({ name, walls: held }) => [name, held.length])
    expect([walls(1), walls(2)]).toEqual([
      [
        ['R0', 30],
        ['R1', 30],
      ],
      [['R2', 30]],
    ])
  })

  test('a copy takes the next free name, kept to the letters a name may have', () => {
    expect(freeName('Barn', [])).toBe('Barn')
    expect(freeName('Barn', ['barn'])).toBe('Barn 2')
    expect(freeName('Barn 2', ['Barn', 'Barn 2'])).toBe('Barn 3')
    expect(freeName('x'.repeat(LIMITS.name), ['x'.repeat(LIMITS.name)])).toBe(
      `${'x'.repeat(LIMITS.name - 2)} 2`,
    )
    expect(nextName('Wall', ['Wall 1', 'wall 2'])).toBe('Wall 3')
  })

  test('walls typed in one go: all of them in the room, named, measured, standing on their base; or none', () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
    const read = readWallLines('North: 120 x 96, base 5\n100 x 96\nEast:\nNorth: 90 x 96', 'inches')
    const walls = read.ok ? read.value : []
    const { roomId, wallIds } = createWalls(db, { jobId, roomName: 'Den', walls, like: null })
    const page = roomPage(db, { jobId, roomId })
    expect(page?.walls.map(({ name }) => name)).toEqual(['North', 'Wall 1', 'East', 'North 2'])
    const first = wallPage(db, { jobId, wallId: wallIds[0] ?? '' })
    const body = (kind: string) => first?.documents.find((each) => each.kind === kind)?.body
    expect(body('survey')).toMatchObject({ width: inches(120), baseboard: { height: inches(5) } })
    expect(body('design')).toMatchObject({ patterns: { battens: { foot: { kind: 'baseboard' } } } })
    const many = Array.from({ length: 58 }, () => ({ name: null, survey: null }))
    expect(() => createWalls(db, { jobId, roomName: 'Den', walls: many, like: null })).toThrow(FullError)
    expect(roomPage(db, { jobId, roomId })?.walls).toHaveLength(4)
  })

  test('habits of the last job: its boards and prices, and the layout last worked on', async () => {
    const db = openDatabase(':memory:')
    expect(lastJob(db)).toBeNull()
    const old = createJob(db, { name: 'Old', client: '', units: 'mm', tape: '1 mm' })
    const wallId = createWall(db, { jobId: old, roomName: 'R', name: 'W' })
    const window = wallWindow(db, { jobId: old, wallId })
    await window.change('settings', (settings) => ({ ...settings, closure: inches(0.5) }))
    await window.change('design', (design) => ({
      ...withDesign(design, { pattern: 'boxes' }),
      own: { ...design.own, locked: true },
    }))
    expect(lastJob(db)).toEqual({ id: old, name: 'Old', units: 'mm', tape: '1 mm' })
    const jobId = createJob(db, { name: 'New', client: '', units: 'inches', tape: '1/8', habits: old })
    expect(habitSettings(db, jobId)).toMatchObject({ units: 'inches', closure: inches(0.5) })
    const like = lastWall(db, old)?.id ?? null
    expect(like).toBe(wallId)
    const walls = [{ name: null, survey: null }]
    const made = createWalls(db, { jobId, roomName: 'R', walls, like }).wallIds
    expect(designOfWall(db, made[0] ?? '')).toMatchObject({ pattern: 'boxes', own: { locked: false } })
  })

  test('found by any of its names; what is put away is not; and its first walls are shown', () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'Mill house', client: 'Orla', units: 'inches', tape: '1/16' })
    const hall = createWall(db, { jobId, roomName: 'Hall', name: 'Long wall' })
    const gone = createWall(db, { jobId, roomName: 'Hall', name: 'Long wall too' })
    archiveWall(db, gone, true)
    createJob(db, { name: 'Barn', client: '', units: 'mm', tape: '1 mm' })
    const paths = (words: string) => findAnywhere(db, words).map(({ kind, name }) => `${kind} ${name}`)
    expect(paths('mill')).toEqual(['wall Long wall', 'room Hall', 'job Mill house'])
    expect(paths('LONG hall')).toEqual(['wall Long wall'])
    expect(paths('orla')).toEqual(['job Mill house'])
    expect(paths('100%_')).toEqual([])
    expect(paths('')).toContain('job Barn')
    expect(findAnywhere(db, 'long')[0]).toMatchObject({
      within: ['Hall', 'Mill house'],
      path: `/jobs/${jobId}/walls/${hall}/layout`,
    })
    for (let i = 0; i < 5; i++) createWall(db, { jobId, roomName: 'Den', name: `D${i}` })
    const shown = wallGlimpses(db, [jobId]).get(jobId)
    expect(shown?.wallIds).toHaveLength(4)
    expect(shown?.wallIds[0]).toBe(hall)
  })

  test('walls and rooms take another name; a room of another job does not', () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
    const wallId = createWall(db, { jobId, roomName: 'R', name: 'W' })
    const roomId = jobDetail(db, jobId)?.rooms[0]?.id ?? ''
    renameWall(db, wallId, { was: 'W', name: 'Gable' })
    expect(renameRoom(db, 'other', roomId, { was: 'R', name: 'Loft' }).kind).toBe('missing')
    expect(renameRoom(db, jobId, roomId, { was: 'R', name: 'Loft' }).kind).toBe('named')
    // a window that still shows the old name is asked, and nothing changes; the same name from both is no matter
    expect(renameWall(db, wallId, { was: 'W', name: 'Eaves' })).toMatchObject({
      kind: 'clash',
      clash: { now: { name: 'Gable' }, mine: { name: 'Eaves' } },
    })
    expect(renameWall(db, wallId, { was: 'W', name: 'Gable' }).kind).toBe('named')
    expect(jobDetail(db, jobId)?.rooms).toMatchObject([{ name: 'Loft', walls: [{ name: 'Gable' }] }])
    // one window names the job, the other the client: both stand
    const was = { name: 'J', client: '' }
    expect(renameJob(db, jobId, was, { ...was, name: 'Mill house' })).toBeNull()
    expect(renameJob(db, jobId, was, { ...was, client: 'Somebody' })).toBeNull()
    expect(jobDetail(db, jobId)).toMatchObject({ name: 'Mill house', client: 'Somebody' })
    expect(renameJob(db, jobId, was, { ...was, name: 'Old mill' })).toEqual(['name'])
  })
})
