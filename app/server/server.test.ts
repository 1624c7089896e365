import { inForce, withDesign } from '~/model'
import { readFileSync } from 'node:fs'
import { readJobFile } from '~/core/files/readJobFile'
import { inches } from '~/length'
import { openDatabase } from './db/database.server'
import { revisions } from './db/schema.server'
import {
  createDocument,
  historyOf,
  readDocument,
  redoNext,
  undoNewest,
  writeDocument,
} from './documents.server'
import { takeInJobFile } from './jobFiles.server'
import { archiveJob, createJob, duplicateJob, exportJob, jobDetail, listJobs } from './jobs.server'
import { jobView } from './jobView.server'
import { changeWall } from './wallChanges.server'
import { archiveWall, createWall, duplicateWall, saveWall, stepWall, wallPage } from './walls.server'

const demo = readFileSync('examples/tern-cottage.regla.json', 'utf8')

function freshWall() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Attic', client: '', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'North', name: 'Gable' }) }
  const page = wallPage(db, ids)
  if (!page) throw new Error('no wall')
  const widen = (width: number, overwrite = false, base = wallPage(db, ids)?.revisions) => {
    const now = wallPage(db, ids)
    if (!now || !base) throw new Error('no wall')
    const wall = { ...now.wall, survey: { ...now.wall.survey, width: inches(width) } }
    return saveWall(db, ids, { base, wall, settings: now.settings, overwrite })
  }
  return { db, ids, page, widen, width: () => wallPage(db, ids)?.wall.survey.width }
}

function stepped(...args: Parameters<typeof stepWall>) {
  const outcome = stepWall(...args)
  if (outcome?.kind !== 'saved') throw new Error('no step')
  return outcome.state
}

describe('revisions', () => {
  test('what was saved together is taken back together', () => {
    const { db, ids, page } = freshWall()
    const lath = { id: 'lath', nominal: 'lath', name: '', width: inches(1.5), thickness: inches(0.25) }
    const settings = { ...page.settings, materials: [...page.settings.materials, lath] }
    const wall = { ...page.wall, design: withDesign(page.wall.design, { battenMaterial: 'lath' }) }
    saveWall(db, ids, { base: page.revisions, wall, settings, overwrite: false })
    const back = stepped(db, ids, 'undo')
    expect([back.wall, back.settings]).toEqual([page.wall, page.settings])
    expect(back.history).toEqual({ canUndo: false, canRedo: true })
    expect(inForce(stepped(db, ids, 'redo').wall.design).battenMaterial).toBe('lath')
  })

  test('a material another wall is made of is not taken away', () => {
    const { db, ids, page } = freshWall()
    const lath = { id: 'lath', nominal: 'lath', name: '', width: inches(1.5), thickness: inches(0.25) }
    const settings = { ...page.settings, materials: [...page.settings.materials, lath] }
    saveWall(db, ids, { base: page.revisions, wall: page.wall, settings, overwrite: false })
    const other = {
      jobId: ids.jobId,
      wallId: createWall(db, { jobId: ids.jobId, roomName: 'North', name: 'Dormer' }),
    }
    const there = wallPage(db, other)
    if (!there) throw new Error('no wall')
    const made = { ...there.wall, design: withDesign(there.wall.design, { battenMaterial: 'lath' }) }
    saveWall(db, other, { base: there.revisions, wall: made, settings, overwrite: false })
    expect(stepWall(db, ids, 'undo')).toEqual({ kind: 'inUse', wallNames: ['Dormer'] })
    expect(wallPage(db, ids)?.settings).toEqual(settings)
  })

  test('documents edited together have one history, newest change first', () => {
    const db = openDatabase(':memory:')
    const a = createDocument(db, 'a0')
    const b = createDocument(db, 'b0')
    const both = [a, b]
    writeDocument(db, a, 'a1')
    writeDocument(db, b, 'b1')
    writeDocument(db, a, 'a2')
    const bodies = () => both.map((id) => readDocument(db, id).body)
    const seen = [bodies()]
    while (undoNewest(db, both)) seen.push(bodies())
    expect(seen).toEqual([
      ['a2', 'b1'],
      ['a1', 'b1'],
      ['a1', 'b0'],
      ['a0', 'b0'],
    ])
    expect(historyOf(db, both)).toEqual({ canUndo: false, canRedo: true })
    const forward = [bodies()]
    while (redoNext(db, both)) forward.push(bodies())
    expect(forward).toEqual([...seen].reverse())
  })

  test('a new change after an undo ends what could be redone', () => {
    const db = openDatabase(':memory:')
    const a = createDocument(db, 'a0')
    const b = createDocument(db, 'b0')
    writeDocument(db, a, 'a1')
    undoNewest(db, [a, b])
    writeDocument(db, b, 'b1')
    expect(historyOf(db, [a, b])).toEqual({ canUndo: true, canRedo: false })
    expect(redoNext(db, [a, b])).toBe(false)
  })
})

describe('walls', () => {
  test('saving appends, undo and redo step through what was saved', () => {
    const { db, ids, widen, width } = freshWall()
    widen(150)
    widen(151)
    expect(width()).toBe(inches(151))
    expect(stepped(db, ids, 'undo').wall.survey.width).toBe(inches(150))
    stepWall(db, ids, 'undo')
    expect(width()).toBe(inches(120))
    expect(stepped(db, ids, 'redo').history).toEqual({ canUndo: true, canRedo: true })
    expect(width()).toBe(inches(150))
  })

  test('a save that changes nothing adds no revision', () => {
    const { db, widen } = freshWall()
    const before = db.select().from(revisions).all().length
    widen(120)
    expect(db.select().from(revisions).all()).toHaveLength(before)
  })

  test('another window’s save is not run over unless asked', () => {
    const { page, widen, width } = freshWall()
    widen(150)
    expect(widen(160, false, page.revisions)?.kind).toBe('conflict')
    expect(width()).toBe(inches(150))
    expect(widen(160, true, page.revisions)?.kind).toBe('saved')
    expect(width()).toBe(inches(160))
  })

  test('a posted document is read by its schema: what it can’t hold is refused with its path', () => {
    const { db, ids, page } = freshWall()
    const posted = {
      intent: 'save',
      base: page.revisions,
      wall: page.wall,
      settings: page.settings,
      overwrite: false,
    }
    expect(changeWall(db, ids, posted)).toMatchObject({ ok: true, value: { kind: 'saved' } })
    const broken = { ...posted, wall: { ...page.wall, survey: { ...page.wall.survey, width: -1 } } }
    expect(changeWall(db, ids, broken)).toMatchObject({ ok: true, value: { kind: 'refused' } })
    const unknown = {
      ...posted,
      wall: { ...page.wall, design: withDesign(page.wall.design, { battenMaterial: 'oak' }) },
    }
    expect(changeWall(db, ids, unknown)).toMatchObject({
      value: { problems: [expect.stringContaining('"oak"')] },
    })
    expect(changeWall(db, ids, null)).toMatchObject({ value: { kind: 'refused' } })
    expect(changeWall(db, { ...ids, wallId: 'nowhere' }, { intent: 'undo' }).ok).toBe(false)
  })

  test('a copy goes its own way; a wall put away leaves the export', () => {
    const { db, ids, widen } = freshWall()
    const copy = duplicateWall(db, ids)
    widen(177)
    expect(wallPage(db, { ...ids, wallId: copy ?? '' })?.wall.survey.width).toBe(inches(120))
    archiveWall(db, ids.wallId, true)
    expect(exportJob(db, ids.jobId)?.rooms[0]?.walls.map(({ id }) => id)).toEqual([copy])
    expect(wallPage(db, { jobId: 'other', wallId: ids.wallId })).toBeNull()
  })
})

describe('jobs', () => {
  test('what is exported is imported as the same job', () => {
    const db = openDatabase(':memory:')
    const taken = takeInJobFile(db, demo)
    if (!taken.ok) throw new Error(taken.issue.join('\n'))
    const first = exportJob(db, taken.value)
    const again = takeInJobFile(db, JSON.stringify(first))
    const second = exportJob(db, again.ok ? again.value : '')
    const bare = (file: typeof first) =>
      file && {
        ...file,
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
    expect(listJobs(db, { archived: false, search: '' })).toEqual([])
  })

  test('search, duplicate, put away and bring back', () => {
    const db = openDatabase(':memory:')
    const id = createJob(db, { name: 'Mill house', client: 'Orla', units: 'mm', tape: '1 mm' })
    createJob(db, { name: 'Barn', client: '', units: 'inches', tape: '1/8' })
    expect(listJobs(db, { archived: false, search: 'orla' }).map(({ name }) => name)).toEqual(['Mill house'])
    expect(jobDetail(db, duplicateJob(db, id) ?? '')?.name).toBe('Mill house (copy)')
    archiveJob(db, id, true)
    expect(listJobs(db, { archived: true, search: '' }).map((job) => job.id)).toEqual([id])
    archiveJob(db, id, false)
    expect(listJobs(db, { archived: true, search: '' })).toEqual([])
    expect(jobDetail(db, 'nowhere')).toBeNull()
    expect(jobView(db, 'nowhere')).toBeNull()
  })

  test('walls of one room share it whatever the capitals', () => {
    const db = openDatabase(':memory:')
    const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
    createWall(db, { jobId, roomName: 'Hall', name: 'A' })
    createWall(db, { jobId, roomName: 'hall', name: 'B' })
    const view = jobView(db, jobId)
    expect(view?.rooms.map(({ name, walls }) => [name, walls.map((w) => w.name)])).toEqual([
      ['Hall', ['A', 'B']],
    ])
    expect(view?.rooms[0]?.walls[0]?.facts).toBe('120 × 96, 6 battens to a rail at 64')
  })
})
