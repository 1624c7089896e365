import { inches, type Length, nearestNanometer } from '~/length'
import type { Spacing } from '~/model'

/** Carries what is there over to another school, so that the wall changes as little as it can. */
export function changeSchool(school: Spacing['school'], gapNow: number, edges: readonly Length[]): Spacing {
  const count = Math.max(1, edges.length)
  const gap = nearestNanometer(Math.max(inches(0.25), gapNow))
  switch (school) {
    case 'equalByCount':
      return { school, strips: Math.max(1, count), ends: 'gap' }
    case 'nearWish':
      return {
        school,
        wish: gap,
        measure: 'gap',
        least: nearestNanometer(gap * 0.6),
        most: nearestNanometer(gap * 1.5),
        ends: 'gap',
        strips: null,
      }
    case 'fromCenter':
      return { school, wish: gap, measure: 'gap', centerOn: 'strip', about: null }
    case 'fromEnd':
      return { school, wish: gap, measure: 'gap', end: 'left', startWith: 'gap' }
    case 'centerMarks':
      return { school, bays: Math.max(2, count + 1) }
    case 'toStuds':
      return { school, every: 1 }
    case 'placed':
      return { school, nearEdges: edges.length > 0 ? [...edges] : [gap] }
  }
}
