import { z } from 'zod'
import type { Length } from '~/length'
import { storedLength } from './lengthSchema'
import { CORNER_ENDS, type CornerEnd } from './pattern'
import { type Turn, TURNS } from './survey'

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

const storedBeside = /*@__PURE__*/ z.strictObject({
  end: /*@__PURE__*/ z.enum(CORNER_ENDS),
  corner: /*@__PURE__*/ z.strictObject({
    deg: /*@__PURE__*/ z.number(),
    turn: /*@__PURE__*/ z.enum(TURNS),
    measured: /*@__PURE__*/ z.boolean(),
  }),
  bands: /*@__PURE__*/ z.array(
    /*@__PURE__*/ z.strictObject({ bottom: storedLength, top: storedLength, standsOut: storedLength }),
  ),
})

/** The walls at both ends as they are kept with what a client signed. */
export const storedBesideWall = /*@__PURE__*/ z.strictObject({
  left: /*@__PURE__*/ storedBeside.exactOptional(),
  right: /*@__PURE__*/ storedBeside.exactOptional(),
})
