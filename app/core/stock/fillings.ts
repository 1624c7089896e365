import type { CuttingProblem } from './cuttingProblem'

/** Whole cells for the sizes and rooms of a problem. Exact where the sizes share a measure that is not too fine. */
export interface Grid {
  readonly exact: boolean
  /** Sizes rounded up and rooms down: what fits here fits. */
  readonly safe: { readonly sizes: readonly number[]; readonly rooms: readonly number[] }
  /** Sizes and rooms rounded down: what fits, fits here. */
  readonly bold: { readonly sizes: readonly number[]; readonly rooms: readonly number[] }
}

/** Beyond so many cells a board is looked at on a coarser grid: 192 in at 1/64 in are 12 288. */
const MOST_CELLS = 16_384

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b)
}

/** The grid of a problem. Rooms that are no multiple of what all sizes share lose nothing by being rounded down. */
export function gridOf({ sizes, rooms }: CuttingProblem): Grid {
  const unit = sizes.reduce(greatestCommonDivisor, 0) || 1
  const longest = Math.max(1, ...rooms)
  if (longest / unit <= MOST_CELLS) {
    const cells = {
      sizes: sizes.map((size) => size / unit),
      rooms: rooms.map((room) => Math.max(0, Math.floor(room / unit))),
    }
    return { exact: true, safe: cells, bold: cells }
  }
  const cell = Math.ceil(longest / MOST_CELLS)
  const floor = (length: number) => Math.max(0, Math.floor(length / cell))
  return {
    exact: false,
    safe: { sizes: sizes.map((size) => Math.ceil(size / cell)), rooms: rooms.map(floor) },
    bold: { sizes: sizes.map(floor), rooms: rooms.map(floor) },
  }
}

/** The most valuable fillings of all rooms at once; good until the next filling is asked for. */
export interface Fillings {
  /** What the best filling of a room is worth. */
  readonly worth: (room: number) => number
  readonly counts: (room: number) => number[]
}

/** Fills rooms on one grid, its tables kept from one filling to the next. */
export interface Filler {
  readonly grid: Grid
  /** At most `limits[i]` things of size i, each worth `values[i]`; on the safe or the bold sizes. */
  readonly fill: (by: 'safe' | 'bold', values: readonly number[], limits: readonly number[]) => Fillings
}

/**
 * The bounded knapsack of all rooms in one table, by dynamic programming over the cells (Gilmore & Gomory 1963
 * price all stock lengths so); things there are several of go in parts of 1, 2, 4 ... of them.
 */
export function fillerOf(problem: CuttingProblem): Filler {
  const grid = gridOf(problem)
  const capacity = Math.max(0, ...grid.bold.rooms)
  const best = new Float64Array(capacity + 1)
  let taken = new Uint8Array(0)
  return {
    grid,
    fill(by, values, limits) {
      const { sizes, rooms } = grid[by]
      const parts: { i: number; count: number; cells: number; value: number }[] = []
      sizes.forEach((size, i) => {
        const value = values[i] ?? 0
        if (!(value > 0) || size > capacity) return
        let left = Math.min(limits[i] ?? 0, size === 0 ? (limits[i] ?? 0) : Math.floor(capacity / size))
        for (let count = 1; left > 0; count *= 2) {
          const part = Math.min(count, left)
          left -= part
          parts.push({ i, count: part, cells: part * size, value: part * value })
        }
      })
      const row = capacity + 1
      if (taken.length < parts.length * row) taken = new Uint8Array(parts.length * row)
      best.fill(0)
      parts.forEach(({ cells, value }, p) => {
        const at = p * row
        for (let c = capacity; c >= cells; c--) {
          const worth = (best[c - cells] ?? 0) + value
          if (worth > (best[c] ?? 0)) {
            best[c] = worth
            taken[at + c] = 1
          } else taken[at + c] = 0
        }
      })
      return {
        worth: (room) => best[rooms[room] ?? 0] ?? 0,
        counts(room) {
          const counts = sizes.map(() => 0)
          let c = rooms[room] ?? 0
          for (let p = parts.length - 1; p >= 0; p--) {
            const part = parts[p]
            if (!part || c < part.cells || taken[p * row + c] !== 1) continue
            counts[part.i] = (counts[part.i] ?? 0) + part.count
            c -= part.cells
          }
          return counts
        },
      }
    },
  }
}
