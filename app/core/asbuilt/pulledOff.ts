import type { Act } from '~/model'
import type { Point } from '../geometry'

/** A piece that was pulled off again, and the holes it left. */
export interface PulledOff {
  readonly id: string
  readonly piece: string
  readonly holes: number
  readonly at: readonly Point[]
}

/** What was pulled off, oldest first: its holes stay, whatever goes up there later. */
export function pulledOff(acts: readonly Act[]): PulledOff[] {
  return [...acts]
    .sort((a, b) => a.doneAt - b.doneAt)
    .flatMap((act) =>
      act.kind === 'pulledOff' ? [{ id: act.id, piece: act.piece, holes: act.holes, at: act.at }] : [],
    )
}
