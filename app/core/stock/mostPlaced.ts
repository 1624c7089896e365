import type { CuttingProblem } from './cuttingProblem'

/**
 * What finds no board when there are too few: the longest pieces are placed first, each in the fullest board that
 * takes it, boards there are enough of opened as they are needed. How many of each size are left.
 */
export function mostPlaced({ sizes, demands, rooms, limits }: CuttingProblem): number[] {
  const left = [...limits]
  const open: number[] = []
  return sizes.map((size, i) => {
    let rest = demands[i] ?? 0
    while (rest > 0) {
      const free = open.filter((room) => room >= size).sort((a, b) => a - b)[0]
      if (free !== undefined) {
        open[open.indexOf(free)] = free - size
        rest -= 1
        continue
      }
      const kind = rooms.findIndex((room, k) => room >= size && (left[k] ?? 0) > 0)
      if (kind < 0) break
      left[kind] = (left[kind] ?? 0) - 1
      open.push(rooms[kind] ?? 0)
    }
    return rest
  })
}
