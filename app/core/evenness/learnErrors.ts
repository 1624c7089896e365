import { nearestNanometer } from '~/length'
import type { Act } from '~/model'
import { type CrewErrors, MADE_UP } from './simulate'
import type { Proved } from './tools'

/** The crew's errors, and on how many readings of what was built they rest; none: all are made up. */
export interface Learned {
  readonly errors: CrewErrors
  readonly readings: number
}

/** From so many readings on a crew's own spread is better than a made-up one. A guess of ours, no source. */
export const ENOUGH_READINGS = 8
/** A median deviation of normal numbers is so much of their standard deviation. */
const TO_SIGMA = 1.4826

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1
    ? (sorted[middle] ?? 0)
    : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2
}

/**
 * A crew's errors from what it read of strips that are up, against what was laid out then: how far marks are off and all together. Outliers
 * count little (median and median deviation); steps and blocks keep their made-up part beside it. The tape's hook comes from its proof.
 */
export function learnErrors(acts: readonly Act[], proved: readonly Proved[] = []): Learned {
  const off = acts.flatMap((act) =>
    act.kind === 'builtAt' && act.place !== null ? [act.place - act.planned] : [],
  )
  const hook = proved.find(({ tool }) => tool === 'tapeHook')?.error ?? 0
  if (off.length < ENOUGH_READINGS) return { errors: { ...MADE_UP, hook }, readings: off.length }
  const middle = median(off)
  const spread = TO_SIGMA * median(off.map((each) => Math.abs(each - middle)))
  const part = spread / MADE_UP.running
  return {
    errors: {
      ...MADE_UP,
      running: nearestNanometer(spread),
      step: nearestNanometer(MADE_UP.step * part),
      block: nearestNanometer(MADE_UP.block * part),
      hook,
    },
    readings: off.length,
  }
}

/** What three readings in a row on one side say. */
export interface Drift {
  readonly side: 'long' | 'short'
  /** All off by about as much: the tape's end; more and more: the block, or steps. */
  readonly how: 'same' | 'growing'
  readonly by: number
}

/** Off on one side three times in a row, the last readings first: a tape end that is worn, or a block that is short. */
export function driftOf(acts: readonly Act[], tick: number): Drift | null {
  const last = new Map<string, Extract<Act, { kind: 'builtAt' }>>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt))
    if (act.kind === 'builtAt') {
      last.delete(act.strip)
      last.set(act.strip, act)
    }
  const off = [...last.values()].flatMap(({ place, planned }) => (place === null ? [] : [place - planned]))
  const three = off.slice(-3)
  const [first = 0, , third = 0] = three
  const side = Math.sign(third)
  if (three.length < 3 || three.some((each) => Math.sign(each) !== side || Math.abs(each) < tick)) return null
  const grows = three.every((each, i) => i === 0 || Math.abs(each) > Math.abs(three[i - 1] ?? 0) + tick / 2)
  return {
    side: side > 0 ? 'long' : 'short',
    how: grows ? 'growing' : 'same',
    by: grows ? (third - first) / 2 : three.reduce((sum, each) => sum + each, 0) / 3,
  }
}
