import { eq, inArray, sql } from 'drizzle-orm'
import { type Learned, learnErrors } from '~/core/evenness/learnErrors'
import { type Proved, toolsProved } from '~/core/evenness/tools'
import { type LearnedRate, learnRates, type Sample, samplesOf, workWithLearned } from '~/core/log/rates'
import { workedOnJob, workedOnWall } from '~/core/log/worked'
import type { Act, Settings, WorkAct } from '~/model'
import { doneAtOf } from './bundles.server'
import type { Database } from './db/database.server'
import { members as memberRows } from './db/schema.server'
import { acts, rooms, walls } from './db/schema.server'
import { workActs } from './db/workSchema.server'
import { yardActsOf } from './yard.server'

/** What the crew's own logs tell, whatever the job: how fast it is, how exact, and how true its tools are. */
export interface CrewLog {
  readonly rates: readonly LearnedRate[]
  readonly errors: Learned
  readonly proved: readonly Proved[]
}

/** What pages take of a rate: without the times it rests on. */
export type RateKnown = Pick<LearnedRate, 'rate' | 'median' | 'low' | 'high' | 'jobs'>

const TICKS: readonly string[] = ['marked', 'pieceCut', 'pieceUp', 'finishDone']
const LOGGED = [...TICKS, 'began', 'ended', 'struck', 'builtAt', 'builtHeight']

function grouped<Of, Key>(all: readonly Of[], keyOf: (each: Of) => Key): Map<Key, Of[]> {
  const found = new Map<Key, Of[]>()
  for (const each of all) {
    const known = found.get(keyOf(each))
    if (known) known.push(each)
    else found.set(keyOf(each), [each])
  }
  return found
}

/** An act as it was kept: it was looked at when it came, and there are thousands of them. */
function asKept<Of>(
  row: Pick<typeof acts.$inferSelect, 'id' | 'kind' | 'doneAt' | 'clockOff' | 'member' | 'body'>,
): Of {
  const { id, kind, member, body } = row
  const own = { id, kind, doneAt: doneAtOf(row), member }
  // of a tick only when it was made counts
  return (TICKS.includes(kind) ? own : Object.assign(JSON.parse(body) as object, own)) as Of
}

function ofWalls(db: Database): { job: string; wall: string; act: Act }[] {
  return db
    .select({ row: acts, job: rooms.jobId })
    .from(acts)
    .innerJoin(walls, eq(acts.wallId, walls.id))
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .where(inArray(acts.kind, LOGGED))
    .all()
    .map(({ row, job }) => ({ job, wall: row.wallId, act: asKept<Act>(row) }))
}

function ofJobs(db: Database): { job: string; act: WorkAct }[] {
  return db
    .select()
    .from(workActs)
    .all()
    .map((row) => ({ job: row.jobId, act: asKept<WorkAct>(row) }))
}

/** Times left out of rates by hand: a rate's name, its job and what it is of. */
function leftOut(all: readonly { job: string; act: WorkAct }[]): Set<string> {
  const out = new Set<string>()
  for (const { job, act } of [...all].sort((a, b) => a.act.doneAt - b.act.doneAt)) {
    if (act.kind !== 'sampleOut' && act.kind !== 'sampleIn') continue
    const key = `${act.rate} ${job} ${act.sample}`
    if (act.kind === 'sampleOut') out.add(key)
    else out.delete(key)
  }
  return out
}

const kept = new WeakMap<Database, { key: string; log: CrewLog }>()

/** What the logs of all jobs tell by now; worked out anew only where something was added. */
export function crewLog(db: Database, now = Date.now()): CrewLog {
  const counted = db.get<{ key: string }>(
    // what is added tells by its row, what is deleted with its job by the count
    sql`select (select count(*) || '-' || coalesce(max(rowid), 0) from acts) || ' ' || (select count(*) || '-' || coalesce(max(rowid), 0) from work_acts) || ' ' || (select count(*) || '-' || coalesce(max(rowid), 0) from yard_acts) as key`,
  )
  const key = `${counted.key} ${Math.floor(now / 86_400_000)}`
  const known = kept.get(db)
  if (known?.key === key) return known.log
  const [onWalls, onJobs] = [ofWalls(db), ofJobs(db)]
  const samples: Sample[] = []
  for (const [wall, all] of grouped(onWalls, (each) => each.wall)) {
    const job = all[0]?.job ?? ''
    samples.push(...samplesOf(job, `wall/${wall}`, workedOnWall(all.map(({ act }) => act)), now))
  }
  for (const [job, all] of grouped(onJobs, (each) => each.job))
    samples.push(...samplesOf(job, '', workedOnJob(all.map(({ act }) => act)), now))
  const proved = toolsProved(yardActsOf(db))
  const log = {
    rates: learnRates(samples, now, leftOut(onJobs)),
    errors: learnErrors(
      onWalls.map(({ act }) => act),
      proved,
    ),
    proved,
  }
  kept.set(db, { key, log })
  return log
}

/** The same without the times behind each rate: what every page of a wall or a job takes along. */
export function crewKnown(db: Database): Omit<CrewLog, 'rates'> & { readonly rates: readonly RateKnown[] } {
  const { rates, ...log } = crewLog(db)
  return {
    ...log,
    rates: rates.map(({ rate, median, low, high, jobs: of }) => ({ rate, median, low, high, jobs: of })),
  }
}

/** What the crew's people are called, by their ids. */
export function memberNames(db: Database): Record<string, string> {
  const rows = db.select({ id: memberRows.id, name: memberRows.name }).from(memberRows).all()
  return Object.fromEntries(rows.map(({ id, name }) => [id, name]))
}

/** A job's settings with the pace that the crew's logs show, wherever no rate was typed. */
export function pacedSettings(db: Database, settings: Settings): Settings {
  return { ...settings, work: workWithLearned(settings.work, crewKnown(db).rates) }
}
