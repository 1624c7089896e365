import type { Length } from '~/length'
import type { CornerEnd } from './pattern'
import type { Turn } from './survey'

/** What a wall's rails meet in a corner: how the next wall's rails end there, each with its heights above the base line and its depth. */
export interface Beside {
  readonly end: CornerEnd
  /** The corner as that wall's survey has it: one reading serves both walls. */
  readonly corner: { readonly deg: number; readonly turn: Turn; readonly measured: boolean }
  readonly bands: readonly {
    readonly bottom: Length
    readonly top: Length
    readonly standsOut: Length
  }[]
}

/** The walls at both ends of a wall, as far as the room says: left out where nothing is known of the next wall. */
export interface BesideWall {
  readonly left?: Beside
  readonly right?: Beside
}
