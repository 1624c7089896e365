import { createOutbox } from '~/editor/saving/outbox'
import { RETRY_MS } from '~/editor/saving/saver'
import { inches } from '~/length'
import type { Act } from '~/model'
import { shelf } from './windows'

const act = (n: number): Act => ({
  id: `act-${String(n).padStart(6, '0')}`,
  kind: 'marked',
  strip: `batten-${n}`,
  left: inches(n),
  doneAt: n,
})

function start({ away = 0, storage = shelf(), known = [] as Act[] } = {}) {
  const got: string[][] = []
  const outbox = createOutbox('wall', known, {
    shelf: storage,
    send: (acts) => {
      if (away > 0) {
        away -= 1
        return Promise.reject(new Error('away'))
      }
      got.push(acts.map(({ id }) => id))
      return Promise.resolve(true)
    },
  })
  return { outbox, got, storage, state: () => outbox.store.getState(), end: outbox.start() }
}

beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { window: new EventTarget() })
})
afterEach(() => jest.useRealTimers())

describe('what is done at the wall', () => {
  test('counts at once, and is sent', async () => {
    const { outbox, got, state } = start({ known: [act(1)] })
    outbox.record(act(2))
    outbox.record(act(3))
    expect(state().acts.map((act) => 'strip' in act && act.strip)).toEqual([
      'batten-1',
      'batten-2',
      'batten-3',
    ])
    await jest.advanceTimersByTimeAsync(0)
    expect(got.flat()).toEqual([act(2).id, act(3).id])
    expect(state().waiting).toEqual([])
  })

  test('while the server is away it waits, is tried again, and outlives the page', async () => {
    const first = start({ away: 9 })
    first.outbox.record(act(2))
    await jest.advanceTimersByTimeAsync(0)
    first.outbox.record(act(3))
    await jest.advanceTimersByTimeAsync(RETRY_MS[0])
    expect(first.got).toEqual([])
    first.end()
    const next = start({ storage: first.storage, known: [act(2)] })
    expect(next.state().acts).toEqual([act(2), act(3)])
    await jest.advanceTimersByTimeAsync(0)
    expect(next.got).toEqual([[act(2).id, act(3).id]])
    expect(next.storage.length).toBe(0)
    const again = start({ away: 1 })
    again.outbox.record(act(4))
    await jest.advanceTimersByTimeAsync(RETRY_MS[0])
    expect(again.got).toEqual([[act(4).id]])
  })

  test('back on the network it is sent at once; storage that can’t be read is left alone', async () => {
    const storage = shelf()
    storage.setItem('regla acts wall', '[1, {"id": 4}]')
    const { outbox, got, state } = start({ away: 1, storage })
    expect(state().acts).toEqual([])
    outbox.record(act(5))
    await jest.advanceTimersByTimeAsync(0)
    globalThis.window.dispatchEvent(new Event('online'))
    await jest.advanceTimersByTimeAsync(0)
    expect(got).toEqual([[act(5).id]])
  })
})
