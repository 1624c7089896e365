/** A label that wants to stand at a place along a line and takes some room there. */
export interface LabelWish {
  readonly at: number
  readonly size: number
}

/** Moves labels along a line, in order, so that none overlaps the next; all stay near their places. */
export function spreadLabels(wishes: readonly LabelWish[]): number[] {
  const order = wishes.map((_, i) => i).sort((a, b) => (wishes[a]?.at ?? 0) - (wishes[b]?.at ?? 0))
  const places = wishes.map(({ at }) => at)
  for (let round = 0; round < 40; round++) {
    let moved = false
    for (let k = 0; k + 1 < order.length; k++) {
      const [i, j] = [order[k] ?? 0, order[k + 1] ?? 0]
      const need = ((wishes[i]?.size ?? 0) + (wishes[j]?.size ?? 0)) / 2
      const overlap = need - ((places[j] ?? 0) - (places[i] ?? 0))
      if (overlap > 0.5) {
        places[i] = (places[i] ?? 0) - overlap / 2
        places[j] = (places[j] ?? 0) + overlap / 2
        moved = true
      }
    }
    if (!moved) break
  }
  return places
}

/** Which labels can be shown without touching: as many as fit, those in `must` first. */
export function thinLabels(wishes: readonly LabelWish[], must: ReadonlySet<number>): Set<number> {
  const shown = new Set<number>()
  const clashes = (i: number) =>
    [...shown].some(
      (j) =>
        Math.abs((wishes[i]?.at ?? 0) - (wishes[j]?.at ?? 0)) <
        ((wishes[i]?.size ?? 0) + (wishes[j]?.size ?? 0)) / 2,
    )
  for (const i of must) if (!clashes(i)) shown.add(i)
  wishes.forEach((_, i) => {
    if (!shown.has(i) && !clashes(i)) shown.add(i)
  })
  return shown
}
