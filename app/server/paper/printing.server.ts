import type { PaperAsked } from '~/model'
import type { MadeFile } from '~/paper/makeFile'
import type { PaperJob } from '~/paper/paperJob'
import { type OwnProcess, ownProcess } from '../ownProcess.server'

/** How long one file may take. */
export const PRINTING_DEADLINE_MS = 60_000
/** How many wait at most: whoever comes then is asked to come again. */
const MOST_WAITING = 20

export interface PrinterAsked {
  readonly ticket: number
  readonly job: PaperJob
  readonly asked: PaperAsked
}
export interface PrinterAnswer {
  readonly ticket: number
  readonly made: MadeFile | 'noWall' | 'nothing' | 'broken'
  readonly said?: string
}
/** A file, or why there is none. */
export type Printed = MadeFile | 'noWall' | 'nothing' | 'broken' | 'tooLong' | 'busy' | 'left'

/** The process that makes files. */
export type PrinterProcess = OwnProcess<PrinterAsked, PrinterAnswer>

const startProcess = (): PrinterProcess => ownProcess('app/server/paper/printer.ts')

/**
 * Makes files one at a time in a process of its own, so that no page waits for them. One that takes too long, or whose reader left, is given
 * up with its process; the next has a new one.
 */
export function filePrinter(start: () => PrinterProcess = startProcess, deadline = PRINTING_DEADLINE_MS) {
  let process: PrinterProcess | null = null
  let now: { ticket: number; settle: (made: Printed) => void } | null = null
  let tickets = 0
  let waiting = 0
  let queue: Promise<unknown> = Promise.resolve()

  const settle = (made: Printed) => {
    const held = now
    now = null
    held?.settle(made)
  }
  const giveUp = (made: Printed) => {
    const slow = process
    process = null
    slow?.end()
    settle(made)
  }
  const printing = () => {
    if (process) return process
    const started = start()
    started.onAnswer(({ ticket, made, said }) => {
      if (said !== undefined) console.error(`A file could not be made: ${said}`)
      if (ticket === now?.ticket) settle(made)
    })
    started.onEnd(() => {
      if (process !== started) return
      process = null
      settle('broken')
    })
    process = started
    return started
  }
  const print = (job: PaperJob, asked: PaperAsked, left?: AbortSignal) =>
    new Promise<Printed>((done) => {
      if (left?.aborted) return done('left')
      const ticket = (tickets += 1)
      const stop = setTimeout(() => giveUp('tooLong'), deadline)
      stop.unref()
      const leave = () => giveUp('left')
      left?.addEventListener('abort', leave)
      now = {
        ticket,
        settle: (made) => {
          clearTimeout(stop)
          left?.removeEventListener('abort', leave)
          done(made)
        },
      }
      printing().ask({ ticket, job, asked })
    })

  return {
    /** Makes it, after whatever waits before it. Never rejects; `left` is aborted when nobody waits for it any more. */
    print(job: PaperJob, asked: PaperAsked, left?: AbortSignal): Promise<Printed> {
      if (waiting >= MOST_WAITING) return Promise.resolve('busy')
      waiting += 1
      const next = queue.then(() => print(job, asked, left)).finally(() => (waiting -= 1))
      queue = next
      return next
    },
    stop: () => process?.end(),
  }
}
export type FilePrinter = ReturnType<typeof filePrinter>

// hot reload makes this module anew; the process must live on
const kept = globalThis as { reglaPrinter?: FilePrinter }

/** The application's printer. */
export function printer(): FilePrinter {
  return (kept.reglaPrinter ??= filePrinter())
}
