import { type AnySQLiteColumn, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** A versioned JSON document; `head` is the revision that counts. */
export const documents = sqliteTable('documents', {
  id: text('id').primaryKey(),
  head: integer('head').references((): AnySQLiteColumn => revisions.id),
})

/** How a change stands: `made` with its documents, `done` or `undone` by its page, `left` behind by a newer one, or a step back or forward. */
export const CHANGE_STATES = ['made', 'done', 'undone', 'left', 'step'] as const

/** What was saved together, where it was done, and how it stands: undo and redo go by these. */
export const changes = sqliteTable(
  'changes',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    /** The page it was made on; empty for what no page made. */
    page: text('page').notNull(),
    state: text('state', { enum: CHANGE_STATES }).notNull(),
    /** Made by the client with each request: what follows a save whose answer got lost still finds its base. */
    token: text('token'),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [
    index('changes_by_page').on(table.page, table.state),
    index('changes_by_token').on(table.token),
  ],
)

/** Every save of a document, each pointing at the one it was made from. Only ever added to: undo outlives a reload. */
export const revisions = sqliteTable(
  'revisions',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    documentId: text('document_id')
      .notNull()
      .references((): AnySQLiteColumn => documents.id),
    parent: integer('parent').references((): AnySQLiteColumn => revisions.id),
    change: integer('change')
      .notNull()
      .references(() => changes.id),
    body: text('body').notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [
    index('revisions_by_document').on(table.documentId),
    index('revisions_by_change').on(table.change),
  ],
)

export const jobs = sqliteTable('jobs', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  client: text('client').notNull(),
  settingsId: text('settings_id')
    .notNull()
    .references(() => documents.id),
  createdAt: integer('created_at').notNull(),
  updatedAt: integer('updated_at').notNull(),
  archivedAt: integer('archived_at'),
})

export const rooms = sqliteTable(
  'rooms',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    name: text('name').notNull(),
    position: integer('position').notNull(),
  },
  (table) => [index('rooms_by_job').on(table.jobId)],
)

export const walls = sqliteTable(
  'walls',
  {
    id: text('id').primaryKey(),
    roomId: text('room_id')
      .notNull()
      .references(() => rooms.id),
    name: text('name').notNull(),
    position: integer('position').notNull(),
    surveyId: text('survey_id')
      .notNull()
      .references(() => documents.id),
    designId: text('design_id')
      .notNull()
      .references(() => documents.id),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('walls_by_room').on(table.roomId)],
)

/** What happened at the wall, outside all documents: only ever added to, so that undo takes nothing back that happened. */
export const acts = sqliteTable(
  'acts',
  {
    /** Made by the client, so that an act sent twice is kept once. */
    id: text('id').primaryKey(),
    wallId: text('wall_id')
      .notNull()
      .references(() => walls.id),
    kind: text('kind').notNull(),
    body: text('body').notNull(),
    /** When it was done, by the client's clock, and when it came here. */
    doneAt: integer('done_at').notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('acts_by_wall').on(table.wallId, table.doneAt)],
)
