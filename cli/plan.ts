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

const solve = highsSolver(() => highs())

/** How long the boards of one material of one wall are looked at. */
const BOARDS_MS = 10_000
function patience() {
  const end = performance.now() + BOARDS_MS
  return {
    over: () => performance.now() > end,
    secondsLeft: () => (end - performance.now()) / 1000,
  }
}

/** The plan of one file, or what is wrong with it, a line each. */
async function planOf(path: string): Promise<{ plan: object } | { problems: string[] }> {
  if (!existsSync(path)) return { problems: [`${path}: there is no such file.`] }
  const text = readFileSync(path, 'utf8')
  const file = readJobFile(text)
  if (!file.ok)
    return { problems: file.issue.map((problem) => fileProblemText(problem, unitsOf(parsed(text)))) }
  return { plan: await planJob(file.value, solve, patience) }
}

/** One file is printed to be read; of several each is a line, in the order they were given. */
async function main(paths: readonly string[]): Promise<number> {
  if (paths.length === 0) return complain(['usage: npm run --silent plan -- FILE...'])
  let ended = FINE
  for (const path of paths) {
    const found = await planOf(path)
    if ('problems' in found)
      ended = complain(
        paths.length === 1
          ? found.problems
          : found.problems.map((line) => (line.startsWith(path) ? line : `${path}: ${line}`)),
      )
    else
      process.stdout.write(
        paths.length === 1
          ? `${JSON.stringify(found.plan, null, 2)}\n`
          : `${JSON.stringify({ file: path, ...found.plan })}\n`,
      )
  }
  return ended
}

// a reader that has seen enough (head, a closed pager) is no failure
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
})

process.exitCode = await main(process.argv.slice(2))
