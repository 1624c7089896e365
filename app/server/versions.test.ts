import { copyFileSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { computePlan } from '~/core/computePlan'
import { materialsOf } from '~/core/files/readJobFile'
import { inForce } from '~/model'
import { openDatabase } from './db/database.server'
import { exportJob, jobDetail } from './jobs.server'
import { changeWall } from './wallChanges.server'
import { createWall, stepWall, wallPage } from './walls.server'

/** A database as the first version of documents left it, with a wall that was turned from battens to a grid to boxes. */
function databaseOf1() {
  const file = join(mkdtempSync(join(tmpdir(), 'regla-')), 'regla.db')
  copyFileSync('tests/versions/database-1.sqlite', file)
  return openDatabase(file)
}
const ids = { jobId: 'job-before', wallId: '6dc37771cbb58e7' }

describe('a database of version 1', () => {
  test('its walls open, its job goes out as a file', () => {
    const db = databaseOf1()
    const page = wallPage(db, ids)
    expect(page && inForce(page.wall.design)).toMatchObject({ pattern: 'boxes', corners: { left: 'cope' } })
    // rows set before the wall was turned to boxes come back with the grid
    expect(page?.wall.design.patterns.grid).toMatchObject({ rows: [1, 2], border: 'miter' })
    expect(exportJob(db, ids.jobId)).toMatchObject({ version: 2 })
    expect(jobDetail(db, ids.jobId)?.rooms.map(({ name }) => name)).toContain('Landing')
  })

  test('undo walks back through revisions of that time, a save writes the version of now', () => {
    const db = databaseOf1()
    const patterns: string[] = []
    for (;;) {
      const page = wallPage(db, ids)
      if (!page?.history.canUndo) break
      const stepped = stepWall(db, ids, 'undo')
      if (stepped?.kind !== 'saved') break
      patterns.push(stepped.state.wall.design.pattern)
    }
    // before the grid it stood in pine the job does not have, which is refused, as ever
    expect(patterns).toEqual(['grid', 'grid'])
    expect(stepWall(db, ids, 'redo')?.kind).toBe('saved')
    const page = wallPage(db, ids)
    if (!page) throw new Error('no wall')
    const { revisions, settings } = page
    const request = { intent: 'save', base: revisions, settings, overwrite: false }
    const design = { ...page.wall.design, own: { ...page.wall.design.own, locked: true } }
    expect(changeWall(db, ids, { ...request, wall: { ...page.wall, design } })).toMatchObject({
      ok: true,
      value: { kind: 'saved', state: { wall: { design: { version: 2, own: { locked: true } } } } },
    })
  })

  test('what a page of before the update still saves is taken as it means it', () => {
    const db = databaseOf1()
    const page = wallPage(db, ids)
    if (!page) throw new Error('no wall')
    const { boxes: _, pattern: __, ...had } = inForce(page.wall.design)
    const design = { ...had, version: 1, pattern: 'slats' }
    const answer = changeWall(db, ids, {
      intent: 'save',
      base: page.revisions,
      settings: page.settings,
      overwrite: false,
      wall: { survey: page.wall.survey, design },
    })
    expect(answer).toMatchObject({ ok: true, value: { kind: 'saved' } })
    expect(wallPage(db, ids)?.wall.design.patterns.slats).toBeDefined()
  })

  test('a new wall in a job without the usual stuff starts from what the job has', () => {
    const db = databaseOf1()
    const wallId = createWall(db, { jobId: ids.jobId, roomName: 'Landing', name: 'Beside it' })
    const page = wallPage(db, { jobId: ids.jobId, wallId })
    if (!page) throw new Error('no wall')
    const known = new Set(page.settings.materials.map(({ id }) => id))
    expect(known.has('pine-1x3')).toBe(false)
    expect(materialsOf(page.wall.design).filter(({ material }) => !known.has(material))).toEqual([])
    expect(computePlan({ wall: page.wall, settings: page.settings }).pieces.length).toBeGreaterThan(0)
  })
})
