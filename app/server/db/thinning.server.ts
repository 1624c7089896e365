import { sql } from 'drizzle-orm'
import { type Database, inTransaction } from './database.server'

const HOUR = 3_600_000
const DAY = 24 * HOUR
/** All is kept for a day, then the last of each hour for thirty days, then the last of each day. */
const KEPT_WHOLE = DAY
const KEPT_HOURLY = 30 * DAY

interface Row {
  readonly id: number
  readonly parent: number | null
  readonly change: number
  readonly page: string
  readonly state: string
  readonly made: number
  /** 1 where it says the same as what it was made from. */
  readonly same: number
}

/** What is thinned together: saves of one document on one page within an hour, or a day. Null for what is kept whole. */
function periodOf({ page, made }: Row, now: number): string | null {
  const age = now - made
  if (age < KEPT_WHOLE) return null
  const length = age < KEPT_HOURLY ? HOUR : DAY
  return `${page} ${length} ${Math.floor(made / length)}`
}

/** How many revisions are looked at in one go: a save waits for no more. */
const AT_ONCE = 200

/** The revisions of a document that may be thinned, oldest first from `after` on. Its first and its newest are not among them. */
function thinnable(db: Database, document: string, before: number, after: number): Row[] {
  return db.all<Row>(sql`
    select r.id, r.parent, r.change, c.page, c.state, r.created_at as made,
      r.body = (select body from revisions where id = r.parent) as same
    from revisions r join changes c on c.id = r.change
    where r.document_id = ${document} and r.id > ${after} and r.created_at < ${before} and r.parent is not null
      and r.id <> (select head from documents where id = r.document_id)
    order by r.id limit ${AT_ONCE}`)
}

/**
 * Whether a revision may give way to the one made from it. Of two changes that can be taken back the later then takes back
 * both; what can't be (a step, and what it left behind) may go before a step, which nobody takes back, or where it says the
 * same as what it was made from.
 */
function givesWay(row: Row, next: Row): boolean {
  if (row.state === 'undone' || next.state === 'undone') return false
  if (row.state === 'done') return next.state === 'done'
  return next.state !== 'done' || row.same === 1
}

/** Takes out of a stretch of a document's history what may give way; how many went, and where to go on. */
function thinStretch(db: Database, document: string, now: number, after: number) {
  const rows = thinnable(db, document, now - KEPT_WHOLE, after)
  let gone = 0
  for (let i = 0; i < rows.length - 1; i++) {
    const [row, next] = [rows[i], rows[i + 1]]
    if (!row || !next || next.parent !== row.id || !givesWay(row, next)) continue
    const period = periodOf(row, now)
    if (period === null || period !== periodOf(next, now)) continue
    db.run(sql`update revisions set parent = ${row.parent} where id = ${next.id}`)
    db.run(sql`delete from revisions where id = ${row.id}`)
    rows[i + 1] = { ...next, parent: row.parent, same: 0 }
    gone += 1
  }
  // the last is looked at once more, with what follows it
  const last = rows.at(-1)
  return { gone, goOn: rows.length === AT_ONCE && last ? last.id - 1 : null }
}

const others = () => new Promise((done) => setImmediate(done))

/** Thins the revisions of one document until nothing more gives way: a step that is gone brings others together. */
async function thinDocument(db: Database, document: string, now: number): Promise<number> {
  let gone = 0
  for (let more = true; more;) {
    more = false
    for (let from: number | null = 0; from !== null;) {
      const after: number = from
      const stretch = inTransaction(db, (tx) => thinStretch(tx, document, now, after))
      gone += stretch.gone
      more ||= stretch.gone > 0
      from = stretch.goOn
      await others()
    }
  }
  return gone
}

/**
 * Thins the revisions of all documents: saves of one document on one page within a period come to the last of them, and undo
 * goes back to what was before the first. What can still be redone is left alone. Others are served in between. Returns how
 * many went. `now` in milliseconds since 1970.
 */
export async function thinRevisions(db: Database, now: number): Promise<number> {
  const old = db.all<{ id: string }>(sql`
    select document_id as id from revisions where created_at < ${now - KEPT_WHOLE}
    group by document_id having count(*) > 2`)
  let gone = 0
  for (const { id } of old) gone += await thinDocument(db, id, now)
  if (gone > 0)
    db.run(sql`delete from changes where state <> 'undone'
      and not exists (select 1 from revisions where revisions.change = changes.id)`)
  return gone
}
