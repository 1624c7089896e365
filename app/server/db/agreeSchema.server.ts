import { blob, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { documents, jobs, members, walls } from './schema.server'

/** The designs a wall has; the one its row names is the chosen one. The first has its wall's id. */
export const options = sqliteTable(
  'options',
  {
    id: text('id').primaryKey(),
    wallId: text('wall_id')
      .notNull()
      .references(() => walls.id),
    name: text('name').notNull(),
    designId: text('design_id')
      .notNull()
      .references(() => documents.id),
    position: integer('position').notNull(),
    putAwayAt: integer('put_away_at'),
  },
  (table) => [index('options_by_wall').on(table.wallId), index('options_by_design').on(table.designId)],
)

/** Photographs of a wall as they are kept: turned, without the place they were taken at. What is put on one is a document. */
export const photos = sqliteTable(
  'photos',
  {
    id: text('id').primaryKey(),
    wallId: text('wall_id')
      .notNull()
      .references(() => walls.id),
    name: text('name').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    createdAt: integer('created_at').notNull(),
    putAwayAt: integer('put_away_at'),
  },
  (table) => [index('photos_by_wall').on(table.wallId)],
)

/** Links for clients. The token is kept as it is, so that the crew can send it once more; it opens this one page. */
export const clientLinks = sqliteTable(
  'client_links',
  {
    id: text('id').primaryKey(),
    token: text('token').notNull().unique(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    body: text('body').notNull(),
    member: text('member').references(() => members.id),
    createdAt: integer('created_at').notNull(),
    expiresAt: integer('expires_at').notNull(),
    endedAt: integer('ended_at'),
  },
  (table) => [index('client_links_by_job').on(table.jobId)],
)

/** What clients did on their pages, and what the crew answered: only ever added to. */
export const clientActs = sqliteTable(
  'client_acts',
  {
    id: text('id').primaryKey(),
    linkId: text('link_id')
      .notNull()
      .references(() => clientLinks.id),
    kind: text('kind').notNull(),
    body: text('body').notNull(),
    /** Who of the crew; null where it was the client. */
    member: text('member').references(() => members.id),
    doneAt: integer('done_at').notNull(),
  },
  (table) => [index('client_acts_by_link').on(table.linkId)],
)

/** What was signed, frozen with its fingerprint; one for each link. */
export const signatures = sqliteTable('signatures', {
  id: text('id').primaryKey(),
  linkId: text('link_id')
    .notNull()
    .unique()
    .references(() => clientLinks.id),
  jobId: text('job_id')
    .notNull()
    .references(() => jobs.id),
  name: text('name').notNull(),
  /** The drawn line as points; empty where the typed name alone signs. */
  line: text('line').notNull(),
  /** Designs, surveys, settings and prices of that day, in the form the fingerprint was made of. */
  body: text('body').notNull(),
  fingerprint: text('fingerprint').notNull(),
  signedAt: integer('signed_at').notNull(),
})

/** The photographs that were on the page as it was signed, with what was drawn on them. The signed copy names each by its fingerprint. */
export const signedPictures = sqliteTable(
  'signed_pictures',
  {
    signatureId: text('signature_id')
      .notNull()
      .references(() => signatures.id),
    wallId: text('wall_id').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.signatureId, table.wallId] })],
)

/** Layouts the crew keeps by name. */
export const patternBook = sqliteTable('pattern_book', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  body: text('body').notNull(),
  keptAt: integer('kept_at').notNull(),
  putAwayAt: integer('put_away_at'),
})

/** What a house has already, by its job. */
export const houseBook = sqliteTable(
  'house_book',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    kind: text('kind').notNull(),
    body: text('body').notNull(),
    keptAt: integer('kept_at').notNull(),
    putAwayAt: integer('put_away_at'),
  },
  (table) => [index('house_book_by_job').on(table.jobId)],
)
