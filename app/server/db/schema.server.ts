import { type AnySQLiteColumn, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** A versioned JSON document; `head` is the revision that counts. */
export const documents = sqliteTable('documents', {
  id: text('id').primaryKey(),
  head: integer('head').references((): AnySQLiteColumn => revisions.id),
})

/** Every save of a document, each pointing at the one it was made from: undo outlives a reload. */
export const revisions = sqliteTable(
  'revisions',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    documentId: text('document_id')
      .notNull()
      .references((): AnySQLiteColumn => documents.id),
    parent: integer('parent').references((): AnySQLiteColumn => revisions.id),
    /** Revisions saved together carry one change: the newest revision there was before them, plus one. */
    change: integer('change').notNull(),
    body: text('body').notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('revisions_by_parent').on(table.documentId, table.parent)],
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
    documentId: text('document_id')
      .notNull()
      .references(() => documents.id),
    archivedAt: integer('archived_at'),
  },
  (table) => [index('walls_by_room').on(table.roomId)],
)
