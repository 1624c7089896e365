import { workpieceInRoom } from './rooms.server'
import { leftOfWall } from '~/core/yard/wallLeft'
import { inches, type Length } from '~/length'
import type { Database } from './db/database.server'
import { jobDetail } from './jobs.server'
import { STAND_IN } from './suppliers.server'
import { wallPage } from './walls.server'
import { addSupplier, bringList, recordYard, saveLength, stockOf } from './yard.server'

const LIST = [
  'code,material,length,price,least_order,state,there',
  'GL-1310,1x3 pine,10 ft,9.15,1,there,',
  'GL-1312,1x3 pine,12 ft,11.60,1,later,2027-01-18',
  'GL-1416,1x4 pine,16 ft,twenty,1,there,',
  'GL-0908,1x9 pine,8 ft,12.00,1,there,',
].join('\n')

/** The demo's yard: prices as its job took them but for two, boards on hand, a rack with history, a list that waits, a budget. */
export function addDemoYard(db: Database, jobId: string, cutWall: string): void {
  const job = jobDetail(db, jobId)
  const walls = job?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === cutWall)?.id
  const page = wallId ? wallPage(db, { jobId, wallId }) : null
  if (!wallId || !page) return
  const workpiece = workpieceInRoom(db, page.documents, page.room.id, page.id)
  const { offers } = workpiece.settings.shop
  addSupplier(db, { name: 'Gull Lane Lumber', address: null }, 'gull-lane')
  addSupplier(db, { name: 'Stand-in Lumber', address: STAND_IN }, STAND_IN)
  for (const kept of stockOf(db).lengths) {
    const taken = offers.find(({ material, length }) => material === kept.material && length === kept.length)
    if (!taken) continue
    // one is dearer since, and one turned out longer than it is sold
    const isDearer = kept.id === 'pine-1x4-12'
    const runsOver = kept.id === 'pine-1x3-8'
    saveLength(db, {
      ...kept,
      price: isDearer && taken.price !== null ? taken.price + 65 : taken.price,
      trueLength: runsOver ? inches(96.375) : null,
      supplier: kept.material.startsWith('pine') ? 'gull-lane' : STAND_IN,
      leastOrder: kept.material.startsWith('panel-') ? 2 : 1,
    })
  }
  bringList(db, 'gull-lane', LIST)
  const [first] = leftOfWall({ id: wallId, name: cutWall, workpiece, acts: [] }).pieces
  if (!first) return
  const start = Date.now() - 9 * 86_400_000
  let n = 0
  const act = (kind: string, more: object) => ({
    id: `demo-yard-${++n}`,
    kind,
    doneAt: start + n * 60_000,
    ...more,
  })
  const board = (length: Length) => ({ job: jobId, material: first.material, length })
  const whole = inches(96)
  recordYard(db, [
    act('counted', { material: 'pine-1x3', length: whole, count: 2 }),
    act('bought', { ...board(whole), count: 3, paid: 1_340 }),
    act('boardCut', {
      ...board(whole),
      from: 'bought',
      offcut: null,
      pieces: [{ id: first.id, length: first.length }],
      left: Math.max(0, whole - first.length),
    }),
    act('racked', { ...board(inches(33.25)), label: 'R1', of: `demo-yard-${n}` }),
    act('racked', { job: null, material: 'pine-1x3', length: inches(28.5), label: 'R2', of: null }),
    act('racked', { job: null, material: 'pine-1x4', length: inches(61.75), label: 'R3', of: null }),
    act('budget', { job: jobId, wall: null, sum: 132_000 }),
    act('wished', {
      job: jobId,
      longest: null,
      spares: { 'pine-1x3': 1 },
      rackFrom: inches(12),
    }),
  ])
}
