import { inches } from '~/length'
import { wallWindow } from '../../tests/windows'
import { actsOf, cutWalls, recordActs } from './acts.server'
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
    expect(actsOf(db, ids.wallId)).toMatchObject([act, later])
  })

  test('stay when the design is taken back', async () => {
    const { db, ids } = freshWall()
    const window = wallWindow(db, ids)
    await window.change('survey', (survey) => ({ ...survey, width: inches(99) }))
    recordActs(db, ids, [act])
    await window.saver.step('undo')
    expect(window.body('survey').width).toBe(inches(120))
    expect(actsOf(db, ids.wallId)).toMatchObject([act])
  })

  test('a list at the saw is kept whole; the wall is cut when all of it is, said or ticked', () => {
    const { db, ids } = freshWall()
    const list = {
      id: 'list-0001',
      kind: 'released' as const,
      doneAt: 3000,
      revisions: [1, 1, 1],
      pieces: ['A1', 'A2'].map((name) => ({
        name,
        pieceId: `batten-${name}`,
        stripId: 'batten-1',
        role: 'batten',
        number: 1,
        part: null,
        materialId: 'pine-1x3',
        directionDeg: 90,
        faceWidth: inches(2.5),
        cutLength: inches(40),
        longLength: inches(40),
        shortLength: inches(40),
        start: { kind: 'square' as const },
        end: { kind: 'miter' as const, sawSettingDeg: 22.5, longEdge: 'left' as const },
        notches: [],
        laps: [],
        advice: { advice: 'batch' as const, why: 'betweenStrips' as const, spread: inches(0) },
        ripTo: null,
        after: [],
      })),
    }
    const tick = (id: string, piece: string) => ({
      id,
      kind: 'pieceCut',
      release: list.id,
      piece,
      doneAt: 4000,
    })
    expect(recordActs(db, ids, [list, tick('tick-0001', 'A1')])).toBe(true)
    expect(actsOf(db, ids.wallId)[0]).toMatchObject(list)
    expect(cutWalls(db, [ids.wallId]).size).toBe(0)
    recordActs(db, ids, [tick('tick-0002', 'A2')])
    expect([...cutWalls(db, [ids.wallId])]).toEqual([ids.wallId])
    recordActs(db, ids, [{ ...tick('tick-0003', 'A2'), kind: 'pieceUncut', doneAt: 5000 }])
    expect(cutWalls(db, [ids.wallId]).size).toBe(0)
    expect(recordActs(db, ids, [{ ...tick('tick-0004', 'A2'), kind: 'readTrue', length: 'long' }])).toBe(
      false,
    )
  })

  test('that can’t be read, or are of no wall, are refused and nothing is kept', () => {
    const { db, ids } = freshWall()
    for (const posted of [null, [], {}, [{ ...act, kind: 'painted' }], [act, { ...act, left: '31' }]])
      expect(recordActs(db, ids, posted)).toBe(false)
    expect(recordActs(db, { ...ids, jobId: 'other' }, [act])).toBe(false)
    expect(actsOf(db, ids.wallId)).toEqual([])
  })
})
