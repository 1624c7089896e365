/** A figure that wants to stand beside its place on a line. */
export interface Beside {
  readonly at: number
  readonly weight: 'first' | 'second'
}

/** Where a figure stands, by its index in what was asked. */
export interface Standing {
  readonly index: number
  readonly place: number
}

/**
 * Figures beside a line of dimensions: in order, each `size` from the next, none outside `from` to `to`, moved as little as can be (least
 * squares of what they move). Where not all have room those of less weight go first, then every second, third... of what is left.
 */
export function besideLine(
  figures: readonly Beside[],
  size: number,
  { from, to }: { readonly from: number; readonly to: number },
): Standing[] {
  const most = Math.floor((to - from) / size + 1e-9) + 1
  let kept = figures.map(({ at, weight }, index) => ({ at, weight, index })).sort((a, b) => a.at - b.at)
  if (kept.length > most) kept = kept.filter(({ weight }) => weight === 'first')
  const every = Math.ceil(kept.length / Math.max(1, most))
  if (every > 1) kept = kept.filter((_, i) => i % every === 0)
  // with the room each takes taken off, places must only not fall: pooled neighbors stand at their mean
  const pools: { sum: number; count: number }[] = []
  kept.forEach(({ at }, i) => {
    pools.push({ sum: at - i * size, count: 1 })
    for (;;) {
      const [before, last] = [pools[pools.length - 2], pools[pools.length - 1]]
      if (!before || !last || before.sum / before.count <= last.sum / last.count) break
      pools.splice(-2, 2, { sum: before.sum + last.sum, count: before.count + last.count })
    }
  })
  const [least, greatest] = [from, to - (kept.length - 1) * size]
  const places = pools.flatMap(({ sum, count }) =>
    Array.from({ length: count }, () => Math.min(greatest, Math.max(least, sum / count))),
  )
  return kept.map(({ index }, i) => ({ index, place: (places[i] ?? from) + i * size }))
}
