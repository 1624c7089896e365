import { inches } from '~/length'
import { wallWindow } from '../../tests/windows'
import { actsOf, recordActs } from './acts.server'
import { openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { createWall } from './walls.server'

function freshWall() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Loft', client: '', units: 'inches', tape: '1/16' })
  return { db, ids: { jobId, wallId: createWall(db, { jobId, roomName: 'Loft', name: 'Knee wall' }) } }
}
const act = { id: 'act-0001', kind: 'marked', strip: 'batten-2', left: inches(31), doneAt: 1000 } as const

describe('acts', () => {
  test('are kept once however often they are sent, oldest first', () => {
    const { db, ids } = freshWall()
    const later = { ...act, id: 'act-0002', kind: 'unmarked', doneAt: 2000 } as const
    expect(recordActs(db, ids, [later, act])).toBe(true)
    expect(recordActs(db, ids, [act])).toBe(true)
    expect(recordActs(db, ids, [{ ...act, strip: 'another' }])).toBe(true)
    expect(actsOf(db, ids.wallId)).toEqual([act, later])
  })

  test('stay when the design is taken back', async () => {
    const { db, ids } = freshWall()
    const window = wallWindow(db, ids)
    await window.change('survey', (survey) => ({ ...survey, width: inches(99) }))
    recordActs(db, ids, [act])
    await window.saver.step('undo')
    expect(window.body('survey').width).toBe(inches(120))
    expect(actsOf(db, ids.wallId)).toEqual([act])
  })

  test('that can’t be read, or are of no wall, are refused and nothing is kept', () => {
    const { db, ids } = freshWall()
    for (const posted of [null, [], {}, [{ ...act, kind: 'painted' }], [act, { ...act, left: '31' }]])
      expect(recordActs(db, ids, posted)).toBe(false)
    expect(recordActs(db, { ...ids, jobId: 'other' }, [act])).toBe(false)
    expect(actsOf(db, ids.wallId)).toEqual([])
  })
})
