import { and, asc, desc, eq, isNull, or, type SQL, sql } from 'drizzle-orm'
import type { Database } from './db/database.server'
import { jobs, rooms, walls } from './db/schema.server'

/** Something found by name: where it is, and the page it opens. */
export interface Found {
  readonly kind: 'job' | 'room' | 'wall'
  readonly id: string
  readonly name: string
  /** The job, and the room, it is in. */
  readonly within: readonly string[]
  readonly path: string
}

/** How many of each kind are given. */
const MOST = 8

/**
 * Jobs, rooms and walls at hand whose names, or the names of what they are in, hold every word, those worked on last first.
 * Without a word it is what was worked on last.
 */
export function findAnywhere(db: Database, words: string): Found[] {
  const all = words.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8)
  const holding = (...names: (SQL | typeof jobs.name)[]) =>
    and(
      isNull(jobs.archivedAt),
      ...all.map((word) => or(...names.map((name) => sql`instr(lower(${name}), ${word}) > 0`))),
    )
  const foundJobs = db
    .select({ id: jobs.id, name: jobs.name, client: jobs.client })
    .from(jobs)
    .where(holding(jobs.name, sql`${jobs.client}`))
    .orderBy(desc(jobs.updatedAt))
    .limit(MOST)
    .all()
  const foundRooms = db
    .select({ id: rooms.id, name: rooms.name, jobId: jobs.id, job: jobs.name })
    .from(rooms)
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(holding(jobs.name, sql`${rooms.name}`))
    .orderBy(desc(jobs.updatedAt), asc(rooms.position))
    .limit(MOST)
    .all()
  const foundWalls = db
    .select({ id: walls.id, name: walls.name, jobId: jobs.id, job: jobs.name, room: rooms.name })
    .from(walls)
    .innerJoin(rooms, eq(walls.roomId, rooms.id))
    .innerJoin(jobs, eq(rooms.jobId, jobs.id))
    .where(and(isNull(walls.archivedAt), holding(jobs.name, sql`${rooms.name}`, sql`${walls.name}`)))
    .orderBy(desc(jobs.updatedAt), asc(rooms.position), asc(walls.position))
    .limit(2 * MOST)
    .all()
  return [
    ...foundWalls.map(({ id, name, jobId, job, room }): Found => ({
      kind: 'wall',
      id,
      name,
      within: [room, job],
      path: `/jobs/${jobId}/walls/${id}/layout`,
    })),
    ...foundRooms.map(({ id, name, jobId, job }): Found => ({
      kind: 'room',
      id,
      name,
      within: [job],
      path: `/jobs/${jobId}/rooms/${id}`,
    })),
    ...foundJobs.map(({ id, name, client }): Found => ({
      kind: 'job',
      id,
      name,
      within: client === '' ? [] : [client],
      path: `/jobs/${id}`,
    })),
  ]
}
