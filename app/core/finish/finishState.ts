import type { Act } from '~/model'
import type { FinishItem } from './finishList'

/** An item that is done: when, by the clock of whoever did it, and what was found there. */
export interface FinishDone {
  readonly at: number
  readonly note: string
}

/** What of a finish list is done, from the wall's acts. */
export function finishDone(acts: readonly Act[]): Map<string, FinishDone> {
  const done = new Map<string, FinishDone>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt)) {
    if (act.kind === 'finishDone') done.set(act.item, { at: act.doneAt, note: act.note })
    else if (act.kind === 'finishOpen') done.delete(act.item)
  }
  return done
}

/** What an item still waits for: something not ticked yet, or a time that is not over; null where it can be done. */
export function waitsFor(
  { after }: Pick<FinishItem, 'after'>,
  done: ReadonlyMap<string, FinishDone>,
  now: number,
): { readonly kind: 'item'; readonly id: string } | { readonly kind: 'until'; readonly at: number } | null {
  if (!after) return null
  const before = done.get(after.id)
  if (!before) return { kind: 'item', id: after.id }
  const at = before.at + after.wait * 3_600_000
  return at > now ? { kind: 'until', at } : null
}
