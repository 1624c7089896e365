import { workpieceInRoom } from './rooms.server'
import { readFileSync } from 'node:fs'
import { readJobFile } from '~/core/files/readJobFile'
import { freezeList } from '~/core/asbuilt/freeze'
import { computePlan } from '~/core/computePlan'
import { boardOf, boardsNear } from '~/core/cutting/leftToCut'
import { toRelease } from '~/core/cutting/toRelease'
import { madeFrom, workpieceOf } from '~/model'
import { recordOwnActs } from './acts.server'
import { openAtStart } from './database.server'
import type { Database } from './db/database.server'
import { addDemoAgreement } from './demoAgree.server'
import { addDemoLog } from './demoLog.server'
import { addDemoYard } from './demoYard.server'
import { addDemoWork, withDemoDays } from './demoWork.server'
import { importJob, jobDetail, jobExists } from './jobs.server'
import { wallPage } from './walls.server'

const DEMO_JOB_ID = 'demo'
const MARKED_IN_DEMO = 2
const CUT_IN_DEMO = 'Chimney breast'
const AT_SAW_IN_DEMO = 'Bench wall'
const GOING_UP_IN_DEMO = 'Scullery wall'
const DEMO_FILE = 'examples/tern-cottage.regla.json'

/** Opens and migrates the database at start; adds the demo job when asked to and not there yet. */
export function prepareData(): void {
  openAtStart(addDemo)
}

function addDemo(db: Database): void {
  if (process.env.REGLA_DEMO !== '1' || jobExists(db, DEMO_JOB_ID)) return
  const file = readJobFile(readFileSync(DEMO_FILE, 'utf8'))
  if (!file.ok) throw new Error(`the demo job file is broken: ${JSON.stringify(file.issue)}`)
  importJob(db, withDemoDays(file.value, Date.now()), DEMO_JOB_ID)
  beginMarking(db)
  cutOneWall(db)
  beginCutting(db)
  addDemoYard(db, DEMO_JOB_ID, CUT_IN_DEMO)
  addDemoAgreement(db, DEMO_JOB_ID)
  addDemoWork(db, DEMO_JOB_ID)
  addDemoLog(db, file.value, DEMO_JOB_ID, GOING_UP_IN_DEMO)
}

/** The demo's first wall is being marked: its first strips are on the wall. */
function beginMarking(db: Database): void {
  const wallId = jobDetail(db, DEMO_JOB_ID)?.rooms[0]?.walls[0]?.id
  const page = wallId ? wallPage(db, { jobId: DEMO_JOB_ID, wallId }) : null
  if (!page) return
  const { uprights } = computePlan(workpieceOf(page.documents)).layout
  const acts = uprights.slice(0, MARKED_IN_DEMO).map(({ id, left }, i) => ({
    id: `demo-mark-${i}`,
    kind: 'marked',
    strip: id,
    left: Math.round(left),
    doneAt: Date.now() + i,
  }))
  recordOwnActs(db, { jobId: DEMO_JOB_ID, wallId: page.id }, acts)
}

/** One wall of the demo is cut already. */
function cutOneWall(db: Database): void {
  const walls = jobDetail(db, DEMO_JOB_ID)?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === CUT_IN_DEMO)?.id
  if (wallId)
    recordOwnActs(db, { jobId: DEMO_JOB_ID, wallId }, [{ id: 'demo-cut-0', kind: 'cut', doneAt: Date.now() }])
}

/** One wall's list is at the saw: some of it cut, a piece spoiled, an opening read, a board with a knot. */
function beginCutting(db: Database): void {
  const walls = jobDetail(db, DEMO_JOB_ID)?.rooms.flatMap((room) => room.walls) ?? []
  const wallId = walls.find(({ name }) => name === AT_SAW_IN_DEMO)?.id
  const page = wallId ? wallPage(db, { jobId: DEMO_JOB_ID, wallId }) : null
  if (!page) return
  const workpiece = workpieceInRoom(db, page.documents, page.room.id, page.id)
  const plan = computePlan(workpiece)
  const pieces = freezeList(toRelease(plan, workpiece), [])
  const { plans } = boardsNear(plan, workpiece)
  const cut = ({ name, pieceId }: (typeof pieces)[number]) => {
    const board = boardOf(plans, pieceId)
    return on(name, 'pieceCut', board ? { board } : {})
  }
  const [first, second, third] = pieces
  if (!first || !second || !third) return
  let at = Date.now()
  const release = 'demo-list-0'
  const act = (kind: string, more: object) => ({ id: `demo-saw-${++at}`, kind, doneAt: at, ...more })
  const on = (piece: string, kind: string, more: object = {}) => act(kind, { release, piece, ...more })
  const open = pieces.find(({ advice }) => advice.advice !== 'batch')
  recordOwnActs(db, { jobId: DEMO_JOB_ID, wallId: page.id }, [
    {
      ...act('released', { revisions: madeFrom(page.documents), pieces }),
      id: release,
    },
    cut(first),
    cut(second),
    on(second.name, 'spoiled', { from: 'board' }),
    cut(third),
    ...(open ? [on(open.name, 'readTrue', { length: open.longLength - 1_587_500 })] : []),
    act('flawed', { materialId: first.materialId, board: 2, flaw: { flaw: 'edge', at: 'last' } }),
  ])
}
