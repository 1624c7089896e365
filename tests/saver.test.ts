import fc from 'fast-check'
import { inches } from '~/length'
import type { PageAnswer, Survey } from '~/model'
import { openDatabase } from '~/server/db/database.server'
import { createJob } from '~/server/jobs.server'
import { createWall } from '~/server/walls.server'
import { shelf, wallWindow, type Window, type Wire } from './windows'
import { RETRY_MS } from '~/editor/saving/saver'
import { NoAnswer } from '~/editor/saving/sendChange'
import { unsentKeeper, unsentOfDocument } from '~/editor/saving/unsent'

function freshWall() {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Loft', client: '', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Loft', name: 'Knee wall' }) }
  const open = (more?: Parameters<typeof wallWindow>[2]) => wallWindow(db, ids, more)
  return { open, stored: () => open().body('survey') }
}
const wide = (width: number) => (survey: Survey) => ({ ...survey, width: inches(width) })
const high = (height: number) => (survey: Survey) => ({ ...survey, height: inches(height) })

/** A wire that loses what the test says, then passes on. */
function loses(...what: ('request' | 'answer')[]): Wire & { sent: number } {
  const wire: Wire & { sent: number } = Object.assign(
    (_: unknown, reach: () => PageAnswer) => {
      wire.sent += 1
      const lost = what.shift()
      if (lost !== 'request') {
        const answer = reach()
        if (!lost) return Promise.resolve(answer)
      }
      return Promise.reject(new NoAnswer('unreachable'))
    },
    { sent: 0 },
  )
  return wire
}

beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { window: new EventTarget() })
})
afterEach(() => jest.useRealTimers())

describe('a page’s documents', () => {
  test('several changes within the pause are one save, of the last', async () => {
    const { open, stored } = freshWall()
    const wire = loses()
    const { saver, body } = open({ wire })
    const id = saver.store.getState().held.find(({ kind }) => kind === 'survey')?.id ?? ''
    for (const at of [150, 151, 152]) saver.put(new Map([[id, wide(at)(body('survey'))]]), 100)
    expect(saver.store.getState().status.kind).toBe('waiting')
    await jest.advanceTimersByTimeAsync(120)
    expect([wire.sent, stored().width, saver.store.getState().status.kind]).toEqual([1, inches(152), 'saved'])
  })

  test('what is changed while a save is on its way is sent after it, on top of it', async () => {
    const { open, stored } = freshWall()
    let go = () => undefined as void
    const slow: Wire = (_, reach) => new Promise((answer) => (go = () => answer(reach())))
    const window = open({ wire: slow })
    const first = window.change('survey', wide(150))
    await jest.advanceTimersByTimeAsync(0)
    window.put('survey', high(100))
    go()
    await jest.advanceTimersByTimeAsync(0)
    go()
    await first
    expect(stored()).toMatchObject({ width: inches(150), height: inches(100) })
    expect(window.status()).toBe('saved')
  })

  test('out of reach: it says so, keeps the change, and tries again by itself, with growing pauses', async () => {
    const { open, stored } = freshWall()
    const wire = loses('request', 'request', 'request')
    const window = open({ wire })
    await window.change('survey', wide(150))
    expect(window.saver.store.getState().status).toMatchObject({
      kind: 'failed',
      why: expect.stringMatching(/tries again/),
    })
    await jest.advanceTimersByTimeAsync(RETRY_MS[0])
    await jest.advanceTimersByTimeAsync(RETRY_MS[0])
    expect(wire.sent).toBe(2)
    await jest.advanceTimersByTimeAsync(RETRY_MS[1])
    expect(wire.sent).toBe(3)
    await jest.advanceTimersByTimeAsync(RETRY_MS[2])
    expect([window.status(), stored().width]).toEqual(['saved', inches(150)])
  })

  test('back on the network it is sent at once; left, it is not tried any more', async () => {
    const { open, stored } = freshWall()
    const window = open({ wire: loses('request') })
    const end = window.saver.start()
    await window.change('survey', wide(150))
    globalThis.window.dispatchEvent(new Event('online'))
    await jest.advanceTimersByTimeAsync(0)
    expect(stored().width).toBe(inches(150))
    end()
    expect(jest.getTimerCount()).toBe(0)
  })

  test('an answer that got lost is no clash with oneself, whatever is done next', async () => {
    const { open, stored } = freshWall()
    const window = open({ wire: loses('answer', 'answer') })
    const other = open()
    await other.change('survey', high(101))
    await window.change('survey', wide(150))
    await window.change('survey', wide(160))
    await window.change('survey', wide(170))
    expect([window.status(), stored().width, stored().height]).toEqual(['saved', inches(170), inches(101)])
  })

  test('what the server will not have is taken back by undo, and nothing else is', async () => {
    const { open, stored } = freshWall()
    const window = open()
    await window.change('survey', high(100))
    await window.change('survey', wide(-4))
    expect(window.status()).toBe('failed')
    await window.saver.step('undo')
    expect([window.status(), window.body('survey').width, stored().height]).toEqual([
      'saved',
      inches(120),
      inches(100),
    ])
    expect(window.saver.store.getState().note).toMatch(/taken back/)
    await window.saver.step('undo')
    expect(stored().height).toBe(inches(96))
  })

  test('a step out of reach says so and changes nothing', async () => {
    const { open, stored } = freshWall()
    const wire = loses()
    const window = open({
      wire: (request, reach) =>
        request.intent === 'undo' ? Promise.reject(new NoAnswer('tooLong')) : wire(request, reach),
    })
    await window.change('survey', wide(150))
    await window.saver.step('undo')
    expect(window.saver.store.getState().note).toMatch(/can’t be reached/)
    expect([stored().width, window.status()]).toEqual([inches(150), 'saved'])
  })
})

describe('what an earlier visit left', () => {
  const away: Wire = () => Promise.reject(new NoAnswer('unreachable'))

  async function leftBehind(to: (survey: Survey) => Survey) {
    const wall = freshWall()
    const storage = shelf()
    const window = wall.open({ wire: away, storage })
    await window.change('survey', to)
    const visit = async (more = {}) => {
      const next = wall.open({ storage, ...more })
      const end = next.saver.start()
      await jest.advanceTimersByTimeAsync(0)
      return { next, end }
    }
    return { ...wall, storage, visit }
  }

  test('is saved at the next, and said', async () => {
    const { visit, stored, storage } = await leftBehind(wide(163))
    const { next } = await visit()
    expect([stored().width, next.body('survey').width, next.status()]).toEqual([
      inches(163),
      inches(163),
      'saved',
    ])
    expect(next.saver.store.getState().note).toMatch(/kept in this browser/)
    expect(storage.length).toBe(0)
  })

  test('stays kept while the server is away', async () => {
    const { visit, stored, storage } = await leftBehind(wide(163))
    const { next, end } = await visit({ wire: away })
    expect(next.status()).toBe('failed')
    expect(storage.length).toBeGreaterThan(0)
    // it does not pass for saved while it is not
    await jest.advanceTimersByTimeAsync(RETRY_MS[0] + 10)
    expect(next.status()).toBe('failed')
    end()
    // tried again by itself it is, without another visit
    await visit({ wire: loses('request') })
    expect(stored().width).toBe(inches(120))
    await jest.advanceTimersByTimeAsync(RETRY_MS[0])
    expect([stored().width, storage.length]).toEqual([inches(163), 0])
  })

  test('that reached the server after all is nothing to tell', async () => {
    const { open, stored } = freshWall()
    const storage = shelf()
    await open({ wire: loses('answer'), storage }).change('survey', wide(163))
    const next = open({ storage })
    next.saver.start()
    await jest.advanceTimersByTimeAsync(0)
    expect([stored().width, next.saver.store.getState().note, storage.length]).toEqual([inches(163), null, 0])
  })

  test('that arrived while the page was left clashes with nobody, whatever was changed since', async () => {
    const { open, stored } = freshWall()
    const storage = shelf()
    const leaving = open({ storage, leavingArrives: true })
    const end = leaving.saver.start()
    leaving.put('survey', wide(163))
    end()
    expect(stored().width).toBe(inches(163))
    await open().change('survey', wide(171))
    const next = open({ storage })
    next.saver.start()
    await jest.advanceTimersByTimeAsync(0)
    expect([next.status(), stored().width, storage.length]).toEqual(['saved', inches(171), 0])
  })

  test('a page that comes back from the browser’s memory goes on where it was', async () => {
    const { open, stored } = freshWall()
    const window = open({ leavingArrives: true })
    window.saver.start()
    window.put('survey', wide(163))
    globalThis.window.dispatchEvent(new Event('pagehide'))
    window.put('survey', wide(164))
    globalThis.window.dispatchEvent(new Event('pageshow'))
    await jest.advanceTimersByTimeAsync(0)
    expect([window.status(), stored().width]).toEqual(['saved', inches(164)])
  })

  test.each([
    ['mine', 163],
    ['theirs', 155],
  ] as const)('and another window changed since is asked about: %s', async (keep, width) => {
    const { visit, open, stored } = await leftBehind((survey) => high(102)(wide(163)(survey)))
    await open().change('survey', wide(155))
    const { next } = await visit()
    expect([next.status(), stored().width]).toEqual(['clash', inches(155)])
    await next.saver.settle(keep)
    expect([next.status(), stored().width, next.body('survey').width]).toEqual([
      'saved',
      inches(width),
      inches(width),
    ])
  })

  test('and that can’t be saved is told, not tried for ever; what can’t be read is left alone', async () => {
    const { visit, storage } = await leftBehind((survey) => ({ ...survey, width: inches(-4) }))
    const { next } = await visit()
    expect(next.saver.store.getState().note).toMatch(/could not be saved.*zero/)
    expect([next.status(), storage.length]).toEqual(['saved', 0])
    storage.setItem(`regla unsent x y`, '{')
    expect(() => next.saver.start()).not.toThrow()
  })
})

test('a law: two windows, each with its own measure, over a wire that loses anything: nothing is lost, nothing clashes', async () => {
  const act = fc.record({
    who: fc.nat(1),
    to: fc.integer({ min: 60, max: 200 }),
    lost: fc.constantFrom('request' as const, 'answer' as const, null),
    send: fc.boolean(),
  })
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 14 }), async (acts) => {
      const { open, stored } = freshWall()
      let lost: 'request' | 'answer' | null = null
      const wire: Wire = (request, reach) => loses(...(lost ? [lost] : []))(request, reach)
      const windows = [open({ wire }), open({ wire })]
      const last: (number | null)[] = [null, null]
      const set = (window: Window, who: number, to: number) =>
        window.put('survey', who === 0 ? wide(to) : high(to))
      for (const { who, to, lost: loss, send } of acts) {
        const window = windows[who]
        if (!window) throw new Error('no window')
        set(window, who, to)
        last[who] = to
        lost = loss
        if (send) await window.saver.flush()
      }
      lost = null
      for (const window of [...windows, ...windows]) await window.saver.flush()
      expect(windows.map((window) => window.status())).toEqual(['saved', 'saved'])
      expect([stored().width, stored().height]).toEqual([inches(last[0] ?? 120), inches(last[1] ?? 96)])
    }),
    { numRuns: 60 },
  )
})

test('what waits of a document is found on whichever page it was changed, with the page that sends it', () => {
  const storage = shelf()
  const [id, other] = ['options-w', 'survey-w']
  expect(unsentOfDocument(storage, id)).toBeNull()
  const body = { version: 1, chosen: 'two', list: [] } as never
  unsentKeeper(storage, 'wall/two', 'visit 1').keep({ documents: [{ id, base: 3, body }], after: [] })
  unsentKeeper(storage, 'wall/one', 'visit 2').keep({ documents: [{ id: other, base: 3, body }], after: [] })
  expect(unsentOfDocument(storage, id)).toEqual({ page: 'wall/two', body })
  unsentKeeper(storage, 'wall/two', 'visit 1').forget()
  expect(unsentOfDocument(storage, id)).toBeNull()
  expect(unsentOfDocument(null, id)).toBeNull()
})
