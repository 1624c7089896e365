import { inches } from '~/length'
import { type WallDocument, withDesign } from '~/model'
import { openDatabase } from './db/database.server'
import { createJob, jobDetail } from './jobs.server'
import { changeRoom, roomPage, wallsBeside } from './rooms.server'
import { archiveWall, createWall, stepWall, wallPage } from './walls.server'

function freshRoom(names: readonly string[]) {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Annex', client: '', units: 'inches', tape: '1/16' })
  const wallIds = names.map((name) => createWall(db, { jobId, roomName: 'Study', name }))
  const roomId = jobDetail(db, jobId)?.rooms[0]?.id ?? ''
  const ids = { jobId, roomId }
  const page = () => {
    const found = roomPage(db, ids)
    if (!found) throw new Error('no room')
    return found
  }
  const save = (change: (wall: WallDocument, i: number) => WallDocument) =>
    changeRoom(db, ids, {
      intent: 'save',
      walls: page().walls.map(({ id, wall, revision }, i) => ({ id, base: revision, wall: change(wall, i) })),
    })
  const widths = () => page().walls.map(({ wall }) => wall.survey.width)
  return { db, ids, jobId, wallIds, page, save, widths }
}

const wider = (by: number) => (wall: WallDocument) => ({
  ...wall,
  survey: { ...wall.survey, width: inches(120 + by) },
})

describe('rooms', () => {
  test('a room shows its walls in order, those put away left out', () => {
    const { db, wallIds, page } = freshRoom(['East', 'South', 'West'])
    expect(page().walls.map(({ name }) => name)).toEqual(['East', 'South', 'West'])
    archiveWall(db, wallIds[1] ?? '', true)
    expect(page().walls.map(({ name }) => name)).toEqual(['East', 'West'])
  })

  test('walls saved together are one change: undone and redone whole, from the room or from one wall', () => {
    const { db, ids, jobId, wallIds, save, widths } = freshRoom(['East', 'South'])
    expect(save(wider(7))?.kind).toBe('saved')
    expect(widths()).toEqual([inches(127), inches(127)])
    expect(changeRoom(db, ids, { intent: 'undo' })?.kind).toBe('saved')
    expect(widths()).toEqual([inches(120), inches(120)])
    changeRoom(db, ids, { intent: 'redo' })
    expect(widths()).toEqual([inches(127), inches(127)])
    // from one of its walls the other goes back as well
    stepWall(db, { jobId, wallId: wallIds[0] ?? '' }, 'undo')
    expect(widths()).toEqual([inches(120), inches(120)])
  })

  test('a wall changed elsewhere in between is a conflict, and nothing is saved', () => {
    const { db, ids, page, save, widths } = freshRoom(['East', 'South'])
    const before = page().walls
    save((wall, i) => (i === 0 ? wider(3)(wall) : wall))
    const late = changeRoom(db, ids, {
      intent: 'save',
      walls: before.map(({ id, wall, revision }) => ({ id, base: revision, wall: wider(9)(wall) })),
    })
    expect(late?.kind).toBe('conflict')
    expect(widths()).toEqual([inches(123), inches(120)])
  })

  test('what cannot be stored is refused with its path; an unknown material by its name', () => {
    const { db, ids, save } = freshRoom(['East'])
    expect(changeRoom(db, ids, { intent: 'save', walls: [{ id: 'x' }] })).toMatchObject({ kind: 'refused' })
    expect(changeRoom(db, ids, null)).toMatchObject({ kind: 'refused' })
    const oak = save((wall) => ({ ...wall, design: withDesign(wall.design, { battenMaterial: 'oak' }) }))
    expect(oak).toEqual({ kind: 'refused', problems: [expect.stringContaining('"oak"')] })
    expect(changeRoom(db, { ...ids, roomId: 'nowhere' }, { intent: 'undo' })).toBeNull()
  })

  test('the walls beside a wall: round the room from three on, one corner between two, none alone', () => {
    const three = freshRoom(['East', 'South', 'West'])
    const besideOf = ({ db, ids, wallIds }: ReturnType<typeof freshRoom>, i: number) => {
      const { left, right } = wallsBeside(db, ids.roomId, wallIds[i] ?? '')
      return [left?.name ?? null, right?.name ?? null]
    }
    expect([0, 1, 2].map((i) => besideOf(three, i))).toEqual([
      ['West', 'South'],
      ['East', 'West'],
      ['South', 'East'],
    ])
    const two = freshRoom(['East', 'South'])
    expect([0, 1].map((i) => besideOf(two, i))).toEqual([
      [null, 'South'],
      ['East', null],
    ])
    expect(besideOf(freshRoom(['East']), 0)).toEqual([null, null])
  })

  test('a wall page still has its own history after a room’s change', () => {
    const { db, jobId, wallIds, save } = freshRoom(['East', 'South'])
    save(wider(5))
    expect(wallPage(db, { jobId, wallId: wallIds[1] ?? '' })?.history).toEqual({
      canUndo: true,
      canRedo: false,
    })
  })
})
