import { boundsOf, type Polygon } from './point'

/** A thing and the box round its outline. */
export interface Boxed<T> {
  readonly item: T
  readonly box: ReturnType<typeof boundsOf>
}

/** Things in the order of the left ends of their boxes, to be asked for those near a place. */
export class ByLeft<T> {
  readonly boxed: readonly Boxed<T>[]
  readonly #widest: number

  constructor(items: readonly T[], outlineOf: (item: T) => Polygon) {
    this.boxed = items
      .map((item) => ({ item, box: boundsOf(outlineOf(item)) }))
      .sort((a, b) => a.box.left - b.box.left)
    this.#widest = Math.max(0, ...this.boxed.map(({ box }) => box.right - box.left))
  }

  /** Those whose boxes reach into a stretch along the wall, from left to right. */
  between(left: number, right: number): Boxed<T>[] {
    let [low, high] = [0, this.boxed.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.boxed[middle]?.box.left ?? Infinity) < left - this.#widest) low = middle + 1
      else high = middle
    }
    const near: Boxed<T>[] = []
    for (let i = low; ; i++) {
      const each = this.boxed[i]
      if (!each || each.box.left > right) return near
      if (each.box.right >= left) near.push(each)
    }
  }
}
