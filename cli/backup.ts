// npm run backup [FILE]: a copy of the database, also while the server is running.
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { databaseText } from '~/messages'
import { backUp, backupFolder, keepNewest } from '~/server/db/backups.server'
import { troubleOf } from '~/server/db/trouble.server'

const file = process.env.DB_FILE ?? 'data/regla.db'
if (!existsSync(file)) {
  console.error(`There is no ${file} to copy. Set DB_FILE to the database’s file.`)
  process.exit(1)
}
const moment = new Date().toISOString().replaceAll(/[:.]/g, '-')
try {
  const to = await backUp(file, process.argv[2] ?? join(backupFolder(file), `copy-${moment}.db`))
  if (process.argv[2] === undefined) keepNewest(file)
  console.log(`Copied to ${to}, and looked at: it is whole.`)
} catch (error) {
  const trouble = troubleOf(error, file)
  console.error(trouble ? databaseText(trouble) : error)
  process.exit(1)
}
