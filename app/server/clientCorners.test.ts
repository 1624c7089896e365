import { wallWindow } from '../../tests/windows'
import { computePlan } from '~/core/computePlan'
import { inches } from '~/length'
import { withDesign, type Workpiece } from '~/model'
import { makeLink, recordClientAct } from './clientLinks.server'
import { openLink } from './clientPage.server'
import { openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { workpieceInRoom } from './rooms.server'
import { sign, signatureOf } from './signatures.server'
import { createWall, wallPage } from './walls.server'

test('a wall is drawn, priced and signed with what its rails meet in the corners, as the crew sees it', async () => {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Weir end', client: 'The Odells', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'North wall' }) }
  const next = { jobId, wallId: createWall(db, { jobId, roomName: 'Study', name: 'East wall' }) }
  for (const [wall, ends] of [
    [ids, { left: 'run', right: 'against' }],
    [next, { left: 'run', right: 'run' }],
  ] as const)
    await wallWindow(db, wall).change('design', (design) => withDesign(design, { corners: ends }))
  // the rails of the wall beside it lie lower: the top rail meets none
  const asFirst = wallWindow(db, next).body('design')
  await wallWindow(db, next).change('design', (design) =>
    withDesign(design, { height: { rule: 'typed', value: inches(33) } }),
  )
  const piecesOf = (workpiece: Workpiece) =>
    computePlan(workpiece).pieces.map(({ id, polygon }) => ({ id, polygon }))
  const crew = () => {
    const page = wallPage(db, ids)
    if (!page) throw new Error('no wall')
    return piecesOf(workpieceInRoom(db, page.documents, page.room.id, ids.wallId))
  }
  const body = { words: '', parts: [], walls: [{ wallId: ids.wallId, options: [ids.wallId] }] }
  const link = makeLink(db, jobId, body, 7, 1_000)
  const client = () => {
    const opened = openLink(db, link.token, 2_000)
    const [wall] = opened.kind === 'open' ? opened.page.walls : []
    const [option] = wall?.options ?? []
    if (opened.kind !== 'open' || !wall || !option) throw new Error('no page')
    const { settings } = opened.page
    const { survey } = wall
    return {
      met: piecesOf({ wall: { survey, design: option.design }, settings, beside: option.beside }),
      alone: piecesOf({ wall: { survey, design: option.design }, settings }),
    }
  }
  expect(client().met).toEqual(crew())
  expect(client().met).not.toEqual(client().alone)
  recordClientAct(db, link, { kind: 'picked', wall: ids.wallId, option: ids.wallId }, 8)
  const line = [
    [
      [0.1, 0.2],
      [0.3, 0.4],
    ],
  ]
  expect(sign(db, link, { name: 'N. Odell', line, ticks: [] }, 9)).toEqual({ ok: true })
  const signed = client().met
  // the wall beside it is changed: what was signed stays as it was
  await wallWindow(db, next).change('design', () => asFirst)
  expect(client().met).toEqual(signed)
  expect(crew()).not.toEqual(signed)
  expect(signatureOf(db, link.id)?.whole).toBe(true)
})
