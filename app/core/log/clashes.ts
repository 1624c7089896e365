import type { Act } from '~/model'

/** Two acts by two people, or two phones, that can't both hold. */
export interface ActClash {
  readonly kind: 'upTwice' | 'cutTwice' | 'spoiledUp' | 'readTwice'
  /** The piece by its name, or the strip by its id. */
  readonly piece: string
  readonly acts: readonly { readonly id: string; readonly member: string | null; readonly at: number }[]
}

const told = (act: Act) => ({ id: act.id, member: act.member ?? null, at: act.doneAt })

/** Done within so long of each other by two phones, neither knew of the other. A guess of ours, no source. */
const AT_ONCE_MS = 10 * 60_000

/**
 * What cannot both be so, of acts that came from two phones: a piece up twice without coming down between, cut twice, spoiled by one while the other
 * fitted it, a strip read twice at places farther apart than `within`. Both are kept, and both are shown.
 */
export function actClashes(acts: readonly Act[], within: number): ActClash[] {
  const found: ActClash[] = []
  const pieces = new Map<string, Act[]>()
  const cuts = new Map<string, Act>()
  const reads = new Map<string, Extract<Act, { kind: 'builtAt' | 'builtHeight' }>>()
  const settled = new Set(
    acts.flatMap((act) => (act.kind === 'struck' || act.kind === 'spare' ? [act.entry] : [])),
  )
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (settled.has(act.id)) continue
    if (act.kind === 'builtAt' || act.kind === 'builtHeight') {
      const before = reads.get(`${act.kind} ${act.strip}`)
      reads.set(`${act.kind} ${act.strip}`, act)
      if (!before || before.place === null || act.place === null || before.edge !== act.edge) continue
      if (Math.abs(before.place - act.place) > within && act.doneAt - before.doneAt < AT_ONCE_MS)
        found.push({ kind: 'readTwice', piece: act.strip, acts: [told(before), told(act)] })
      continue
    }
    if (act.kind === 'pieceCut' || act.kind === 'pieceUncut' || act.kind === 'spoiled') {
      const key = `${act.release} ${act.piece}`
      const before = cuts.get(key)
      if (before && act.kind === 'pieceCut')
        found.push({ kind: 'cutTwice', piece: act.piece, acts: [told(before), told(act)] })
      if (act.kind === 'pieceCut') cuts.set(key, act)
      else cuts.delete(key)
    }
    if (
      act.kind !== 'pieceUp' &&
      act.kind !== 'pieceDown' &&
      act.kind !== 'pulledOff' &&
      act.kind !== 'spoiled'
    )
      continue
    const key = `${act.release} ${act.piece}`
    const before = pieces.get(key) ?? []
    const last = before.at(-1)
    if (act.kind === 'pieceUp' && last?.kind === 'pieceUp')
      found.push({ kind: 'upTwice', piece: act.piece, acts: [told(last), told(act)] })
    else if (
      last &&
      ((act.kind === 'pieceUp' && last.kind === 'spoiled') ||
        (act.kind === 'spoiled' && last.kind === 'pieceUp')) &&
      (last.member ?? null) !== (act.member ?? null) &&
      act.doneAt - last.doneAt < AT_ONCE_MS
    )
      found.push({ kind: 'spoiledUp', piece: act.piece, acts: [told(last), told(act)] })
    pieces.set(key, [...before, act])
  }
  return found
}
