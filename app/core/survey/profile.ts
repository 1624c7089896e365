/** A value known at some places along a line; between them straight, beyond them level. */
export interface Profile {
  readonly points: readonly { readonly place: number; readonly value: number }[]
}

/** A profile that is the same everywhere. */
export function flatProfile(value: number): Profile {
  return { points: [{ place: 0, value }] }
}

/** The profile's value at a place. */
export function profileAt({ points }: Profile, place: number): number {
  const after = points.findIndex((point) => point.place >= place)
  const [first, last] = [points[0], points[points.length - 1]]
  if (!first || !last) return 0
  if (after === 0) return first.value
  if (after < 0) return last.value
  const [a, b] = [points[after - 1] ?? first, points[after] ?? last]
  return a.value + ((b.value - a.value) * (place - a.place)) / (b.place - a.place)
}

/** The places where a profile bends, within limits, the limits too. */
export function bendsWithin({ points }: Profile, from: number, to: number): number[] {
  const inner = points.map(({ place }) => place).filter((place) => place > from && place < to)
  return [from, ...inner, to]
}
