import { keptWorker } from './keptWorker'

/** A worker that is never there, or breaks: it answers nothing by itself. */
class Silent extends EventTarget {
  ended = false
  postMessage() {
    return undefined
  }
  terminate() {
    this.ended = true
  }
}

interface Api {
  think: () => Promise<string>
}
const never = () => new Promise<string>(() => undefined)

function kept() {
  const started: Silent[] = []
  const workers = keptWorker<Api>(() => {
    const worker = new Silent()
    started.push(worker)
    return worker as unknown as Worker
  })
  return { started, workers }
}

describe('a worker that is supervised', () => {
  test('one that hangs is ended at its deadline, and what is in hand is the answer', async () => {
    const { started, workers } = kept()
    const job = workers.run(never, { ms: 10, inHand: () => 'the best so far' })
    expect(await job.answer).toBe('the best so far')
    expect(started.map(({ ended }) => ended)).toEqual([true])
    await expect(workers.run(never, { ms: 10, inHand: () => null }).answer).rejects.toThrow('out of time')
  })

  test('one that can’t be loaded is told at once, even if it broke before it was asked; the next is started anew', async () => {
    const { started, workers } = kept()
    workers.warmUp()
    const first = workers.run(never)
    started[0]?.dispatchEvent(new Event('error'))
    await expect(first.answer).rejects.toThrow('broke down')
    workers.warmUp()
    started[1]?.dispatchEvent(new Event('error'))
    const second = workers.run(() => Promise.resolve('answered'))
    expect(await second.answer).toBe('answered')
    expect(started).toHaveLength(3)
  })

  test('one that has answered is kept for the next; one that is not wanted any more is ended', async () => {
    const { started, workers } = kept()
    expect(await workers.run(() => Promise.resolve('one')).answer).toBe('one')
    const job = workers.run(never)
    expect(started).toHaveLength(1)
    job.cancel()
    expect(started[0]?.ended).toBe(true)
  })
})
