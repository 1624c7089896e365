// A process of its own beside the server: makes files of jobs, one after the other.
import highs from 'highs'
import { makeFile } from '~/paper/makeFile'
import { highsSolver } from '~/workers/highsSolver'
import type { PrinterAnswer, PrinterAsked } from './printing.server'

/** How long boards and the order of work are looked for: what is found then stands, with its bound. */
const PATIENCE = { solve: highsSolver(() => highs()), boardsMs: 1_000, workMs: 400 }

const tell = (answer: PrinterAnswer) => void process.send?.(answer)

process.on('message', ({ ticket, job, asked }: PrinterAsked) => {
  makeFile(job, asked, PATIENCE)
    .then((made) => tell({ ticket, made: made.ok ? made.file : made.issue.code }))
    .catch((error: unknown) => tell({ ticket, made: 'broken', said: String(error).slice(0, 400) }))
})
// a server that is gone, however it went, leaves nothing running
process.on('disconnect', () => process.exit())
