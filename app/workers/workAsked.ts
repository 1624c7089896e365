import type { RoomOfWork } from '~/core/sequence/roomMaker'
import type { Work, WorkAct } from '~/model'

/** What a plan of work is made of. */
export interface WorkAsked {
  readonly rooms: readonly RoomOfWork[]
  readonly work: Work
  readonly acts: readonly WorkAct[]
  /** Minutes since the first day, by the clock on the wall. */
  readonly now: number
}
