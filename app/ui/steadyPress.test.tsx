import { fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { forgetTap, isMeant, SECOND_TAP_MS, standsNow, STANDS_STILL_MS } from './steadyPress'
import { SteadyButton } from './SteadyButton'

beforeEach(() => {
  forgetTap()
  jest.useRealTimers()
})

const still = { said: 'Cut', left: 10, top: 700, since: 0 }
const tap = (at: number, x = 100, y = 720) => ({ at, x, y })

describe('a tap that is meant', () => {
  test('comes no sooner than 600 ms after another at the same place', () => {
    expect(isMeant(still, tap(1_000))).toBe(true)
    expect(isMeant(still, tap(1_000 + SECOND_TAP_MS - 1))).toBe(false)
    // one that was not meant does not make the next one wait longer
    expect(isMeant(still, tap(1_000 + SECOND_TAP_MS))).toBe(true)
    expect(isMeant(still, tap(1_010 + SECOND_TAP_MS, 100, 300))).toBe(true)
  })

  test('lands on a button that has stood still, under the same words', () => {
    expect(isMeant({ ...still, since: 1_000 }, tap(1_000 + STANDS_STILL_MS - 1))).toBe(false)
    expect(isMeant({ ...still, since: 1_000 }, tap(1_000 + STANDS_STILL_MS))).toBe(true)
    expect(isMeant(null, tap(5_000))).toBe(true)
  })

  test('since when it stands still: drawn anew it stands as before, moved or named anew it does not', () => {
    expect(standsNow(null, still, 5).since).toBe(5)
    expect(standsNow(still, { ...still, left: 12 }, 5).since).toBe(0)
    expect(standsNow(still, { ...still, left: 15 }, 5).since).toBe(5)
    expect(standsNow(still, { ...still, top: 690 }, 5).since).toBe(5)
    expect(standsNow(still, { ...still, said: 'Release' }, 5).since).toBe(5)
  })
})

describe('a guarded button', () => {
  /** As at the saw: the list goes out, and in the same place a piece is ticked. */
  function AtSaw({ done }: { readonly done: (what: string) => void }) {
    const [released, setReleased] = useState(false)
    const say = released ? 'Cut' : 'Release'
    return (
      <SteadyButton
        onPress={() => {
          done(say)
          setReleased(true)
        }}
      >
        {say}
      </SteadyButton>
    )
  }
  const wait = (ms: number) => new Promise((ready) => setTimeout(ready, ms))

  // before, a double tap on Release ticked the first piece as cut as well
  test('of a double tap only the first half counts; a tap after it does what the button says then', async () => {
    const done = jest.fn()
    render(<AtSaw done={done} />)
    await wait(STANDS_STILL_MS + 20)
    const user = userEvent.setup()
    await user.dblClick(screen.getByRole('button'))
    expect(done.mock.calls).toEqual([['Release']])
    await wait(SECOND_TAP_MS)
    await user.click(screen.getByRole('button'))
    expect(done.mock.calls).toEqual([['Release'], ['Cut']])
  })

  test('one that has just come up does nothing yet; keys press on purpose', async () => {
    const done = jest.fn()
    render(<AtSaw done={done} />)
    const user = userEvent.setup()
    await user.click(screen.getByRole('button'))
    expect(done).not.toHaveBeenCalled()
    screen.getByRole('button').focus()
    await user.keyboard('{Enter}{Enter}')
    expect(done.mock.calls).toEqual([['Release'], ['Cut']])
    // a screen reader's click has no pointer
    fireEvent.click(screen.getByRole('button'), { detail: 0 })
    expect(done).toHaveBeenCalledTimes(3)
  })
})
