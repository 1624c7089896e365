import { existsSync } from 'node:fs'
import Database from 'better-sqlite3'

const FIRST = '.first'

/** Puts every row back to what the database held at first: what one test does no other one sees. */
export async function putBackFirst(file: string): Promise<void> {
  const db = new Database(file, { timeout: 20_000 })
  // kept before any test was at it; a browser's process that takes over from one that failed finds it there already
  if (!existsSync(file + FIRST)) {
    await db.backup(file + FIRST)
    db.close()
    return
  }
  db.pragma('foreign_keys = OFF')
  db.prepare('attach ? as first').run(file + FIRST)
  const tables = db
    .prepare<[], { name: string }>(
      "select name from first.sqlite_master where type = 'table' and name not like 'sqlite_%'",
    )
    .all()
  db.transaction(() => {
    for (const { name } of tables) {
      db.exec(`delete from main."${name}"`)
      db.exec(`insert into main."${name}" select * from first."${name}"`)
    }
  }).immediate()
  db.close()
}
