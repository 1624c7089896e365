import { inches } from '~/length'
import { type Edit, inForce, type Workpiece } from '~/model'
import { openDatabase } from '~/server/db/database.server'
import { createJob } from '~/server/jobs.server'
import { createWall } from '~/server/walls.server'
import { wallWindow, type Window } from './windows'
import { createWallStore, FOLLOWS_AFTER_MS } from '~/editor/wallStore'

const heightOf = (at: number): Edit => ({ type: 'setHeight', height: inches(at) })
const typedHeight = (at: number): Edit => ({
  type: 'patchDesign',
  patch: { height: { rule: 'typed', value: inches(at) } },
})
const lock: Edit = { type: 'patchDesign', patch: { locked: true } }

function heightIn({ wall }: Workpiece): unknown {
  const { height } = inForce(wall.design)
  return height.rule === 'typed' ? height.value / inches(1) : height.rule
}

/** A wall in hand, frames that come when the test says so, and what the server got. */
function start() {
  const frames: (() => void)[] = []
  globalThis.requestAnimationFrame = (draw) => frames.push(() => draw(0))
  globalThis.cancelAnimationFrame = (id) => (frames[id - 1] = () => undefined)
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Loft', client: '', units: 'inches', tape: '1/16' })
  const ids = { jobId, wallId: createWall(db, { jobId, roomName: 'Loft', name: 'Knee wall' }) }
  let sent = 0
  const window: Window = wallWindow(db, ids, {
    wire: (_, reach) => {
      sent += 1
      return Promise.resolve(reach())
    },
  })
  const wall = createWallStore(window.saver)
  const end = wall.start()
  const state = () => wall.store.getState()
  return {
    wall,
    end,
    state,
    now: () => heightIn(state().now),
    shown: () => heightIn(state().shown),
    stored: () => inForce(wallWindow(db, ids).body('design')),
    other: () => wallWindow(db, ids),
    sent: () => sent,
    draw: () => frames.splice(0).forEach((frame) => frame()),
    pass: (ms: number) => jest.advanceTimersByTimeAsync(ms),
  }
}

beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { window: new EventTarget() })
})
afterEach(() => jest.useRealTimers())

describe('the wall in hand', () => {
  test('a pulled handle is carried out once a frame, with the last place it came to; what shows it follows when it rests', async () => {
    const { wall, now, shown, draw, pass } = start()
    let drawn = 0
    wall.store.subscribe(() => (drawn += 1))
    wall.hold()
    for (const at of [40, 41, 42]) wall.pull([heightOf(at)], 'live')
    expect([now(), drawn]).toEqual(['twoThirds', 1])
    draw()
    expect([now(), shown(), drawn]).toEqual([42, 'twoThirds', 2])
    await pass(FOLLOWS_AFTER_MS - 20)
    wall.pull([heightOf(44)], 'live')
    draw()
    await pass(FOLLOWS_AFTER_MS - 20)
    expect(shown()).toBe('twoThirds')
    await pass(30)
    expect(shown()).toBe(44)
  })

  test('an edit from a panel that is behind leaves alone what it does not speak of', async () => {
    const { wall, now, state, draw, pass, stored } = start()
    wall.hold()
    wall.pull([heightOf(42)], 'live')
    draw()
    wall.edit(wall.store.getState().shown, [lock], 'done')
    expect([now(), inForce(state().now.wall.design).locked]).toEqual([42, true])
    wall.release()
    await pass(10)
    expect(stored()).toMatchObject({ locked: true, height: { value: inches(42) } })
  })

  test('two edits pressed on the same picture of the wall both come', () => {
    const { wall, now, state } = start()
    const drawn = state().shown
    wall.edit(drawn, [lock], 'done')
    wall.edit(drawn, [typedHeight(50)], 'done')
    expect([now(), inForce(state().now.wall.design).locked]).toEqual([50, true])
    // what the picture did not have yet is not what its edit takes back
    wall.edit(drawn, [lock], 'done')
    expect(now()).toBe(50)
  })

  test('an edit that is done comes after what still waits for its frame, and one that changes nothing is dropped', async () => {
    const { wall, now, state, draw, sent } = start()
    wall.hold()
    wall.pull([heightOf(40)], 'live')
    wall.edit(wall.store.getState().shown, [typedHeight(50)], 'done')
    expect(now()).toBe(50)
    draw()
    expect(now()).toBe(50)
    const same = state().now
    wall.edit(wall.store.getState().shown, [typedHeight(50)], 'done')
    expect(state().now).toBe(same)
    expect(sent()).toBe(0)
  })

  test('while a handle is held nothing is saved; let go, it is, once', async () => {
    const { wall, state, draw, pass, sent, stored } = start()
    wall.hold()
    wall.pull([heightOf(40)], 'live')
    draw()
    await pass(5_000)
    expect([sent(), state().held]).toEqual([0, true])
    wall.pull([heightOf(44)], 'live')
    wall.release()
    await pass(10)
    expect([sent(), state().held]).toEqual([1, false])
    expect(stored().height).toMatchObject({ value: inches(44) })
  })

  test('what is typed is drawn and waits; taken back, the wall is as it was', async () => {
    const { wall, now, state, pass, sent, stored } = start()
    const before = state().now
    wall.edit(wall.store.getState().shown, [typedHeight(4)], 'typed')
    wall.edit(wall.store.getState().shown, [typedHeight(48)], 'typed')
    expect(now()).toBe(48)
    await pass(5_000)
    expect(sent()).toBe(0)
    wall.restore(before)
    await pass(10)
    expect([now(), stored().height.rule]).toEqual(['twoThirds', 'twoThirds'])
  })

  test('an arrow key moves from where the last one came to, though panels are behind', () => {
    const { wall, now } = start()
    wall.pull([heightOf(40)], 'typed')
    wall.pull([heightOf(41)], 'typed')
    expect(now()).toBe(41)
  })

  test('what another window saved is shown, also under the hand', async () => {
    const { wall, state, now, draw, pass, other } = start()
    await other().change('survey', (survey) => ({ ...survey, width: inches(133) }))
    wall.hold()
    wall.pull([heightOf(40)], 'live')
    draw()
    wall.release()
    await pass(10)
    expect([now(), state().shown.wall.survey.width]).toEqual([40, inches(133)])
    // text that can't be read stays in its field; a step puts it aside
    const odd = { text: '12 q', problem: 'q?' }
    wall.reportUnread('survey.height', odd)
    await other().change('survey', (survey) => ({ ...survey, width: inches(134) }))
    wall.edit(wall.store.getState().shown, [lock], 'done')
    await pass(500)
    expect([state().unread, state().now.wall.survey.width]).toEqual([{ 'survey.height': odd }, inches(134)])
    await wall.saver.step('undo')
    expect(state().unread).toEqual({})
  })

  test('taken down, what waits is carried out and nothing goes on by itself', async () => {
    const { wall, end, now } = start()
    wall.hold()
    wall.pull([heightOf(40)], 'live')
    end()
    expect(now()).toBe(40)
    expect(jest.getTimerCount()).toBe(0)
  })
})
