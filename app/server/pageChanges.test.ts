import { eq } from 'drizzle-orm'
import { inches } from '~/length'
import { stepName } from '~/messages'
import { inForce, type Settings, startingDesign, type Survey, withDesign } from '~/model'
import { openWindow, roomWindow, type Window, wallWindow } from '../../tests/windows'
import { openDatabase } from './db/database.server'
import { revisions } from './db/schema.server'
import { createJob, jobDetail } from './jobs.server'
import { changePage } from './pageChanges.server'
import { pageOfWall, storedDocuments } from './pages.server'
import { roomPage, wallsBeside } from './rooms.server'
import { archiveWall, createWall, wallPage } from './walls.server'

function freshRoom(...names: string[]) {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Annex', client: '', units: 'inches', tape: '1/16' })
  const wallIds = names.map((name) => createWall(db, { jobId, roomName: 'Study', name }))
  const roomId = jobDetail(db, jobId)?.rooms[0]?.id ?? ''
  const ids = { jobId, roomId }
  const wall = (i = 0, more?: Parameters<typeof wallWindow>[2]) =>
    wallWindow(db, { jobId, wallId: wallIds[i] ?? '' }, more)
  /** What is stored now, as a window opened just now shows it. */
  const width = (i = 0) => wall(i).body('survey').width / inches(1)
  return { db, jobId, roomId, ids, wallIds, wall, width, room: () => roomWindow(db, ids) }
}

const wide = (width: number) => (survey: Survey) => ({ ...survey, width: inches(width) })
const high = (height: number) => (survey: Survey) => ({ ...survey, height: inches(height) })
const lath = { id: 'lath', nominal: 'lath', name: '', width: inches(1.5), thickness: inches(0.25) }
const withLath = (settings: Settings) => ({ ...settings, materials: [...settings.materials, lath] })
const undoOf = (window: Window) => stepName('undo', window.saver.store.getState().history.undo, null)
const noteOf = (window: Window) => window.saver.store.getState().note

describe('saving', () => {
  test('appends, and undo and redo step through what was saved', async () => {
    const { wall, width } = freshRoom('East')
    const window = wall()
    for (const at of [150, 151]) await window.change('survey', wide(at))
    expect(width()).toBe(151)
    await window.saver.step('undo')
    expect(width()).toBe(150)
    await window.saver.step('undo')
    expect(width()).toBe(120)
    expect(window.saver.store.getState().history.undo).toBeNull()
    await window.saver.step('redo')
    expect([width(), window.body('survey').width]).toEqual([150, inches(150)])
    // a window opened later steps on from there
    const later = wall()
    await later.saver.step('redo')
    expect(width()).toBe(151)
  })

  test('a new change after an undo ends what could be redone, also when that one is undone', async () => {
    const { wall, width } = freshRoom('East')
    const window = wall()
    await window.change('survey', wide(130))
    await window.change('survey', wide(140))
    await window.saver.step('undo')
    await window.change('survey', wide(170))
    expect(wall().saver.store.getState().history.redo).toBeNull()
    await window.saver.step('undo')
    expect(width()).toBe(130)
    await window.saver.step('redo')
    expect(width()).toBe(170)
  })

  test('a save that changes nothing adds no revision', async () => {
    const { db, wall } = freshRoom('East')
    const before = db.select().from(revisions).all().length
    await wall().change('survey', wide(120))
    expect(db.select().from(revisions).all()).toHaveLength(before)
  })

  test('what was saved together is taken back together', async () => {
    const { wall } = freshRoom('East')
    const window = wall()
    const start = [window.body('design'), window.body('settings')]
    window.put('settings', withLath)
    await window.change('design', (design) => withDesign(design, { battenMaterial: 'lath' }))
    expect(undoOf(window)).toBe('Undo: material and list of materials on East')
    await window.saver.step('undo')
    const opened = wall()
    expect([opened.body('design'), opened.body('settings')]).toEqual(start)
    await opened.saver.step('redo')
    expect(inForce(wall().body('design')).battenMaterial).toBe('lath')
  })

  test('what the schema can’t hold is refused with its path, an unknown material by its name, a strange page by what to do', () => {
    const { db, jobId, wallIds } = freshRoom('East')
    const page = pageOfWall(db, { jobId, wallId: wallIds[0] ?? '' })
    if (!page) throw new Error('no page')
    const [survey, design] = storedDocuments(db, page)
    if (survey?.kind !== 'survey' || design?.kind !== 'design') throw new Error('no wall')
    const save = ({ id, revision }: { id: string; revision: number }, body: unknown) =>
      changePage(db, page, {
        intent: 'save',
        clashing: 'ask',
        token: 't',
        after: [],
        documents: [{ id, base: revision, body }],
      })
    expect(save(survey, { ...survey.body, width: -1 })).toEqual({
      kind: 'refused',
      problems: [expect.stringMatching(/^East\.survey\.width: .*zero/)],
    })
    expect(save(design, withDesign(startingDesign(), { battenMaterial: 'oak' }))).toEqual({
      kind: 'refused',
      problems: [expect.stringContaining('"oak"')],
    })
    expect(save({ ...survey, id: 'elsewhere' }, survey.body)).toMatchObject({ kind: 'refused' })
    expect(changePage(db, page, null)).toMatchObject({ kind: 'refused' })
    // what a page of before two documents sends
    const old = { intent: 'save', base: { wall: 1, settings: 1 }, wall: {}, settings: {}, overwrite: false }
    expect(changePage(db, page, old)).toEqual({
      kind: 'refused',
      problems: [expect.stringContaining('load it again')],
    })
    expect(storedDocuments(db, page)[0]).toEqual(survey)
    expect(wallPage(db, { jobId, wallId: wallIds[0] ?? '' })?.history.undo).toBeNull()
  })
})

describe('two windows', () => {
  test('changes that do not touch are both kept, and each window has both', async () => {
    const { wall, width } = freshRoom('East')
    const [one, other] = [wall(), wall()]
    await one.change('survey', wide(150))
    await other.change('survey', high(101))
    expect(width()).toBe(150)
    expect(other.body('survey')).toMatchObject({ width: inches(150), height: inches(101) })
    await one.change('settings', withLath)
    expect(one.body('survey').height).toBe(inches(101))
  })

  test('where they touch it is asked: what is here stands, or the other’s, and what did not touch is kept of both', async () => {
    const clash = async () => {
      const { wall, width } = freshRoom('East')
      const [one, other] = [wall(), wall()]
      await one.change('survey', (survey) => high(99)(wide(150)(survey)))
      other.put('settings', withLath)
      await other.change('survey', wide(160))
      expect(other.status()).toBe('clash')
      expect(width()).toBe(150)
      // nothing more is sent, and nothing is stepped, until it is settled
      await other.saver.flush()
      await other.saver.step('undo')
      expect([other.status(), width()]).toEqual(['clash', 150])
      return { other, wall, width }
    }
    const mine = await clash()
    await mine.other.saver.settle('mine')
    expect([mine.other.status(), mine.width()]).toEqual(['saved', 160])
    expect(mine.wall().body('survey').height).toBe(inches(99))
    const theirs = await clash()
    await theirs.other.saver.settle('theirs')
    expect([theirs.other.status(), theirs.width()]).toEqual(['saved', 150])
    expect(theirs.other.body('survey').width).toBe(inches(150))
    expect(theirs.wall().body('settings').materials).toContainEqual(lath)
  })

  test('“keep what is here” never takes away what another wall is made of', async () => {
    const { wall } = freshRoom('East', 'South')
    const [stale, other] = [wall(0), wall(1)]
    other.put('settings', withLath)
    await other.change('design', (design) => withDesign(design, { battenMaterial: 'lath' }))
    await wall(0).change('survey', wide(150))
    await stale.change('survey', wide(160))
    expect(stale.status()).toBe('clash')
    await stale.saver.settle('mine')
    expect(stale.status()).toBe('saved')
    expect(wall(1).body('settings').materials).toContainEqual(lath)
    // asked for outright it is refused, and says where
    await stale.change('settings', (settings) => ({
      ...settings,
      materials: settings.materials.filter(({ id }) => id !== 'lath'),
    }))
    expect(stale.saver.store.getState().status).toMatchObject({
      kind: 'failed',
      why: expect.stringMatching(/South.*"lath"/),
    })
  })

  test('a wall that has long been without its material keeps no other wall from being saved', async () => {
    const { db, wall, width } = freshRoom('East', 'South')
    // as an older version could leave it
    db.update(revisions)
      .set({ body: JSON.stringify(withDesign(wall(1).body('design'), { battenMaterial: 'gone' })) })
      .where(eq(revisions.id, wall(1).saver.store.getState().held[1]?.revision ?? 0))
      .run()
    const east = wall(0)
    await east.change('design', (design) => withDesign(design, { locked: true }))
    await east.change('settings', withLath)
    await east.change('survey', wide(141))
    expect([east.status(), width()]).toEqual(['saved', 141])
    const south = wall(1)
    await south.change('design', (design) => withDesign(design, { locked: true }))
    expect(south.status()).toBe('saved')
    await south.change('design', (design) => withDesign(design, { battenMaterial: 'lath' }))
    expect(south.status()).toBe('saved')
  })

  test('undo pressed for one change does not take back another window’s', async () => {
    const { wall, width } = freshRoom('East')
    const one = wall()
    await one.change('survey', wide(130))
    await wall().change('survey', wide(155))
    await one.saver.step('undo')
    expect(width()).toBe(155)
    expect(noteOf(one)).toMatch(/Another window/)
    expect(one.body('survey').width).toBe(inches(155))
    await one.saver.step('undo')
    expect(width()).toBe(130)
  })
})

describe('undo', () => {
  test('steps back what was done on the wall, by name, and nothing of another wall’s', async () => {
    const { wall } = freshRoom('East', 'South')
    const [east, south] = [wall(0), wall(1)]
    await east.change('settings', withLath)
    expect(wall(1).saver.store.getState().history.undo).toBeNull()
    await south.change('survey', wide(144))
    expect(stepName('undo', south.saver.store.getState().history.undo, 'South')).toBe('Undo: wall width')
    await south.change('design', (design) => withDesign(design, { locked: true, proud: 'ledger' }))
    expect(stepName('undo', south.saver.store.getState().history.undo, 'South')).toBe(
      'Undo: thicker battens and lock',
    )
    await south.saver.step('undo')
    await south.saver.step('undo')
    await south.saver.step('undo')
    expect(wall(0).body('settings').materials).toContainEqual(lath)
    // settings are taken back where they were made, whatever was done on other walls since
    expect(undoOf(wall(0))).toBe('Undo: list of materials')
    await wall(0).saver.step('undo')
    expect(wall(0).body('settings').materials).not.toContainEqual(lath)
  })

  test('settings changed again elsewhere since: the rest of them stays, the same thing is refused', async () => {
    const { wall } = freshRoom('East', 'South')
    const [east, south] = [wall(0), wall(1)]
    await east.change('settings', (settings) => ({ ...settings, fit: inches(1 / 8) }))
    await south.change('settings', (settings) => ({ ...settings, caulk: inches(1 / 4) }))
    await east.saver.step('undo')
    expect(wall(1).body('settings')).toMatchObject({ fit: inches(1 / 16), caulk: inches(1 / 4) })
    await east.saver.step('redo')
    await south.change('settings', (settings) => ({ ...settings, fit: inches(3 / 16) }))
    await east.saver.step('undo')
    expect(noteOf(east)).toMatch(/changed again since/)
    expect(wall(1).body('settings').fit).toBe(inches(3 / 16))
  })

  test('settings changed again elsewhere do not keep the wall they were changed with from being stepped', async () => {
    const { wall } = freshRoom('East', 'South')
    const east = wall(0)
    east.put('settings', (settings) => ({ ...settings, fit: inches(1 / 8) }))
    await east.change('survey', wide(140))
    await wall(1).change('settings', (settings) => ({ ...settings, fit: inches(3 / 16) }))
    await east.saver.step('undo')
    expect(noteOf(east)).toMatch(/settings were changed again since/)
    expect(east.body('survey').width).toBe(inches(120))
    expect(wall(0).body('settings').fit).toBe(inches(3 / 16))
  })

  test('a material another wall is made of is not taken away', async () => {
    const { wall } = freshRoom('North', 'Dormer')
    const [north, dormer] = [wall(0), wall(1)]
    await north.change('settings', withLath)
    await dormer.change('survey', wide(99))
    await dormer.change('design', (design) => withDesign(design, { battenMaterial: 'lath' }))
    await north.saver.step('undo')
    expect(noteOf(north)).toMatch(/in use on: Dormer/)
    expect(wall(0).body('settings').materials).toContainEqual(lath)
  })
})

describe('rooms', () => {
  test('a room shows its walls in order, those put away left out', () => {
    const { db, ids, wallIds } = freshRoom('East', 'South', 'West')
    const names = () => roomPage(db, ids)?.walls.map(({ name }) => name)
    expect(names()).toEqual(['East', 'South', 'West'])
    archiveWall(db, wallIds[1] ?? '', true)
    expect(names()).toEqual(['East', 'West'])
    expect(roomPage(db, { ...ids, roomId: 'nowhere' })).toBeNull()
  })

  test('walls saved together are one change: undone and redone whole, from the room or from one wall', async () => {
    const { room, wall, width } = freshRoom('East', 'South')
    const both = () => [width(0), width(1)]
    const window = room()
    window.put('survey', wide(127), 0)
    await window.change('survey', wide(128), 1)
    expect(both()).toEqual([127, 128])
    expect(undoOf(window)).toBe('Undo: wall width on East and South')
    await window.saver.step('undo')
    expect(both()).toEqual([120, 120])
    await window.saver.step('redo')
    expect(both()).toEqual([127, 128])
    // from one of its walls the other goes back as well, and the button said so
    const east = wall(0)
    expect(stepName('undo', east.saver.store.getState().history.undo, 'East')).toMatch(/on East and South/)
    await east.saver.step('undo')
    expect(both()).toEqual([120, 120])
  })

  test('two quick presses are two changes, not a clash with oneself', async () => {
    const { room, width } = freshRoom('East', 'South')
    const window = room()
    const first = window.change('survey', wide(131), 0)
    const second = window.change('survey', wide(132), 0)
    await Promise.all([first, second])
    expect([window.status(), width(0)]).toEqual(['saved', 132])
  })

  test('a wall put away meanwhile: the page is told to load again, nothing is saved', async () => {
    const { db, ids, room, wallIds } = freshRoom('East', 'South')
    const window = room()
    archiveWall(db, wallIds[1] ?? '', true)
    await window.change('survey', wide(131), 0)
    expect(window.saver.store.getState().status).toMatchObject({
      why: expect.stringMatching(/load it again/),
    })
    expect(() => openWindow(db, () => null)).toThrow()
    expect(roomPage(db, ids)?.history.undo).toBeNull()
  })

  test('the walls beside a wall: round the room from three on, one corner between two, none alone', () => {
    const besideOf = ({ db, ids, wallIds }: ReturnType<typeof freshRoom>, i: number) => {
      const { left, right } = wallsBeside(db, ids.roomId, wallIds[i] ?? '')
      return [left?.name ?? null, right?.name ?? null]
    }
    const three = freshRoom('East', 'South', 'West')
    expect([0, 1, 2].map((i) => besideOf(three, i))).toEqual([
      ['West', 'South'],
      ['East', 'West'],
      ['South', 'East'],
    ])
    const two = freshRoom('East', 'South')
    expect([0, 1].map((i) => besideOf(two, i))).toEqual([
      [null, 'South'],
      ['East', null],
    ])
    expect(besideOf(freshRoom('East'), 0)).toEqual([null, null])
  })
})
