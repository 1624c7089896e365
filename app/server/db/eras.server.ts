import type SqliteDatabase from 'better-sqlite3'
import { readMigrationFiles } from 'drizzle-orm/migrator'

export const MIGRATIONS = 'app/server/db/migrations'

/** A migration as it was used for a while before another took its place: what to do so that a database has gone through the other. */
interface Replaced {
  /** What Drizzle keeps of it. */
  readonly hash: string
  /** Which of the migrations of now took its place, from 0. */
  readonly by: number
  readonly mend: string
}

/** Every migration that was ever changed after a Regla had used it. */
const REPLACED: readonly Replaced[] = [
  {
    hash: '98bb20d0f70dd72566d57278f3516594cb8e9581b01e9a60f642db29a875b2b1',
    by: 0,
    // revisions saved together carried no number yet: each is a change of its own
    mend: `
      create table __mended_revisions (
        id integer primary key autoincrement not null,
        document_id text not null,
        parent integer,
        change integer not null,
        body text not null,
        created_at integer not null,
        foreign key (document_id) references documents(id) on update no action on delete no action,
        foreign key (parent) references revisions(id) on update no action on delete no action
      );
      insert into __mended_revisions select id, document_id, parent, id, body, created_at from revisions;
      drop table revisions;
      alter table __mended_revisions rename to revisions;
      create index revisions_by_parent on revisions (document_id, parent);`,
  },
  {
    hash: '3522d765fda1c84c7e115dae5301395382b395d81b1d9f700711eeeeb4f33db6',
    by: 2,
    mend: `
      create index if not exists documents_by_head on documents (head);
      create index if not exists revisions_by_parent on revisions (parent);`,
  },
]

interface Gone {
  readonly hash: string
  readonly made: number
}

/** The migrations a database has gone through, oldest first; none of an empty one. */
export function goneThrough(sqlite: SqliteDatabase.Database): Gone[] {
  const kept = sqlite.prepare("select name from sqlite_master where name = '__drizzle_migrations'").get()
  if (!kept) return []
  return sqlite
    .prepare('select hash, created_at made from __drizzle_migrations order by created_at')
    .all() as Gone[]
}

let read: ReturnType<typeof readMigrationFiles> | null = null
const known = () => (read ??= readMigrationFiles({ migrationsFolder: MIGRATIONS }))

/** How a database stands to what this program knows: `empty`, `older` and `same` are opened, the others are left as they are. */
export type Era = 'empty' | 'older' | 'same' | 'newer' | 'unknown' | 'foreign'

/** Which schema a database has, by the migrations it has gone through. Nothing is written. */
export function eraOf(sqlite: SqliteDatabase.Database): Era {
  const gone = goneThrough(sqlite)
  const last = gone.at(-1)
  if (!last) return tablesOf(sqlite) === 0 ? 'empty' : 'foreign'
  const all = known()
  if (last.made > Math.max(...all.map(({ folderMillis }) => folderMillis))) return 'newer'
  const isKnown = ({ hash }: Gone, i: number) =>
    all[i]?.hash === hash || REPLACED.some((each) => each.hash === hash && each.by === i)
  if (!gone.every(isKnown)) return 'unknown'
  return gone.length === all.length && !wantsMending(gone) ? 'same' : 'older'
}

const wantsMending = (gone: readonly Gone[]) =>
  gone.some(({ hash }) => REPLACED.some((each) => each.hash === hash))

function tablesOf(sqlite: SqliteDatabase.Database): number {
  return (
    sqlite
      .prepare("select count(*) n from sqlite_master where type = 'table' and name not like 'sqlite_%'")
      .get() as { n: number }
  ).n
}

/** Brings what went through a migration that was changed later to where that one leaves it; whole or not at all. */
export function mendEra(sqlite: SqliteDatabase.Database): void {
  const gone = goneThrough(sqlite)
  if (!wantsMending(gone)) return
  sqlite.transaction(() => {
    for (const { hash } of gone) {
      const replaced = REPLACED.find((each) => each.hash === hash)
      const now = replaced && known()[replaced.by]
      if (!now) continue
      sqlite.exec(replaced.mend)
      sqlite
        .prepare('update __drizzle_migrations set hash = ?, created_at = ? where hash = ?')
        .run(now.hash, now.folderMillis, hash)
    }
  })()
}
