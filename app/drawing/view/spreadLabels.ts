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

/** Which labels can be shown in one row without touching: as many as fit, those in `must` first, none of `gone`. */
export function thinLabels(
  wishes: readonly LabelWish[],
  must: ReadonlySet<number>,
  gone: ReadonlySet<number> = new Set(),
): Set<number> {
  const shown = new Set<number>()
  const clashes = (i: number) =>
    [...shown].some(
      (j) =>
        Math.abs((wishes[i]?.at ?? 0) - (wishes[j]?.at ?? 0)) <
        ((wishes[i]?.size ?? 0) + (wishes[j]?.size ?? 0)) / 2,
    )
  for (const i of must) if (!clashes(i)) shown.add(i)
  wishes.forEach((_, i) => {
    if (!shown.has(i) && !gone.has(i) && !clashes(i)) shown.add(i)
  })
  return shown
}

/** About how wide a printed length is, in pixels at a size of type: digits full width, fractions narrower. */
export function labelWidth(text: string, fontSize: number): number {
  const plain = text.replace(/ ?\d+\/\d+/, '')
  const fraction = /\d+\/\d+/.exec(text)?.[0] ?? ''
  return plain.length * fontSize * 0.58 + fraction.length * fontSize * 0.41 + (fraction ? 3 : 0)
}
