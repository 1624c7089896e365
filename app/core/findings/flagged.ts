import type { Plan } from '../computePlan'

/**
 * The strips and obstacles that a drawing of a wall draws in red dashes, by their ids: each of them has something wrong of its own. What is
 * wrong with a strip marks it; something to watch marks it only where it is about some strips of a kind and not about all of them, and
 * what is only worth knowing marks none.
 */
export function flaggedIn({ findings, layout }: Pick<Plan, 'findings' | 'layout'>): ReadonlySet<string> {
  const roleOf = new Map(layout.strips.map(({ id, role }) => [id as string, role]))
  const ofRole = new Map<string, Set<string>>()
  for (const [id, role] of roleOf) ofRole.set(role, (ofRole.get(role) ?? new Set()).add(id))
  const flagged = new Set<string>()
  for (const { severity, stage, stripIds, says } of findings) {
    if (severity !== 'wrong' && severity !== 'watch') continue
    if ('thingId' in says && says.thingId !== undefined) flagged.add(says.thingId)
    if (stage === 'measure') continue
    const named = new Set(stripIds)
    for (const id of named) {
      const alike = ofRole.get(roleOf.get(id) ?? '')
      const isAboutAll =
        severity === 'watch' &&
        alike !== undefined &&
        alike.size > 1 &&
        [...alike].every((other) => named.has(other))
      if (!isAboutAll) flagged.add(id)
    }
  }
  return flagged
}
