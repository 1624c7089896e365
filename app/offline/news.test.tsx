import { copy, keptAtText } from './copy'
import { holds, inHand } from './inHand'
import { askForNews, listenToNews, newer, wallCameKept } from './news'

/** What the server answers next; null where it is away. */
let served: { news: string; build?: string } | null = { news: 'a-1' }
const asked = jest.fn(() =>
  served
    ? Promise.resolve({ ok: true, redirected: false, json: () => Promise.resolve(served) })
    : Promise.reject(new TypeError('away')),
)
const settle = async () => {
  await new Promise((done) => setTimeout(done, 5))
}
let ends: (() => void)[] = []
const listen = (bring: () => Promise<boolean>, how: Parameters<typeof listenToNews>[1] = {}) =>
  ends.push(listenToNews(bring, how))

beforeEach(() => {
  Object.assign(globalThis, { fetch: asked })
  Object.assign(AbortSignal, { timeout: () => new AbortController().signal })
  served = { news: 'a-1' }
})
afterEach(() => {
  for (const end of ends) end()
  ends = []
  copy.setState({ at: null, state: 'fresh' })
})

test('whoever shows something is brought up once for each news, and what the server just brought only after the next', async () => {
  const [wall, list] = [jest.fn(() => Promise.resolve(true)), jest.fn(() => Promise.resolve(true))]
  listen(wall)
  await settle()
  listen(list, { isNew: true })
  await settle()
  expect([wall.mock.calls.length, list.mock.calls.length]).toEqual([1, 0])
  await askForNews()
  expect(wall).toHaveBeenCalledTimes(1)
  served = { news: 'a-2' }
  await askForNews()
  expect([wall.mock.calls.length, list.mock.calls.length]).toEqual([2, 1])
})

test('what could not be brought is asked for again', async () => {
  let isReached = false
  const wall = jest.fn(() => Promise.resolve(isReached))
  listen(wall)
  await settle()
  isReached = true
  await askForNews()
  await askForNews()
  expect(wall).toHaveBeenCalledTimes(2)
})

test('a kept copy is one until its wall was compared; away it stays one, and is compared when the server is back', async () => {
  let isReached = true
  const wall = jest.fn(() => Promise.resolve(isReached))
  listen(wall, { wall: '/w1' })
  await settle()
  isReached = false
  wallCameKept('/w1', '10:02 AM')
  await settle()
  expect(copy.getState()).toEqual({ at: '10:02 AM', state: 'checking' })
  served = null
  await askForNews()
  expect(copy.getState()).toEqual({ at: '10:02 AM', state: 'away' })
  served = { news: 'a-1' }
  isReached = true
  await askForNews()
  expect(copy.getState()).toEqual({ at: null, state: 'fresh' })
})

test('a wall that came kept before its page was up is a copy from its first moment, whatever else was brought meanwhile', async () => {
  const list = jest.fn(() => Promise.resolve(true))
  listen(list)
  await settle()
  wallCameKept('/w2', '9:15 AM')
  await settle()
  // no wall is shown yet, and the one shown before was another
  expect(copy.getState().state).toBe('fresh')
  let isReached = false
  const end = listenToNews(() => Promise.resolve(isReached), { wall: '/w2' })
  expect(copy.getState()).toEqual({ at: '9:15 AM', state: 'checking' })
  await settle()
  expect(copy.getState().state).toBe('checking')
  // left without having been compared, and opened again: still a copy
  end()
  expect(copy.getState().state).toBe('fresh')
  listen(() => Promise.resolve(isReached), { wall: '/w2' })
  expect(copy.getState()).toEqual({ at: '9:15 AM', state: 'checking' })
  await settle()
  isReached = true
  await askForNews()
  expect(copy.getState().state).toBe('fresh')
  listen(() => Promise.resolve(true), { wall: '/w2' })
  expect(copy.getState().state).toBe('fresh')
})

test('a build that is not the page’s own is told, and one that is said by nobody is none', async () => {
  document.documentElement.dataset.build = 'one'
  served = { news: 'a-1', build: 'one' }
  await askForNews()
  expect(newer.getState().isThere).toBe(false)
  served = { news: 'a-1', build: 'two' }
  await askForNews()
  expect(newer.getState().isThere).toBe(true)
  served = { news: 'a-1' }
  await askForNews()
  expect(newer.getState().isThere).toBe(false)
})

test('something is in hand as long as anybody holds something', () => {
  const [saver, outbox] = [{}, {}]
  holds(saver, true)
  holds(outbox, true)
  holds(saver, false)
  expect(inHand.getState().some).toBe(true)
  holds(outbox, false)
  expect(inHand.getState().some).toBe(false)
})

test('when a copy was made is said by the clock, with its day where that was not today', () => {
  const now = new Date(2031, 4, 6, 15, 30)
  expect(keptAtText(new Date(2031, 4, 6, 10, 2), now)).toMatch(/^10:02\sAM$/)
  expect(keptAtText(new Date(2031, 4, 5, 10, 2), now)).toMatch(/^May 5, 10:02\sAM$/)
})
