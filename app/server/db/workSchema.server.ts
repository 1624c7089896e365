import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs, members, walls } from './schema.server'

/** What happened with the work of a job: tasks done, found to take longer, cautions seen. Only ever added to. */
export const workActs = sqliteTable(
  'work_acts',
  {
    /** Made by the client, so that an act sent twice is kept once. */
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    kind: text('kind').notNull(),
    body: text('body').notNull(),
    /** Who did it; null on the machine itself, where nobody signs in. */
    member: text('member').references(() => members.id),
    doneAt: integer('done_at').notNull(),
    createdAt: integer('created_at').notNull(),
    /** How far behind the server's clock the client's was as it sent it, in milliseconds. */
    clockOff: integer('clock_off').notNull().default(0),
  },
  (table) => [index('work_acts_by_job').on(table.jobId, table.doneAt)],
)

/** Photographs of a wall's log. What each shows and where is a note; the id is made on the phone with it. */
export const logPhotos = sqliteTable(
  'log_photos',
  {
    id: text('id').primaryKey(),
    wallId: text('wall_id')
      .notNull()
      .references(() => walls.id),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    member: text('member').references(() => members.id),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('log_photos_by_wall').on(table.wallId)],
)
