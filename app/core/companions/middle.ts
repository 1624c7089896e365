import type { Middle } from '~/model'
import type { Layout } from '../layout/layout'
import { edgesAt } from '../layout/lean'
import { wholePiece } from '../strips/strip'
import { boundsOf } from '../geometry'

/** Where something is centered: its middle along the wall, and the span it is centered in; null where what it hangs on is gone. */
export function middleOf(
  middle: Middle,
  layout: Layout,
  height: number,
): { readonly x: number; readonly left: number; readonly right: number } | null {
  const span = (left: number, right: number) => ({ x: (left + right) / 2, left, right })
  switch (middle.on) {
    case 'wall':
      return span(layout.left, layout.right)
    case 'strip': {
      const strip = layout.strips.find(({ id }) => id === middle.strip)
      const face = strip && wholePiece(strip)?.face
      if (!face) return null
      const { left, right } = boundsOf(face)
      return span(left, right)
    }
    case 'bay': {
      const edges = layout.uprights.map((upright) => edgesAt(layout, upright, height))
      const all = [layout.left, ...edges.flatMap(({ left, right }) => [left, right]), layout.right]
      // from the end of the wall to the first upright, between each two, from the last to the other end; those of nothing left out
      const bays = Array.from(
        { length: edges.length + 1 },
        (_, i) => [all[2 * i] ?? 0, all[2 * i + 1] ?? 0] as const,
      )
      const bay = bays.filter(([left, right]) => right - left > 1)[middle.bay - 1]
      return bay ? span(bay[0], bay[1]) : null
    }
  }
}

/** How many bays there are to center something in. */
export function bayCount(layout: Layout): number {
  let count = 0
  while (count < 500 && middleOf({ on: 'bay', bay: count + 1 }, layout, 0)) count += 1
  return count
}
