import type { Units } from '~/length'

/** A job as its page of paper and files has it. */
export interface PaperPageJob {
  readonly id: string
  readonly name: string
  readonly units: Units
  readonly walls: readonly { readonly id: string; readonly name: string }[]
  readonly unreadable: readonly string[]
  /** What tells a drawing from the one before. */
  readonly revision: number
}
