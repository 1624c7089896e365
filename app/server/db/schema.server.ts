import { type AnySQLiteColumn, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** A versioned JSON document; `head` is the revision that counts. */
export const documents = sqliteTable(
  'documents',
  {
    id: text('id').primaryKey(),
    head: integer('head').references((): AnySQLiteColumn => revisions.id),
  },
  (table) => [index('documents_by_head').on(table.head)],
)

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
    /** Who made it; null on the machine itself, where nobody signs in. */
    member: text('member').references((): AnySQLiteColumn => members.id),
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
    // a revision that gives way is looked for among those made from it
    index('revisions_by_parent').on(table.parent),
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
    /** Who did it; null on the machine itself, where nobody signs in. */
    member: text('member').references(() => members.id),
    /** When it was done, by the client's clock, and when it came here. */
    doneAt: integer('done_at').notNull(),
    createdAt: integer('created_at').notNull(),
    /** How far behind the server's clock the client's was as it sent it, in milliseconds. */
    clockOff: integer('clock_off').notNull().default(0),
  },
  (table) => [index('acts_by_wall').on(table.wallId, table.doneAt)],
)

/** Who of the crew may come in over the network. Nobody is ever deleted: acts name them. */
export const members = sqliteTable('members', {
  id: text('id').primaryKey(),
  name: text('name').notNull().unique(),
  /** The passphrase, hashed; never the passphrase. */
  hash: text('hash').notNull(),
  role: text('role', { enum: ['owner', 'lead', 'helper'] })
    .notNull()
    .default('lead'),
  /** Whether a helper sees what things cost. */
  seesPrices: integer('sees_prices', { mode: 'boolean' }).notNull().default(false),
  createdAt: integer('created_at').notNull(),
  /** When they were shut out; null while they may come in. */
  shutOutAt: integer('shut_out_at'),
})

/** A browser that came in. The key is a hash: who reads the file can't use what is in it. */
export const sessions = sqliteTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    memberId: text('member_id')
      .notNull()
      .references(() => members.id),
    /** How it came in: with a passphrase or by a code shown on the desk. */
    by: text('by', { enum: ['passphrase', 'code'] }).notNull(),
    /** What the browser calls itself, for the list of who is in. */
    browser: text('browser').notNull(),
    createdAt: integer('created_at').notNull(),
    expiresAt: integer('expires_at').notNull(),
  },
  (table) => [index('sessions_by_member').on(table.memberId)],
)

/** What a device on the network signs its readings with. The key is a hash of it: it is shown once, as it is made. */
export const deviceTokens = sqliteTable('device_tokens', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  createdAt: integer('created_at').notNull(),
  usedAt: integer('used_at'),
})

/** A code that lets one phone in, once and for a short time. The key is a hash of it. */
export const pairings = sqliteTable('pairings', {
  id: text('id').primaryKey(),
  memberId: text('member_id')
    .notNull()
    .references(() => members.id),
  expiresAt: integer('expires_at').notNull(),
  usedAt: integer('used_at'),
})

/** Saws as the crew keeps them, to be taken for any job: a name each. */
export const saws = sqliteTable('saws', {
  name: text('name').primaryKey(),
  /** How far it swings, its kerf and the rest, as the settings of a job have them. */
  body: text('body').notNull(),
  keptAt: integer('kept_at').notNull(),
})

/** Materials the crew works with. */
export const stockMaterials = sqliteTable('stock_materials', {
  id: text('id').primaryKey(),
  /** What it is called and measures, as the settings of a job have it, and its kind. */
  body: text('body').notNull(),
  position: integer('position').notNull(),
})

/** Who boards are bought from. */
export const suppliers = sqliteTable('suppliers', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Where its prices are asked for on this machine; null for one that sends lists. */
  address: text('address'),
})

/** The lengths a material is sold in, with the price of the day. */
export const stockLengths = sqliteTable(
  'stock_lengths',
  {
    id: text('id').primaryKey(),
    materialId: text('material_id')
      .notNull()
      .references(() => stockMaterials.id),
    length: integer('length').notNull(),
    trueLength: integer('true_length'),
    price: integer('price'),
    leastOrder: integer('least_order').notNull(),
    supplierId: text('supplier_id').references(() => suppliers.id),
    code: text('code').notNull(),
    state: text('state', { enum: ['there', 'out', 'later'] }).notNull(),
    there: text('there'),
  },
  (table) => [index('stock_lengths_by_material').on(table.materialId)],
)

/** What happened to boards, in any job of the crew: only ever added to. */
export const yardActs = sqliteTable(
  'yard_acts',
  {
    /** Made by the client, so that an act sent twice is kept once. */
    id: text('id').primaryKey(),
    kind: text('kind').notNull(),
    /** The job it was done for; null for the crew's own. */
    jobId: text('job_id').references(() => jobs.id),
    body: text('body').notNull(),
    member: text('member').references(() => members.id),
    doneAt: integer('done_at').notNull(),
    createdAt: integer('created_at').notNull(),
    /** How far behind the server's clock the client's was as it sent it, in milliseconds. */
    clockOff: integer('clock_off').notNull().default(0),
  },
  (table) => [index('yard_acts_by_job').on(table.jobId)],
)

/** Price lists that came in: the good rows wait until they are taken, the bad ones are told. */
export const priceLists = sqliteTable('price_lists', {
  id: text('id').primaryKey(),
  supplierId: text('supplier_id')
    .notNull()
    .references(() => suppliers.id),
  text: text('text').notNull(),
  createdAt: integer('created_at').notNull(),
  /** When its rows were taken, or it was put away; null while they wait. */
  doneAt: integer('done_at'),
})
