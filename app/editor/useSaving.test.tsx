import { act, renderHook, waitFor } from '@testing-library/react'
import { inches } from '~/length'
import { wallOf } from '../../tests/namedWalls'
import type { SavedState, SaveRequest } from './saveClient'
import { useSaving } from './useSaving'

const state = (width: number, revision: number, canUndo = true): SavedState => {
  const { wall, settings } = wallOf({ width: inches(width) })
  return { wall, settings, revisions: { wall: revision, settings: 1 }, history: { canUndo, canRedo: false } }
}

type Answer = { status?: number; body: unknown } | 'unreachable'

/** Stands in for the server: answers in turn and keeps what it was asked. */
function serverWith(...answers: Answer[]) {
  const asked: SaveRequest[] = []
  globalThis.fetch = ((_url: string, init?: RequestInit) => {
    asked.push(JSON.parse(String(init?.body)) as SaveRequest)
    const answer = answers.shift() ?? 'unreachable'
    if (answer === 'unreachable') return Promise.reject(new Error('no server'))
    return Promise.resolve({
      status: answer.status ?? 200,
      json: () => Promise.resolve(answer.body),
    } as Response)
  }) as typeof fetch
  return asked
}

const saved = (width: number, revision: number): Answer => ({
  body: { kind: 'saved', state: state(width, revision) },
})

function start() {
  const replaced: SavedState[] = []
  const initial = state(120, 5, false)
  const replace = (next: SavedState) => replaced.push(next)
  const { result } = renderHook(() => useSaving('/document', initial, replace))
  return { result, replaced }
}

describe('saving', () => {
  test('several changes within the pause are one save, of the last, on top of what was read', async () => {
    const asked = serverWith(saved(152, 6))
    const { result } = start()
    act(() => {
      for (const width of [150, 151, 152]) result.current.saveSoon(wallOf({ width: inches(width) }), 10)
    })
    expect(result.current.status.kind).toBe('waiting')
    await waitFor(() => expect(result.current.status.kind).toBe('saved'))
    expect(asked).toHaveLength(1)
    expect(asked[0]).toMatchObject({ intent: 'save', base: { wall: 5, settings: 1 }, overwrite: false })
    expect(asked[0]?.intent === 'save' && asked[0].wall.survey.width).toBe(inches(152))
    expect(result.current.history.canUndo).toBe(true)
  })

  test('the next save stands on the revision the last one gave', async () => {
    const asked = serverWith(saved(150, 6), saved(151, 7))
    const { result } = start()
    act(() => result.current.saveSoon(wallOf({ width: inches(150) }), 1))
    await waitFor(() => expect(result.current.status.kind).toBe('saved'))
    act(() => result.current.saveSoon(wallOf({ width: inches(151) }), 1))
    await waitFor(() => expect(asked).toHaveLength(2))
    expect(asked[1]).toMatchObject({ base: { wall: 6 } })
  })

  test('out of reach: it says so, keeps the change, and saves it when asked again', async () => {
    const asked = serverWith('unreachable', saved(150, 6))
    const { result } = start()
    act(() => result.current.saveSoon(wallOf({ width: inches(150) }), 1))
    await waitFor(() => expect(result.current.status.kind).toBe('failed'))
    await act(() => result.current.saveNow())
    expect(result.current.status.kind).toBe('saved')
    expect(asked[1]?.intent === 'save' && asked[1].wall.survey.width).toBe(inches(150))
  })

  test('a server error is a failure, not an answer', async () => {
    serverWith({ status: 500, body: {} })
    const { result } = start()
    act(() => result.current.saveSoon(wallOf(), 1))
    await waitFor(() => expect(result.current.status.kind).toBe('failed'))
  })

  test('another window saved: mine is kept by asking, theirs by taking it over', async () => {
    const conflict: Answer = { body: { kind: 'conflict', state: state(140, 9) } }
    const asked = serverWith(conflict, saved(150, 10))
    const mine = start()
    act(() => mine.result.current.saveSoon(wallOf({ width: inches(150) }), 1))
    await waitFor(() => expect(mine.result.current.status.kind).toBe('conflict'))
    await act(() => mine.result.current.settleConflict('mine'))
    expect(asked[1]).toMatchObject({ overwrite: true })
    expect(mine.result.current.status.kind).toBe('saved')

    serverWith(conflict)
    const theirs = start()
    act(() => theirs.result.current.saveSoon(wallOf({ width: inches(150) }), 1))
    await waitFor(() => expect(theirs.result.current.status.kind).toBe('conflict'))
    await act(() => theirs.result.current.settleConflict('theirs'))
    expect(theirs.replaced.map(({ wall }) => wall.survey.width)).toEqual([inches(140)])
  })

  test('undo first saves what is waiting, then shows what the server gives back', async () => {
    const asked = serverWith(saved(150, 6), saved(120, 5))
    const { result, replaced } = start()
    act(() => result.current.saveSoon(wallOf({ width: inches(150) }), 5000))
    await act(() => result.current.step('undo'))
    expect(asked.map(({ intent }) => intent)).toEqual(['save', 'undo'])
    expect(replaced.map(({ wall }) => wall.survey.width)).toEqual([inches(120)])
  })

  test('a step that is refused says why and changes nothing', async () => {
    serverWith({ status: 422, body: { kind: 'refused', problems: ['in use on: Dormer.'] } })
    const { result, replaced } = start()
    await act(() => result.current.step('undo'))
    expect(result.current.status).toEqual({ kind: 'failed', why: 'in use on: Dormer.' })
    expect(replaced).toEqual([])
  })
})
