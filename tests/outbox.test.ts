import 'fake-indexeddb/auto'
import { type ActQueue, type AnyAct, browserQueue, memoryQueue } from '~/editor/saving/actQueue'
import { BUSY_MS, createOutbox } from '~/editor/saving/outbox'
import { RETRY_MS } from '~/editor/saving/saver'
import { inches } from '~/length'
import { type Act } from '~/model'
import { shelf } from './windows'

const act = (n: number, more: object = {}): Act => ({
  id: `act-${String(n).padStart(6, '0')}`,
  kind: 'marked',
  strip: `batten-${n}`,
  left: inches(n),
  doneAt: n,
  ...more,
})
let bases = 0
const newQueue = () => browserQueue(`regla-test-${++bases}`)

interface Start {
  readonly away?: number
  readonly queue?: ActQueue
  readonly known?: readonly Act[]
  readonly refuse?: readonly string[]
  readonly storage?: ReturnType<typeof shelf>
  readonly others?: readonly Act[]
}

function start({ away = 0, queue = newQueue(), known = [], refuse = [], storage, others }: Start = {}) {
  const got: string[][] = []
  let left = away
  const send = (_url: string, acts: readonly AnyAct[]) => {
    if (left > 0) {
      left -= 1
      return Promise.reject(new Error('away'))
    }
    if (acts.some(({ id }) => refuse.includes(id))) return Promise.resolve(false)
    got.push(acts.map(({ id }) => id))
    return Promise.resolve(true)
  }
  const load = others ? () => Promise.resolve(others) : null
  const outbox = createOutbox('wall', known, { url: '/acts', queue, send, load, shelf: storage ?? null })
  return { outbox, got, queue, state: () => outbox.store.getState(), end: outbox.start() }
}

/** The browser's database answers by itself: wait until something is so. */
async function until(is: () => boolean, tries = 400): Promise<void> {
  for (let i = 0; i < tries && !is(); i++) await new Promise((done) => setTimeout(done, 10))
  expect(is()).toBe(true)
}

beforeEach(() => {
  Object.assign(globalThis, { window: new EventTarget() })
})

describe('what is done at the wall', () => {
  test('counts at once, and is sent in order', async () => {
    const { outbox, got, state, end } = start({ known: [act(1)] })
    outbox.record(act(2))
    outbox.record(act(3))
    expect(state().acts.map((each) => 'strip' in each && each.strip)).toEqual([
      'batten-1',
      'batten-2',
      'batten-3',
    ])
    expect(state().waiting).toHaveLength(2)
    await until(() => state().waiting.length === 0)
    expect(got.flat()).toEqual([act(2).id, act(3).id])
    end()
  })

  test('while the server is away it waits, is tried again, and outlives the page', async () => {
    const first = start({ away: 99 })
    first.outbox.record(act(2))
    first.outbox.record(act(3))
    await until(() => first.state().waiting.length === 2)
    await new Promise((done) => setTimeout(done, 50))
    expect(first.got).toEqual([])
    first.end()
    const next = start({ queue: first.queue, known: [act(2)] })
    await until(() => next.state().acts.length === 2)
    expect(next.state().acts.map(({ id }) => id)).toEqual([act(2).id, act(3).id])
    await until(() => next.got.flat().length === 2)
    expect(next.got.flat()).toEqual([act(2).id, act(3).id])
    expect(await first.queue.waiting('wall')).toEqual([])
    next.end()
  })

  test('a page that was kept before something was sent still knows of it, until the server’s own page does', async () => {
    const first = start()
    first.outbox.record(act(4))
    await until(() => first.got.flat().length === 1 && first.state().waiting.length === 0)
    first.end()
    // the server is away: the page is the old one
    const old = start({ queue: first.queue, away: 99, known: [act(1)] })
    await until(() => old.state().acts.length === 2)
    expect(old.state().acts.map(({ id }) => id)).toEqual([act(1).id, act(4).id])
    expect(old.state().waiting).toEqual([])
    old.end()
    const fresh = start({ queue: first.queue, known: [act(1), act(4)] })
    await new Promise((done) => setTimeout(done, 50))
    expect(fresh.state().acts).toHaveLength(2)
    expect(await first.queue.sent('wall', new Set())).toEqual([])
    fresh.end()
  })

  test('tried again by itself, and at once when the network is back', async () => {
    const { outbox, got, end } = start({ away: 1 })
    outbox.record(act(5))
    await until(() => got.flat().length === 1)
    expect(RETRY_MS[0]).toBeLessThan(4_000)
    end()
    const far = start({ away: 3 })
    far.outbox.record(act(6))
    for (let i = 0; i < 4; i++) globalThis.window.dispatchEvent(new Event('online'))
    await until(() => far.got.flat().length === 1)
    far.end()
  })

  // before, an outbox left while it was sending set its timer again, and sent for ever beside the open one
  test('one whose page was left while it was sending tries no more', async () => {
    let tries = 0
    let answer = () => {}
    const queue: ActQueue = {
      ...newQueue(),
      drain: async () => {
        tries += 1
        await new Promise<void>((done) => (answer = done))
        return 'busy'
      },
    }
    const { end } = start({ queue })
    await until(() => tries === 1)
    end()
    answer()
    await new Promise((done) => setTimeout(done, 2 * BUSY_MS))
    expect(tries).toBe(1)
  })

  // before, each act recorded while the server was away added a timer of its own
  test('however many acts wait, there is one next try', async () => {
    let tries = 0
    const queue: ActQueue = {
      ...newQueue(),
      drain: () => {
        tries += 1
        return Promise.resolve('busy' as const)
      },
    }
    const { outbox, end } = start({ queue })
    for (const n of [1, 2, 3, 4, 5, 6]) outbox.record(act(n))
    await until(() => tries >= 7)
    await new Promise((done) => setTimeout(done, 1.5 * BUSY_MS))
    expect(tries).toBe(8)
    end()
  })

  test('500 that wait go in a few bundles, in order, none twice', async () => {
    const queue = newQueue()
    for (let n = 0; n < 500; n++) await queue.keep('wall', '/acts', act(n))
    const { got, state, end } = start({ queue })
    await until(() => got.flat().length === 500 && state().waiting.length === 0)
    expect(got.flat()).toEqual(Array.from({ length: 500 }, (_, n) => act(n).id))
    expect(got.length).toBeLessThanOrEqual(4)
    end()
  })

  test('one that the server will not take keeps no other waiting: it is put aside and shown', async () => {
    const { outbox, got, state, end, queue } = start({ refuse: [act(2).id] })
    for (const n of [1, 2, 3]) outbox.record(act(n))
    await until(() => state().refused.length === 1 && state().waiting.length === 0)
    expect(got.flat()).toEqual([act(1).id, act(3).id])
    expect((await queue.refused('wall')).map(({ id }) => id)).toEqual([act(2).id])
    outbox.forgetRefused()
    await until(() => state().refused.length === 0)
    end()
  })

  test('a full phone: it is told, and sent from the page itself', async () => {
    const { outbox, got, state, end } = start({ queue: memoryQueue(), away: 0 })
    outbox.record(act(1))
    await until(() => got.flat().length === 1)
    expect(state().waiting).toEqual([])
    end()
    let answer: 'away' | 'empty' = 'away'
    const away = { ...memoryQueue(), drain: () => Promise.resolve(answer) }
    const stuck = start({ queue: away })
    stuck.outbox.record(act(2))
    await until(() => stuck.state().full)
    expect(stuck.state().waiting.map(({ id }) => id)).toEqual([act(2).id])
    // the page alone knows of it: it is sent although the page was left
    stuck.end()
    answer = 'empty'
    await until(() => stuck.got.flat().length === 1, 900)
  })

  test('a clock that runs backwards turns nothing round, and is told', () => {
    const { outbox, state, end } = start({ known: [act(1, { doneAt: 1_000_000 })] })
    outbox.record(act(2, { doneAt: 500_000 }))
    outbox.record(act(3, { doneAt: 500_001 }))
    const at = state().acts.map(({ doneAt }) => doneAt)
    expect(at).toEqual([...at].sort((a, b) => a - b))
    expect(new Set(at).size).toBe(3)
    expect(state().clockBack).toBeGreaterThan(400_000)
    end()
  })

  test('what another phone did is taken in beside what waits here', async () => {
    const { outbox, state, end } = start({ away: 99, others: [act(7), act(8)] })
    outbox.record(act(2))
    await outbox.refresh()
    expect(
      state()
        .acts.map(({ id }) => id)
        .sort(),
    ).toEqual([act(2).id, act(7).id, act(8).id])
    end()
  })

  test('what an earlier build left on its shelf is sent too; what can’t be read there is left out', async () => {
    const storage = shelf()
    storage.setItem('regla acts wall', JSON.stringify([1, { id: 4 }, act(9)]))
    const { got, end } = start({ storage })
    await until(() => got.flat().length === 1)
    expect(got.flat()).toEqual([act(9).id])
    expect(storage.length).toBe(0)
    end()
  })

  test('while another part of the browser sends nothing counts as away: what it sent is seen at once, not at the next long try', async () => {
    let busy = 3
    const queue = newQueue()
    const shared: ActQueue = {
      ...queue,
      drain: (send) => (busy-- > 0 ? Promise.resolve('busy' as const) : queue.drain(send)),
    }
    const { outbox, got, state, end } = start({ queue: shared })
    const began = Date.now()
    outbox.record(act(3))
    await until(() => got.flat().length === 1 && state().waiting.length === 0)
    expect(Date.now() - began).toBeLessThan((RETRY_MS.at(-1) ?? 0) / 2)
    end()
  })

  test('two windows send each act once: the second finds the lock taken or the queue empty', async () => {
    let held = false
    const locks = {
      request: async (_name: string, _options: object, work: (lock: object | null) => Promise<unknown>) => {
        if (held) return work(null)
        held = true
        try {
          return await work({})
        } finally {
          held = false
        }
      },
    }
    Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true })
    const queue = newQueue()
    for (let n = 0; n < 50; n++) await queue.keep('wall', '/acts', act(n))
    const got: string[] = []
    const send = async (_url: string, acts: readonly AnyAct[]) => {
      await new Promise((done) => setTimeout(done, 5))
      got.push(...acts.map(({ id }) => id))
      return true
    }
    const ends = await Promise.all([queue.drain(send), queue.drain(send)])
    expect(ends.sort()).toEqual(['busy', 'empty'])
    expect(got).toEqual(Array.from({ length: 50 }, (_, n) => act(n).id))
  })
})
