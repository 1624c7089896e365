// npm run crew -- add NAME [owner|lead|helper] | list | shut-out NAME | let-in NAME: who may come in over the network.
import { createInterface } from 'node:readline/promises'
import { crewText, databaseText, roleText } from '~/messages'
import { addMember, listMembers, roleOf, shutOut } from '~/server/crew/members.server'
import { openDatabase } from '~/server/db/database.server'
import { troubleOf } from '~/server/db/trouble.server'

const USAGE = 'npm run crew -- add NAME [owner | lead | helper] | list | shut-out NAME | let-in NAME'
const file = process.env.DB_FILE ?? 'data/regla.db'
const [what, ...words] = process.argv.slice(2)
const role = words.length > 1 ? roleOf(words.at(-1) ?? '') : undefined
const name = (role ? words.slice(0, -1) : words).join(' ')

async function passphrase(): Promise<string> {
  if (process.stdin.isTTY) console.log('The passphrase, 10 characters or more:')
  const lines = createInterface({ input: process.stdin })
  for await (const line of lines) {
    lines.close()
    return line
  }
  return ''
}

async function run(): Promise<string> {
  const db = openDatabase(file)
  if (what === 'list')
    return listMembers(db)
      .map((member) => `${member.name}, ${member.role}${member.shutOut ? ', shut out' : ''}`)
      .join('\n')
  if (what === 'add') {
    const added = await addMember(db, name, await passphrase(), role)
    if (!added.ok) throw new Error(crewText[added.issue])
    return `${name} may come in.`
  }
  const member = listMembers(db).find((each) => each.name.toLowerCase() === name.toLowerCase())
  if ((what === 'shut-out' || what === 'let-in') && member) {
    if (!shutOut(db, member.id, what === 'shut-out')) throw new Error(roleText.lastOwner)
    return what === 'shut-out'
      ? `${member.name} is shut out everywhere.`
      : `${member.name} may come in again.`
  }
  throw new Error(member || name === '' ? USAGE : `There is no member called ${name}.`)
}

try {
  console.log(await run())
} catch (error) {
  const trouble = troubleOf(error, file)
  console.error(trouble ? databaseText(trouble) : error instanceof Error ? error.message : error)
  process.exit(1)
}
