import type { Length } from '~/length'
import type { Act, MarkAct } from '~/model'

/** A strip as it is laid out now: its left edge in nanometers from the wall's left end. */
interface Placed {
  readonly id: string
  readonly left: number
}

/** A strip's mark on the wall: where its left edge was when it was made, and whether the strip still lies there. */
export interface Mark {
  readonly left: Length
  readonly holds: boolean
}

function isMark(act: Act): act is MarkAct {
  return act.kind === 'marked' || act.kind === 'unmarked'
}

/**
 * The strips whose marks are on the wall, by their ids: of the acts of each strip the last counts. A mark once made stays;
 * where the strip has moved by more than `within` nanometers since, it does not hold any more.
 */
export function marksOnWall(
  acts: readonly Act[],
  strips: readonly Placed[],
  within: number,
): Map<string, Mark> {
  const last = new Map<string, MarkAct>()
  for (const act of acts.filter(isMark).sort((a, b) => a.doneAt - b.doneAt)) last.set(act.strip, act)
  return new Map(
    strips.flatMap(({ id, left }) => {
      const act = last.get(id)
      return act?.kind === 'marked'
        ? [[id, { left: act.left, holds: Math.abs(act.left - left) <= within }] as const]
        : []
    }),
  )
}

/** All pieces of the wall were said to be cut, and not taken back since. */
export function isCut(acts: readonly Act[]): boolean {
  return (
    acts
      .filter(({ kind }) => kind === 'cut' || kind === 'uncut')
      .sort((a, b) => a.doneAt - b.doneAt)
      .at(-1)?.kind === 'cut'
  )
}
