import { copyFileSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Database } from 'better-sqlite3'
import { computePlan } from '~/core/computePlan'
import { materialsOf } from '~/core/patterns/materialsOf'
import { inForce, workpieceOf } from '~/model'
import { wallWindow } from '../../tests/windows'
import { openDatabase } from './db/database.server'
import { exportJob, jobDetail } from './jobs.server'
import { changePage } from './pageChanges.server'
import { pageOfWall, storedDocuments } from './pages.server'
import { createWall, wallPage } from './walls.server'

/** A database as the first version of documents left it, with a wall that was turned from battens to a grid to boxes. */
function databaseOf1() {
  const file = join(mkdtempSync(join(tmpdir(), 'regla-')), 'regla.db')
  copyFileSync('tests/versions/database-1.sqlite', file)
  return openDatabase(file)
}
const ids = { jobId: 'job-before', wallId: '6dc37771cbb58e7' }

const surveyOf = (db: ReturnType<typeof databaseOf1>) => wallWindow(db, ids).body('survey')

describe('a database of version 1', () => {
  test('its walls open, its job goes out as a file', () => {
    const db = databaseOf1()
    const design = wallWindow(db, ids).body('design')
    expect(inForce(design)).toMatchObject({ pattern: 'boxes', corners: { left: 'cope' } })
    // rows set before the wall was turned to boxes come back with the grid
    expect(design.patterns.grid).toMatchObject({ rows: [1, 2], border: 'miter' })
    expect(exportJob(db, ids.jobId)).toMatchObject({ version: 2 })
    expect(jobDetail(db, ids.jobId)?.rooms.map(({ name }) => name)).toContain('Landing')
  })

  test('every wall has its two documents, with all that was saved of each', () => {
    const db = databaseOf1()
    const sqlite = (db as unknown as { $client: Database }).$client
    const count = (of: string) => (sqlite.prepare(`select count(*) n from ${of}`).get() as { n: number }).n
    expect(count("revisions where json_extract(body, '$.design') is not null")).toBe(0)
    expect(count('revisions where body is null')).toBe(0)
    expect(count("revisions where json_extract(body, '$.width') is not null")).toBe(
      count("revisions where json_extract(body, '$.pattern') is not null"),
    )
    expect(sqlite.pragma('foreign_key_check')).toEqual([])
    expect(sqlite.pragma('integrity_check', { simple: true })).toBe('ok')
    // opened again nothing is done twice
    expect(surveyOf(db).width).toBeGreaterThan(0)
  })

  test('undo walks back through revisions of that time, a save writes the version of now', async () => {
    const db = databaseOf1()
    const window = wallWindow(db, ids)
    const patterns: string[] = []
    for (let i = 0; i < 20; i += 1) {
      const before = window.saver.store.getState().history.undo?.change
      await window.saver.step('undo')
      if (window.saver.store.getState().history.undo?.change === before) break
      patterns.push(window.body('design').pattern)
    }
    // before the grid it stood in pine the job does not have, which is refused, as ever
    expect(window.saver.store.getState().note).toMatch(/material that is in use/)
    expect(patterns).toEqual(['grid', 'grid'])
    await window.saver.step('redo')
    await window.change('design', (design) => ({ ...design, own: { ...design.own, locked: true } }))
    expect(window.status()).toBe('saved')
    expect(wallWindow(db, ids).body('design')).toMatchObject({ version: 2, own: { locked: true } })
  })

  test('a body of before the update is taken as it means it', () => {
    const db = databaseOf1()
    const page = pageOfWall(db, ids)
    const stored = page && storedDocuments(db, page).find(({ kind }) => kind === 'design')
    if (!page || stored?.kind !== 'design') throw new Error('no wall')
    // version 1 knew none of what has come since
    const {
      boxes: _boxes,
      pattern: _pattern,
      schools: _schools,
      stand: _stand,
      unflat: _unflat,
      paint: _paint,
      lines: _lines,
      companions: _companions,
      joints: _joints,
      backer: _backer,
      tops: _tops,
      sides: _sides,
      smallPieces: _smallPieces,
      ...had
    } = inForce(stored.body)
    const answer = changePage(db, page, {
      intent: 'save',
      clashing: 'ask',
      token: 't',
      after: [],
      documents: [{ id: stored.id, base: stored.revision, body: { ...had, version: 1, pattern: 'slats' } }],
    })
    expect(answer).toMatchObject({ kind: 'done' })
    expect(wallWindow(db, ids).body('design').patterns.slats).toBeDefined()
  })

  test('a new wall in a job without the usual stuff starts from what the job has', () => {
    const db = databaseOf1()
    const wallId = createWall(db, { jobId: ids.jobId, roomName: 'Landing', name: 'Beside it' })
    const { wall, settings } = workpieceOf(wallPage(db, { jobId: ids.jobId, wallId })?.documents ?? [])
    const known = new Set(settings.materials.map(({ id }) => id))
    expect(known.has('pine-1x3')).toBe(false)
    expect(materialsOf(wall.design).filter(({ material }) => !known.has(material))).toEqual([])
    expect(computePlan({ wall, settings }).pieces.length).toBeGreaterThan(0)
  })
})
