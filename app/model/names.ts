import { LIMITS } from './limits'
import type { RowClash } from './merge'

/** A name nobody has yet: the name itself, else with the next free number: Long wall, Long wall 2. Kept to the letters a name may have. */
export function freeName(wanted: string, taken: readonly string[]): string {
  const used = new Set(taken.map((name) => name.toLowerCase()))
  if (!used.has(wanted.toLowerCase())) return wanted
  const stem = wanted.replace(/ \d+$/, '')
  for (let n = 2; ; n++) {
    const name = `${stem.slice(0, LIMITS.name - 1 - String(n).length)} ${n}`
    if (!used.has(name.toLowerCase())) return name
  }
}

/** The next of a row of names: Wall 1, Wall 2. */
export function nextName(stem: string, taken: readonly string[]): string {
  return freeName(`${stem} 1`, taken)
}

/** Two windows that gave one thing different names. */
export type NameClash = RowClash<{ readonly name: string }>

/** What a job is called, and whom it is for. */
export interface JobNames {
  readonly name: string
  readonly client: string
}
