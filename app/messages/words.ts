import type { EndCut } from '~/core/pieces'
import {
  formatLength,
  formatLengthWithUnit,
  formatStockLength,
  type Length,
  type LengthFormat,
  type Tape,
  type Units,
} from '~/length'
import type { HeightRule, Material } from '~/model'

/** The job's way of writing lengths, and its materials, for sentences. */
export interface Wording {
  readonly format: LengthFormat
  readonly materials: readonly Material[]
}

/** 28 5/8. */
export function say(length: number, { format }: Wording): string {
  return formatLength(length, format)
}

/** 28 5/8 in. */
export function sayWithUnit(length: number, { format }: Wording): string {
  return formatLengthWithUnit(length, format)
}

/** 8 ft. */
export function sayStock(length: Length, { format }: Wording): string {
  return formatStockLength(length, format)
}

/** 1x3 pine. */
export function materialName(id: string, { materials }: Wording): string {
  const material = materials.find((each) => each.id === id)
  return material ? [material.nominal, material.name].filter((word) => word !== '').join(' ') : id
}

/** Batten 4, Top rail. */
export function stripName(stripId: string): string {
  const batten = /^batten-(\d+)$/.exec(stripId)
  if (batten) return `Batten ${batten[1]}`
  return { topRail: 'Top rail', bottomRail: 'Bottom rail', ledger: 'Ledger' }[stripId] ?? 'Cap'
}

/** Batten 4; Top rail, part 2 for a piece of a joined rail. */
export function pieceName(piece: { stripId: string; id: string }): string {
  return piece.id === piece.stripId
    ? stripName(piece.stripId)
    : `${stripName(piece.stripId)}, part ${piece.id.slice(piece.stripId.length + 1)}`
}

/** one third, two thirds ... */
export function heightRuleName(rule: HeightRule): string {
  switch (rule) {
    case 'typed':
      return 'my own height'
    case 'third':
      return 'one third'
    case 'half':
      return 'half'
    case 'twoThirds':
      return 'two thirds'
    case 'full':
      return 'full height'
  }
}

/** 1 batten, 5 battens. */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`
}

/** How lengths are written. */
export function unitsName(units: Units): string {
  return { inches: 'inches', 'feet-inches': 'feet and inches', mm: 'millimeters' }[units]
}

/** To what the tape is read. */
export function tapeName(tape: Tape): string {
  return tape.endsWith('mm') ? `tape to ${tape}` : `tape to ${tape} in`
}

/** Money in the job's currency, from hundredths. */
export function money(hundredths: number, currency: string): string {
  return new Intl.NumberFormat('en-US', { style: 'currency', currency }).format(hundredths / 100)
}

/** Underside of the top rail, top of the cap. */
export function heightMarkName(mark: { what: string; bandId?: string }): string {
  const band = mark.bandId ? stripName(mark.bandId).toLowerCase() : ''
  switch (mark.what) {
    case 'baseTop':
      return 'top of the baseboard'
    case 'bandBottom':
      return `underside of the ${band}`
    case 'bandTop':
      return `top of the ${band}`
    case 'battenHead':
      return 'top of the battens'
    case 'headLine':
      return 'underside of the crown'
    default:
      return 'ceiling'
  }
}

/** Square, 45° scarf over, 30° miter. */
export function endCutName(cut: EndCut): string {
  switch (cut.kind) {
    case 'square':
      return 'square'
    case 'miter':
      return `saw at ${Number(cut.sawSettingDeg.toFixed(1))}°, ${cut.longEdge} edge long`
    case 'bevel':
      return `${cut.bevelDeg}° back bevel`
    case 'scarf':
      return `${cut.bevelDeg}° scarf through the thickness, ${cut.hidden > 0 ? 'runs under' : 'laps over'}`
  }
}
