import { paperExample } from '../../../tests/paperJobs'
import { filePrinter, type PrinterAnswer, type PrinterProcess } from './printing.server'

const job = paperExample('metric-study')
const asked = { file: 'work.ics' } as const
const file = { name: 'a.pdf', type: 'application/pdf', bytes: new Uint8Array([1]) }

function processes(answer: (ticket: number, say: (made: PrinterAnswer['made'] | null) => void) => void) {
  const seen = { started: 0, ended: 0, asked: 0 }
  const start = (): PrinterProcess => {
    seen.started += 1
    let hear = (_: PrinterAnswer) => {}
    let gone = () => {}
    return {
      ask: ({ ticket }) => {
        seen.asked += 1
        answer(ticket, (made) => (made === null ? gone() : hear({ ticket, made })))
      },
      onAnswer: (listener) => void (hear = listener),
      onEnd: (listener) => void (gone = listener),
      end: () => void (seen.ended += 1),
    }
  }
  return { start, seen }
}

describe('files are made off the request', () => {
  test('one after the other, by one process', async () => {
    const { start, seen } = processes((_, say) => setTimeout(() => say(file)))
    const printer = filePrinter(start)
    expect(await Promise.all([1, 2, 3].map(() => printer.print(job, asked)))).toEqual([file, file, file])
    expect(seen).toEqual({ started: 1, ended: 0, asked: 3 })
  })

  test('one that takes too long is given up with its process; the next has a new one', async () => {
    const { start, seen } = processes((ticket, say) => {
      if (ticket > 1) say(file)
    })
    const printer = filePrinter(start, 20)
    expect(await Promise.all([printer.print(job, asked), printer.print(job, asked)])).toEqual([
      'tooLong',
      file,
    ])
    expect(seen).toMatchObject({ started: 2, ended: 1 })
  })

  test('whoever leaves frees the process at once, waiting or served', async () => {
    const { start, seen } = processes((ticket, say) => {
      if (ticket > 1) say(file)
    })
    const printer = filePrinter(start)
    const [served, waits] = [new AbortController(), new AbortController()]
    const all = [
      printer.print(job, asked, served.signal),
      printer.print(job, asked, waits.signal),
      printer.print(job, asked),
    ]
    waits.abort()
    await new Promise((done) => setTimeout(done, 5))
    served.abort()
    expect(await Promise.all(all)).toEqual(['left', 'left', file])
    expect(seen).toMatchObject({ ended: 1, asked: 2 })
  })

  test('a process that goes down is told, and replaced; too many at once are asked to come again', async () => {
    const { start } = processes((ticket, say) => setTimeout(() => say(ticket === 1 ? null : file)))
    const printer = filePrinter(start)
    const many = Array.from({ length: 22 }, () => printer.print(job, asked))
    const all = await Promise.all(many)
    expect(all[0]).toBe('broken')
    expect(all.slice(1, 20)).toEqual(Array.from({ length: 19 }, () => file))
    expect(all.slice(20)).toEqual(['busy', 'busy'])
    expect(await printer.print(job, asked)).toBe(file)
  })

  test('the process itself makes a calendar, and says what a wall has nothing of', async () => {
    const printer = filePrinter()
    const [made, none] = await Promise.all([
      printer.print(job, asked),
      printer.print(job, {
        file: 'templates.pdf',
        wall: job.walls[0]?.id ?? '',
        kinds: ['arches'],
        paper: 'a4',
        bar: 6,
      }),
    ])
    if (typeof made === 'string') throw new Error(made)
    expect(new TextDecoder().decode(made.bytes)).toMatch(/^BEGIN:VCALENDAR/)
    expect(none).toBe('nothing')
    printer.stop()
  })
})
