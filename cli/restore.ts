// npm run restore [COPY]: puts a copy in the database's place; without one, says which copies there are.
import { existsSync } from 'node:fs'
import { holdsText, COPIES_TEXT, databaseText } from '~/messages'
import { backupFolder, copiesOf } from '~/server/db/backups.server'
import { restoreFrom } from '~/server/db/restore.server'
import { troubleOf } from '~/server/db/trouble.server'

const file = process.env.DB_FILE ?? 'data/regla.db'
const [copy] = process.argv.slice(2)
const folder = backupFolder(file)

function list(): void {
  const copies = copiesOf(file)
  if (copies.length === 0) return console.log(`There are no copies in ${folder} yet.`)
  console.log(`Copies in ${folder}, by their newest change, and what each holds:`)
  for (const { path, holds } of copies)
    console.log(holds ? `  ${holdsText(holds)}  npm run restore -- ${path}` : `  can’t be read: ${path}`)
  console.log(COPIES_TEXT)
}

if (copy === undefined) list()
else if (!existsSync(copy)) {
  console.error(`There is no ${copy}. Without a name, “npm run restore” says which copies there are.`)
  process.exit(1)
} else
  try {
    const aside = restoreFrom(copy, file, new Date().toISOString())
    console.log(`${copy} is ${file} now.${aside ? ` What stood there is kept as ${aside}.` : ''}`)
  } catch (error) {
    // the copy is looked at before anything is touched: what is wrong is said of the file it is about
    const trouble = troubleOf(error, copy)
    console.error(trouble ? databaseText(trouble) : error)
    process.exit(1)
  }
