import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs, members } from './schema.server'

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
  },
  (table) => [index('work_acts_by_job').on(table.jobId, table.doneAt)],
)
