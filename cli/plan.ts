import { existsSync, readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import highs from 'highs'
import { readJobFile } from '~/core/files/readJobFile'
import { planJob } from '~/core/planJob'
import { fileProblemText } from '~/messages'
import { type JobFile, unitsOf } from '~/model'
import { highsSolver } from '~/workers/highsSolver'
import type { FilesWanted } from './planFiles'

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

/** How long a wall is planned before no more is asked of what a miss of its figures would spoil. */
const FIGURES_MS = 1_000
function figures() {
  const end = performance.now() + FIGURES_MS
  return () => performance.now() > end
}

/** The plan of one file, or what is wrong with it, a line each. */
async function planOf(path: string): Promise<{ plan: object; file: JobFile } | { problems: string[] }> {
  if (!existsSync(path)) return { problems: [`${path}: there is no such file.`] }
  const text = readFileSync(path, 'utf8')
  const file = readJobFile(text)
  if (!file.ok)
    return { problems: file.issue.map((problem) => fileProblemText(problem, unitsOf(parsed(text)))) }
  return { plan: await planJob(file.value, solve, patience, figures), file: file.value }
}

const USAGE = 'usage: npm run --silent plan -- FILE... [--svg DIR] [--dxf DIR] [--csv DIR] [--pdf FILE]'

/** What was asked for; null where that can't be read. */
function asked(args: readonly string[]): { paths: readonly string[]; wanted: FilesWanted } | null {
  try {
    const text = { type: 'string' } as const
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { svg: text, dxf: text, csv: text, pdf: text },
    })
    return positionals.length === 0 ? null : { paths: positionals, wanted: values }
  } catch {
    return null
  }
}

/** One file is printed to be read; of several each is a line, in the order they were given. Drawings, tables and the booklet go where they are wanted. */
async function main(args: readonly string[]): Promise<number> {
  const read = asked(args)
  if (!read) return complain([USAGE])
  const { paths, wanted } = read
  if (wanted.pdf !== undefined && paths.length > 1)
    return complain(['--pdf takes one job file: name each booklet by itself.'])
  let ended = FINE
  for (const path of paths) {
    const found = await planOf(path)
    if ('problems' in found) {
      ended = complain(
        paths.length === 1
          ? found.problems
          : found.problems.map((line) => (line.startsWith(path) ? line : `${path}: ${line}`)),
      )
      continue
    }
    process.stdout.write(
      paths.length === 1
        ? `${JSON.stringify(found.plan, null, 2)}\n`
        : `${JSON.stringify({ file: path, ...found.plan })}\n`,
    )
    if (Object.keys(wanted).length === 0) continue
    try {
      // what draws is only loaded where something is drawn
      const { writeFiles } = await import('./planFiles')
      const { written, missed } = await writeFiles(found.file, wanted, solve)
      for (const name of written) process.stderr.write(`${name}\n`)
      if (missed.length > 0)
        ended = complain(
          missed.map((name) => `${path}: ${name} can't be planned; no file of it was written.`),
        )
    } catch (error) {
      ended = complain([
        `${path}: its files could not be written: ${error instanceof Error ? error.message : error}`,
      ])
    }
  }
  return ended
}

// a reader that has seen enough (head, a closed pager) is no failure
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
})

process.exitCode = await main(process.argv.slice(2))
