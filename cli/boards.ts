import { type ChildProcess, fork } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import {
  answerOf,
  type CuttingAnswer,
  type CuttingFile,
  noAnswer,
  readCuttingFile,
} from '~/core/files/cuttingFile'
import { type BoardIssue, type BoardPlan, type BoardRequest, planBoardsQuickly } from '~/core/stock'
import type { Result } from '~/length'
import { cuttingReasons, fileProblemText } from '~/messages'

export interface SearchAsked {
  readonly request: BoardRequest
  readonly timeLimitMs: number
}
export type SearchAnswer =
  { readonly ready: true } | { readonly better: BoardPlan } | { readonly done: Result<BoardPlan, BoardIssue> }

const FINE = 0
const BAD_FILE = 2
/** A search that is so much past its limit hangs, and is ended. */
const GRACE_MS = 1_500
const START_MS = 20_000

function complain(lines: readonly string[]): number {
  for (const line of lines) process.stderr.write(`${line}\n`)
  return BAD_FILE
}

/** The process that searches: started once, and anew after it was ended. */
class Searcher {
  private child: ChildProcess | null = null
  private ready: Promise<boolean> = Promise.resolve(false)

  start(): void {
    if (this.child) return
    const child = fork(fileURLToPath(new URL('./boardsSearch.ts', import.meta.url)), { stdio: 'inherit' })
    this.child = child
    this.ready = new Promise((resolve) => {
      const timer = setTimeout(() => resolve(false), START_MS)
      const settle = (isReady: boolean) => {
        clearTimeout(timer)
        resolve(isReady)
      }
      child.once('message', () => settle(true))
      child.once('exit', () => settle(false))
      child.once('error', () => settle(false))
    })
  }

  /** Waits until it is there: starting a process is no part of a search. */
  async warm(): Promise<void> {
    this.start()
    await this.ready
  }

  end(): void {
    this.child?.kill('SIGKILL')
    this.child = null
  }

  /** Searches; the best so far where the search hangs or breaks down, null where there is none. */
  async search(asked: SearchAsked): Promise<Result<BoardPlan, BoardIssue> | null> {
    this.start()
    const { child } = this
    if (!child || !(await this.ready)) {
      this.end()
      return null
    }
    let best: BoardPlan | null = null
    return new Promise((resolve) => {
      const finish = (result: Result<BoardPlan, BoardIssue> | null) => {
        clearTimeout(timer)
        child.removeAllListeners()
        resolve(result)
      }
      const give = () => {
        this.end()
        finish(best ? { ok: true, value: best } : null)
      }
      const timer = setTimeout(give, asked.timeLimitMs + GRACE_MS)
      child.on('message', (answer: SearchAnswer) => {
        if ('better' in answer) best = answer.better
        if ('done' in answer) finish(answer.done)
      })
      child.once('exit', give)
      child.once('error', give)
      child.send(asked)
    })
  }
}

async function answered(searcher: Searcher, { request, timeLimitMs }: CuttingFile): Promise<CuttingAnswer> {
  await searcher.warm()
  const began = performance.now()
  const result = (await searcher.search({ request, timeLimitMs })) ?? planBoardsQuickly(request)
  const elapsed = Math.round(performance.now() - began)
  return result.ok
    ? answerOf(result.value, elapsed)
    : noAnswer(result.issue, elapsed, cuttingReasons(result.issue, request))
}

/** Each file is answered in a line, in the order they were given. */
async function main(paths: readonly string[]): Promise<number> {
  if (paths.length === 0) return complain(['usage: npm run --silent boards -- FILE...'])
  const searcher = new Searcher()
  let ended = FINE
  for (const path of paths) {
    if (!existsSync(path)) {
      ended = complain([`${path}: there is no such file.`])
      continue
    }
    const file = readCuttingFile(readFileSync(path, 'utf8'))
    if (file.ok) process.stdout.write(`${JSON.stringify(await answered(searcher, file.value))}\n`)
    else {
      const lines = file.issue.map((problem) => fileProblemText(problem))
      ended = complain(paths.length === 1 ? lines : lines.map((line) => `${path}: ${line}`))
    }
  }
  searcher.end()
  return ended
}

// a reader that has seen enough (head, a closed pager) is no failure
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error
})

process.exitCode = await main(process.argv.slice(2))
