import { act, renderHook } from '@testing-library/react'
import { inches } from '~/length'
import { type Edit, inForce } from '~/model'
import { wallOf } from '../../tests/namedWalls'
import type { SavedState, SaveRequest } from './saveClient'
import { useHands } from './useHands'

const { wall, settings } = wallOf()
const saved: SavedState = {
  wall,
  settings,
  revisions: { wall: 1, settings: 1 },
  history: { canUndo: false, canRedo: false },
}
const heightOf = (at: number): Edit => ({ type: 'setHeight', height: inches(at) })
const typedHeight = (at: number): Edit => ({
  type: 'patchDesign',
  patch: { height: { rule: 'typed', value: inches(at) } },
})

/** Frames that come when the test says so, a server that keeps what it is sent. */
function start() {
  const frames: (() => void)[] = []
  globalThis.requestAnimationFrame = (draw) => frames.push(() => draw(0))
  globalThis.cancelAnimationFrame = (id) => (frames[id - 1] = () => undefined)
  const asked: SaveRequest[] = []
  globalThis.fetch = ((_url: string, init?: RequestInit) => {
    const request = JSON.parse(String(init?.body)) as SaveRequest
    asked.push(request)
    const state = request.intent === 'save' ? { ...saved, wall: request.wall } : saved
    return Promise.resolve({ status: 200, json: () => Promise.resolve({ kind: 'saved', state }) } as Response)
  }) as typeof fetch
  let drawn = 0
  const lookAt = () => undefined
  const { result } = renderHook(() => {
    drawn += 1
    return useHands('/document', saved, lookAt)
  })
  const heights = () => {
    const { height } = inForce(result.current.workpiece.wall.design)
    return height.rule === 'typed' ? height.value / inches(1) : height.rule
  }
  return {
    result,
    asked,
    heights,
    draw: () => frames.splice(0).forEach((frame) => frame()),
    drawn: () => drawn,
  }
}

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

describe('the wall in hand', () => {
  test('a pulled handle is carried out once a frame, with the last place it came to', () => {
    const { result, heights, draw, drawn } = start()
    const before = drawn()
    act(() => {
      result.current.hold()
      for (const at of [40, 41, 42]) result.current.edit([heightOf(at)], 'live')
    })
    expect(heights()).toBe('twoThirds')
    act(draw)
    expect(heights()).toBe(42)
    expect(drawn() - before).toBeLessThanOrEqual(3)
  })

  test('an edit that is done comes after what is still waiting, and an edit that changes nothing is dropped', () => {
    const { result, heights, draw, asked } = start()
    act(() => {
      result.current.hold()
      result.current.edit([heightOf(40)], 'live')
      result.current.edit([typedHeight(50)], 'done')
    })
    expect(heights()).toBe(50)
    act(draw)
    expect(heights()).toBe(50)
    const same = result.current.workpiece
    act(() => result.current.edit([typedHeight(50)], 'done'))
    expect(result.current.workpiece).toBe(same)
    expect(asked).toEqual([])
  })

  test('while a handle is held nothing is saved; let go, it is, once', async () => {
    const { result, asked, draw } = start()
    act(() => {
      result.current.hold()
      result.current.edit([heightOf(40)], 'live')
    })
    act(draw)
    await act(() => jest.advanceTimersByTimeAsync(5_000))
    expect(asked).toEqual([])
    expect(result.current.held).toBe(true)
    act(() => {
      result.current.edit([heightOf(44)], 'live')
      result.current.release()
    })
    await act(() => jest.advanceTimersByTimeAsync(10))
    expect(result.current.held).toBe(false)
    expect(asked).toHaveLength(1)
    const [request] = asked
    expect(request?.intent === 'save' && inForce(request.wall.design).height).toMatchObject({
      value: inches(44),
    })
  })

  test('what is typed is drawn and waits; taken back, the wall is as it was', async () => {
    const { result, asked, heights } = start()
    const before = result.current.workpiece
    act(() => result.current.edit([typedHeight(4)], 'typed'))
    act(() => result.current.edit([typedHeight(48)], 'typed'))
    await act(() => jest.advanceTimersByTimeAsync(5_000))
    expect(heights()).toBe(48)
    expect(asked).toEqual([])
    await act(async () => {
      result.current.restore(before)
      await jest.advanceTimersByTimeAsync(10)
    })
    expect(heights()).toBe('twoThirds')
    expect(result.current.saving.status.kind).toBe('saved')
    expect(asked.map((request) => request.intent === 'save' && request.wall)).toEqual([before.wall])
  })
})
