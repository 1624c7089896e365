import type { RailUse } from '~/model'

declare const brand: unique symbol

/** Names one strip of a layout, wherever it is spoken of. Made here and never taken apart: what it is of stands beside it. */
export type StripId = string & { readonly [brand]: 'StripId' }

/** What a strip is called: which kind, and its number within it; null where there is but one. */
export interface StripName {
  readonly kind:
    | 'bottomRail'
    | 'ledger'
    | 'topRail'
    | 'cap'
    | 'border'
    | 'gridRail'
    | 'batten'
    | 'slat'
    | 'stile'
    | 'box'
    | 'leftFiller'
    | 'rightFiller'
    | 'sideTrim'
    | 'line'
    | RailUse
  readonly number: number | null
}

const FILLERS = { leftFiller: 'filler-left', rightFiller: 'filler-right' } as const

/** The id of a strip the plan itself names. */
export function stripId({ kind, number }: StripName): StripId {
  if (kind === 'leftFiller' || kind === 'rightFiller') return FILLERS[kind] as string as StripId
  return (number === null ? kind : `${kind}-${number}`) as StripId
}

/** The id of a horizontal the design names: its own. */
export function railId(id: string): StripId {
  return id as StripId
}

/** The id of the nth strip that a move of a design in lines strikes. */
export function lineStripId(move: string, nth: number): StripId {
  return `${move}.${nth}` as StripId
}

/** Whether a name is that of a strip which a move of a design in lines strikes. */
export function isStruckBy(ref: string, move: string): boolean {
  return ref.startsWith(`${move}.`)
}

/** A strip's id and name, side by side: what every maker of strips gives. */
export function named(name: StripName): { readonly id: StripId; readonly name: StripName } {
  return { id: stripId(name), name }
}
