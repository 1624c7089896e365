import { type Length, nearestNanometer } from '~/length'
import type { Placement } from '../spacing'

/** How a wall that turned out wider or narrower than laid out can take up the difference. */
export type Uptake = 'even' | 'oneBay' | 'endBays' | 'ends'

/** One way to take it up: where the strips then stand on the new span. */
export interface NewWidthWay {
  readonly uptake: Uptake
  readonly nearEdges: readonly Length[]
}

/**
 * The ways out when a span laid out with strips at its ends turns out to be `by` longer (shorter where negative): even
 * everywhere, all in the middle bay, half in each end bay, or hidden at the two ends (wider end strips or fillers).
 * Common practice, no source.
 */
export function newWidthWays(before: Placement, by: number): NewWidthWay[] {
  const { nearEdges, gaps } = before
  const bays = gaps.length
  if (bays < 1 || by === 0) return []
  const middle = Math.floor(bays / 2)
  const ways: { uptake: Uptake; move: (strip: number) => number }[] = [
    { uptake: 'even', move: (strip) => (by * strip) / bays },
    { uptake: 'oneBay', move: (strip) => (strip > middle ? by : 0) },
    { uptake: 'endBays', move: (strip) => (strip === 0 ? 0 : strip === bays ? by : by / 2) },
    { uptake: 'ends', move: () => by / 2 },
  ]
  return ways
    .filter(({ uptake }) => uptake !== 'ends' || by > 0)
    .map(({ uptake, move }) => ({
      uptake,
      nearEdges: nearEdges.map((edge, i) => nearestNanometer(edge + move(i))),
    }))
}
