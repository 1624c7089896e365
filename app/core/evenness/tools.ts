import { type Length, nearestNanometer } from '~/length'
import type { ToolProved, YardAct } from '~/model'

/** What one tool was found to be off by, the last time it was turned round. */
export interface Proved {
  readonly tool: ToolProved
  readonly error: Length
  /** Over this length; null for a tape's hook, which is off by the same everywhere. */
  readonly over: Length | null
  readonly provedAt: number
}

/**
 * A level or a laser turned round: two marks that should fall together, set over one length. It is off by half of what they lie apart,
 * since turned round it errs the other way. Common practice, no source.
 */
export function errorOfTurned(first: number, second: number): Length {
  return nearestNanometer((second - first) / 2)
}

/** A tape's hook: the same thing read pushed inside and pulled outside. The hook's play is right where both agree. */
export function errorOfHook(pushed: number, pulled: number): Length {
  return nearestNanometer(pushed - pulled)
}

/** Of each tool the last it was proved. */
export function toolsProved(acts: readonly YardAct[]): Proved[] {
  const last = new Map<ToolProved, Proved>()
  for (const act of [...acts].sort((a, b) => a.doneAt - b.doneAt))
    if (act.kind === 'toolProved')
      last.set(act.tool, { tool: act.tool, error: act.error, over: act.over, provedAt: act.doneAt })
  return [...last.values()]
}

/** What a line of this length is off by at its end, drawn with that tool. */
export function offOver({ error, over }: Proved, length: number): number {
  return over === null || over <= 0 ? error : (error / over) * length
}

/** Tools are turned round again after half a year, or a fall. Common practice, no source. */
export const PROVE_AGAIN_MS = 182 * 86_400_000

/** Whether a tool is good enough for a line of this length: off by no more than the fitting tolerance. */
export function isTrueEnough(proved: Proved, length: number, fit: number): boolean {
  return Math.abs(offOver(proved, length)) <= fit
}

/** The closing tolerance with a tape whose hook is off: two readings of a chain differ by so much more. */
export function closureWith(closure: number, proved: readonly Proved[]): Length {
  const hook = proved.find(({ tool }) => tool === 'tapeHook')
  return nearestNanometer(closure + Math.abs(hook?.error ?? 0))
}
