import { workpieceInRoom } from './rooms.server'
import { builtWall } from '~/core/asbuilt/built'
import { readableBands } from '~/core/asbuilt/builtUp'
import { freezeList } from '~/core/asbuilt/freeze'
import { releaseOf } from '~/core/asbuilt/release'
import { computePlan } from '~/core/computePlan'
import { boardOf, boardsNear } from '~/core/cutting/leftToCut'
import { toRelease } from '~/core/cutting/toRelease'
import { fitOrder } from '~/core/fit/fitWalk'
import { taskId } from '~/core/sequence/roomMaker'
import { boundsOf } from '~/core/geometry'
import { inches } from '~/length'
import { type JobFile, type LearnedKey, madeFrom } from '~/model'
import { actsOf, recordOwnActs } from './acts.server'
import type { Database } from './db/database.server'
import { archiveJob, importJob, jobDetail } from './jobs.server'
import { recordWork } from './work.server'
import { wallPage } from './walls.server'
import { recordYard } from './yard.server'

const DAY_MS = 86_400_000
/** Jobs that were done before, and how long ago. */
const BEFORE = [
  { id: 'demo-plover', name: 'Plover Row', daysAgo: 410 },
  { id: 'demo-heron', name: 'Heron Yard', daysAgo: 95 },
] as const

/** Times of those jobs: the rate, what was done, in how many minutes; each job in turn. One fitting took a day of waiting. */
const TIMES: readonly (readonly [LearnedKey, number, number])[] = [
  ['markOne', 22, 26],
  ['markOne', 14, 15],
  ['cutOne', 31, 70],
  ['cutOne', 18, 38],
  ['cutOne', 24, 49],
  ['fitOne', 26, 140],
  ['fitOne', 19, 96],
  ['fitOne', 31, 171],
  ['fitOne', 12, 61],
  ['fitOne', 9, 410],
  ['sandBoard', 14, 96],
  ['sandBoard', 9, 57],
  ['coatBoard.roller', 14, 63],
  ['wallFeet.roller', 96, 31],
  ['caulkFeet', 118, 44],
  ['caulkFeet', 92, 33],
  ['fillOne', 140, 78],
]

/** What the demo's log shows: two earlier jobs with their times, tools that were proved, and a wall that is going up. */
export function addDemoLog(db: Database, file: JobFile, jobId: string, wallName: string): void {
  const now = Date.now()
  for (const [n, { id, name, daysAgo }] of BEFORE.entries()) {
    importJob(db, { ...file, name, rooms: file.rooms.slice(n, n + 1) }, id)
    const room = jobDetail(db, id)?.rooms[0]
    if (!room) continue
    const start = now - daysAgo * DAY_MS
    recordWork(
      db,
      id,
      TIMES.filter((_, i) => i % BEFORE.length === n).map(([rate, amount, minutes], i) => ({
        id: `demo-time-${n}-${i}`,
        kind: 'timed',
        doneAt: start + i * 3_600_000,
        task: `${taskId('room', room.id, 'fit')}-${i + 1}`,
        from: start + i * 3_600_000 - minutes * 60_000,
        to: start + i * 3_600_000,
        counted: { rate, amount, less: 0, planned: Math.round(minutes * 1.2) },
      })),
    )
    archiveJob(db, id, true)
  }
  recordYard(db, [
    {
      id: 'demo-tool-1',
      kind: 'toolProved',
      doneAt: now - 20 * DAY_MS,
      tool: 'level',
      error: inches(1 / 64),
      over: inches(48),
    },
    {
      id: 'demo-tool-2',
      kind: 'toolProved',
      doneAt: now - 20 * DAY_MS + 1,
      tool: 'tapeHook',
      error: 0,
      over: null,
    },
  ])
  goUp(db, jobId, wallName, now - DAY_MS)
}

/** One wall is going up: cut whole, some of it fitted, a strip read elsewhere than laid out, a note, paint. */
function goUp(db: Database, jobId: string, wallName: string, start: number): void {
  const walls = jobDetail(db, jobId)?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === wallName)?.id
  const page = wallId ? wallPage(db, { jobId, wallId }) : null
  if (!page) return
  const workpiece = workpieceInRoom(db, page.documents, page.room.id, page.id)
  const plan = computePlan(workpiece)
  const pieces = freezeList(toRelease(plan, workpiece), [])
  const { plans } = boardsNear(plan, workpiece)
  const release = 'demo-list-up'
  let n = 0
  const act = (kind: string, minutes: number, more: object) => ({
    id: `demo-up-${++n}`,
    kind,
    doneAt: start + minutes * 60_000,
    ...more,
  })
  const nameOf = new Map(pieces.map(({ pieceId, name }) => [pieceId, name]))
  const lefts = new Map(plan.layout.uprights.map(({ id, left }) => [id as string, Math.round(left)]))
  const bottoms = new Map(plan.layout.bands.map(({ id, bottom }) => [id as string, bottom]))
  const order = fitOrder(plan.pieces, workpiece).map(({ pieceId }) => pieceId)
  const stripOf = new Map(plan.pieces.map(({ id, stripId }) => [id, stripId]))
  const second = plan.layout.uprights[1]?.id
  // what stands left of the third upright is up
  const third = plan.layout.uprights[2]?.left ?? 0
  const leftmost = new Set(
    plan.pieces.filter(({ polygon }) => boundsOf(polygon).right <= third).map(({ id }) => id),
  )
  const up = order.filter((id) => leftmost.has(id))
  recordOwnActs(db, { jobId, wallId: page.id }, [
    {
      ...act('released', 0, { revisions: madeFrom(page.documents), pieces }),
      id: release,
    },
    act('began', 1, { stage: 'mark' }),
    ...plan.layout.uprights.map(({ id, left }, i) =>
      act('marked', 3 + i * 2, { strip: id, left: Math.round(left) }),
    ),
    act('ended', 24, { stage: 'mark', counted: null }),
    act('began', 30, { stage: 'cut' }),
    ...pieces.map(({ name, pieceId }, i) => {
      const board = boardOf(plans, pieceId)
      return act('pieceCut', 32 + i * 2, { release, piece: name, ...(board ? { board } : {}) })
    }),
    act('ended', 34 + pieces.length * 2, { stage: 'cut', counted: null }),
    act('began', 130, { stage: 'fit' }),
    ...up.map((id, i) =>
      act('pieceUp', 136 + i * 6, {
        release,
        piece: nameOf.get(id) ?? '',
        left: lefts.get(stripOf.get(id) ?? '') ?? null,
        bottom: bottoms.get(stripOf.get(id) ?? '') ?? null,
      }),
    ),
    act('ended', 140 + up.length * 6, { stage: 'fit', counted: null }),
    act('noted', 150, {
      what: 'hitSomething',
      text: 'Old nail in the plaster, moved over a hand',
      at: { x: inches(37.5), y: inches(29.25) },
      photo: null,
    }),
    act('used', 152, { product: 'Trim enamel', color: 'Kelp', batch: 'L-2207' }),
  ])
  const read = builtWall(workpiece, plan.layout, actsOf(db, page.id), releaseOf(actsOf(db, page.id)))
    .flatMap(({ row }) => row.standing)
    .find(({ id }) => id === second)
  if (read)
    recordOwnActs(db, { jobId, wallId: page.id }, [
      act('builtAt', 141 + up.length * 6, {
        strip: read.id,
        edge: 'left',
        place: Math.round(read.left + inches(5 / 16)),
        planned: Math.round(read.left),
        with: 'tape',
      }),
    ])
  const rail = readableBands(plan.layout)[0]
  if (rail)
    recordOwnActs(db, { jobId, wallId: page.id }, [
      act('builtHeight', 142 + up.length * 6, {
        strip: rail.id,
        edge: 'bottom',
        place: Math.round(rail.bottom + inches(3 / 16)),
        planned: rail.bottom,
        with: 'laser',
      }),
    ])
}
