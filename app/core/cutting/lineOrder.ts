import type { Layout } from '../layout/layout'
import type { MarksOn } from '../marks/lineMarks'
import type { Piece } from '../pieces'

/**
 * The order in which struck strips go on: what others land on before what lands on it, and of those that are free to go on the longest
 * first. Strips that land on one another in a circle go on as they stand in the list. Ids of strips.
 */
export function lineOrder(layout: Layout, pieces: readonly Piece[], marks: readonly MarksOn[]): string[] {
  const longest = new Map<string, number>()
  for (const { role, stripId, longLength } of pieces)
    if (role === 'line') longest.set(stripId, Math.max(longest.get(stripId) ?? 0, longLength))
  const rests = new Map<string, Set<string>>()
  for (const { on, marks: made } of marks) {
    if (on.kind !== 'strip' || !longest.has(on.stripId)) continue
    for (const { stripId } of made) {
      const under = rests.get(stripId) ?? new Set<string>()
      under.add(on.stripId)
      rests.set(stripId, under)
    }
  }
  const open = layout.strips.flatMap(({ id }) => (longest.has(id) ? [id as string] : []))
  const order: string[] = []
  const done = new Set<string>()
  while (order.length < open.length) {
    const left = open.filter((id) => !done.has(id))
    const free = left.filter((id) => [...(rests.get(id) ?? [])].every((under) => done.has(under)))
    const next =
      free.length > 0
        ? free.reduce((best, id) => ((longest.get(id) ?? 0) > (longest.get(best) ?? 0) ? id : best))
        : left[0]
    if (next === undefined) break
    order.push(next)
    done.add(next)
  }
  return order
}
