import { existsSync, readFileSync } from 'node:fs'
import highs from 'highs'
import { readJobFile } from '~/core/files/readJobFile'
import { planJob } from '~/core/planJob'
import { fileProblemText } from '~/messages'
import { unitsOf } from '~/model'
import { highsSolver } from '~/workers/highsSolver'

/** What the command ends with: fine, or something is wrong with the file it was given. */
const FINE = 0
const BAD_FILE = 2

function complain(lines: readonly string[]): number {
  for (const line of lines) process.stderr.write(`${line}\n`)
  return BAD_FILE
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

async function main(args: readonly string[]): Promise<number> {
  const [path, ...more] = args
  if (path === undefined || more.length > 0) return complain(['usage: npm run --silent plan -- FILE'])
  if (!existsSync(path)) return complain([`${path}: there is no such file.`])
  const text = readFileSync(path, 'utf8')
  const file = readJobFile(text)
  if (!file.ok) return complain(file.issue.map((problem) => fileProblemText(problem, unitsOf(parsed(text)))))
  const plan = await planJob(
    file.value,
    highsSolver(() => highs()),
  )
  process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`)
  return FINE
}

// a reader that has seen enough (head, a closed pager) is no failure
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
})

process.exitCode = await main(process.argv.slice(2))
