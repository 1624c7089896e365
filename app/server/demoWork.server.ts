import { atMinute, DAY, dayOf } from '~/core/sequence/dates'
import { cautionsOfKind } from '~/core/sequence/kindRules'
import { BUY_ID, taskId } from '~/core/sequence/roomMaker'
import type { JobFile } from '~/model'
import { recordOwnActs } from './acts.server'
import type { Database } from './db/database.server'
import { jobDetail } from './jobs.server'
import { localMinute, recordWork } from './work.server'
import { recordYard } from './yard.server'

const ROOM = 'Back bedroom'
const FINISHED = 'Chimney breast'

/** The demo's plan counts from today: its first day, a day off, what comes by truck. */
export function withDemoDays(file: JobFile, now: number): JobFile {
  const today = Math.floor(localMinute(new Date(now)) / DAY)
  const { settings } = file
  const { work } = settings
  return {
    ...file,
    settings: {
      ...settings,
      work: {
        ...work,
        days: {
          ...work.days,
          start: dayOf(today + 1),
          off: [dayOf(today + 6)],
          wishedEnd: dayOf(today + 120),
        },
        deliveries: [
          { id: 'late-rail', name: 'Rail boards, back-ordered', on: dayOf(today + 3), for: BUY_ID },
        ],
      },
    },
  }
}

/** What happened in the demo: a room protected, trim taken off, sanding that takes longer, half a tube on hand, a wall half finished. */
export function addDemoWork(db: Database, jobId: string): void {
  const job = jobDetail(db, jobId)
  const room = job?.rooms.find(({ name }) => name === ROOM)
  const wall = job?.rooms.flatMap(({ walls }) => walls).find(({ name }) => name === FINISHED)
  if (!room || !wall) return
  const start = Date.now() - 2 * 86_400_000
  const day = Math.floor(localMinute(new Date(start)) / DAY) * DAY
  let n = 0
  const act = (kind: string, more: object) => ({
    id: `demo-work-${++n}`,
    kind,
    doneAt: start + n * 60_000,
    ...more,
  })
  const done = (['protect', 'remove'] as const).map((kind) => taskId('room', room.id, kind))
  const seen = new Set(done.flatMap(cautionsOfKind))
  recordWork(db, jobId, [
    ...[...seen].map((caution) => act('cautionSeen', { caution })),
    ...done.map((task, i) => act('taskDone', { task, at: atMinute(day + 1_080 + i * 40) })),
    act('takesLonger', { task: taskId('room', room.id, 'prepare'), minutes: 400 }),
  ])
  recordYard(db, [
    { id: 'demo-supply-1', kind: 'supplyCounted', doneAt: start, product: 'caulk', size: 10.1, count: 1.5 },
    {
      id: 'demo-supply-2',
      kind: 'supplyBought',
      doneAt: start + 1,
      job: jobId,
      product: 'primer',
      size: 128,
      count: 1,
      paid: 2_795,
    },
  ])
  const ticks = [
    ['nailer', ''],
    ['nails', 'three stood proud by the left corner'],
    ['holes', ''],
  ] as const
  recordOwnActs(
    db,
    { jobId, wallId: wall.id },
    ticks.map(([item, note], i) => ({
      id: `demo-finish-${i}`,
      kind: 'finishDone',
      item,
      note,
      doneAt: start + i,
    })),
  )
}
