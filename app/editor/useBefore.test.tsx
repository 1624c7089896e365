import { renderHook } from '@testing-library/react'
import { type Totals, useBefore } from './useBefore'

const totals = (boards: number): Totals => ({ pieces: 17, boards, cost: boards * 100 })

test('what was before is told after a change that moved the totals, not after a plan that was only proven', () => {
  const { result, rerender } = renderHook(({ now, settled }) => useBefore(now, settled), {
    initialProps: { now: totals(11), settled: false },
  })
  // the first plan, made better by the proof
  rerender({ now: totals(10), settled: true })
  expect(result.current).toBeNull()
  // something is added: told once the new boards are worked out
  rerender({ now: totals(13), settled: false })
  expect(result.current).toBeNull()
  rerender({ now: totals(12), settled: true })
  expect(result.current).toEqual(totals(10))
  // nothing moved: the same stands
  rerender({ now: totals(12), settled: true })
  expect(result.current).toEqual(totals(10))
})
