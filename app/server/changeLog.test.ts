import { inches } from '~/length'
import { openWindow } from '../../tests/windows'
import { changesOf, lookAt, pageOfHistory, restoreTo } from './changeLog.server'
import { addMember } from './crew/members.server'
import { type Database, openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { changePage } from './pageChanges.server'
import { pageOfWall, storedDocuments } from './pages.server'
import type { LayoutPlanner } from './planning/layoutWords.server'
import { createWall } from './walls.server'

function house() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'J', client: '', units: 'inches', tape: '1/16' })
  const wallId = createWall(db, { jobId, roomName: 'R', name: 'North' })
  const other = createWall(db, { jobId, roomName: 'R', name: 'East' })
  const page = () => pageOfWall(db, { jobId, wallId })
  const window = openWindow(db, page)
  const widen = (to: number) => window.change('survey', (survey) => ({ ...survey, width: inches(to) }))
  const now = () =>
    storedDocuments(db, page()!).find(({ kind }) => kind === 'survey')?.body as { width: number }
  const all = (wall: string | undefined = wallId) => pageOfHistory(db, { jobId, wallId: wall })!
  return { db, jobId, wallId, other, window, widen, now, all }
}

/** Says what it was asked to plan, without planning. */
const asked: { width: number }[] = []
const saysWidth = {
  wordsOf: ({ workpiece }: Parameters<LayoutPlanner['wordsOf']>[0]) => {
    asked.push(workpiece.wall.survey)
    return Promise.resolve({
      kind: 'said' as const,
      words: String(workpiece.wall.survey.width),
      picture: '',
      wrong: 0,
      open: 0,
    })
  },
  knownWords: () => null,
} as unknown as LayoutPlanner

async function signed(db: Database, ids: { jobId: string; wallId: string }, width: number) {
  const added = await addMember(db, 'Ida', 'green field ladder')
  const page = pageOfWall(db, ids)!
  const documents = storedDocuments(db, page).map(({ id, revision, kind, body }) =>
    kind === 'survey' ? { id, base: revision, body: { ...body, width } } : { id, base: revision },
  )
  changePage(
    db,
    page,
    { intent: 'save', clashing: 'ask', token: 'x', after: [], documents },
    added.ok ? added.value : null,
  )
}

describe('what was changed of a wall and of a job', () => {
  test('is told by whom and when, the newest first; what was made is no change', async () => {
    const { db, jobId, wallId, other, widen, all } = house()
    expect(changesOf(db, all())).toEqual([])
    await widen(124)
    await signed(db, { jobId, wallId }, inches(130))
    const told = changesOf(db, all())
    expect(told.map(({ who, parts, walls, how }) => [who, parts, walls, how])).toEqual([
      ['Ida', ['survey.width'], ['North'], 'done'],
      [null, ['survey.width'], ['North'], 'done'],
      [null, [], ['North'], 'made'],
    ])
    expect(told[0]!.at).toBeGreaterThanOrEqual(told[1]!.at)
    expect(changesOf(db, pageOfHistory(db, { jobId })!)).toEqual(told.slice(0, 2))
    expect(changesOf(db, all(other))).toEqual([])
    expect(pageOfHistory(db, { jobId: 'nobody' })).toBeNull()
  })

  test('a step back is told beside what it took back', async () => {
    const { db, widen, window, all } = house()
    await widen(124)
    await window.saver.step('undo')
    expect(changesOf(db, all()).map(({ how }) => how)).toEqual(['step', 'undone', 'made'])
  })

  test('a wall is looked at as it was, and brought back to it as a change that can be undone', async () => {
    const { db, jobId, widen, now, all, window } = house()
    for (const width of [124, 130, 140]) await widen(width)
    const [, middle] = changesOf(db, all())
    asked.length = 0
    const then = await lookAt(db, all(), middle!.change, saysWidth)
    expect(then).toMatchObject({ walls: [{ name: 'North', words: `130 × 96, ${inches(130)}` }], more: 0 })
    expect(asked).toHaveLength(1)
    expect(now().width).toBe(inches(140))
    expect(restoreTo(db, all(), middle!.change, null)).toBeNull()
    expect(now().width).toBe(inches(130))
    const first = changesOf(db, all()).at(-1)!
    expect((await lookAt(db, all(), first.change, saysWidth)).walls[0]?.words).toMatch(/^120 × 96/)
    // the window that is open has it too, and takes it back
    await window.saver.check()
    expect(window.body('survey').width).toBe(inches(130))
    await window.saver.step('undo')
    expect([window.body('survey').width, now().width]).toEqual([inches(140), inches(140)])
    // of a job what is as it was then is left out, and brought back it stays as it is
    const whole = pageOfHistory(db, { jobId })!
    const last = changesOf(db, whole).find(({ how }) => how === 'done')!
    expect((await lookAt(db, whole, middle!.change, saysWidth)).walls).toMatchObject([{ name: 'North' }])
    expect(restoreTo(db, whole, last.change, null)).toBeNull()
    expect(now().width).toBe(inches(140))
    expect(restoreTo(db, whole, middle!.change, null)).toBeNull()
    expect(now().width).toBe(inches(130))
  })
})
