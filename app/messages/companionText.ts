import type { PlacedArch } from '~/core/companions/arch'
import type { PlacedRow } from '~/core/companions/itemRow'
import { count, say, sayWithUnit, type Wording } from './words'

/** Words of arches and rows. */
export const companionsText = {
  title: 'Arches, letters, hooks',
  addArch: 'Add an arch',
  addRow: 'Add a row of letters or hooks',
  addItem: 'Add one to the row',
  arch: (nth: number) => `Arch ${nth}`,
  row: (nth: number) => `Row ${nth}`,
  offsets: 'Heights over the spring line, alike on both sides: for a bent batten or a template',
  fromMiddle: 'From the middle',
  overSpring: 'Over the spring line',
  lefts: (kind: string) => `Left and right edge of each of the ${kind}, from the left corner`,
  packed: 'bridges: pack behind it',
  strike:
    'Strike it with a string, or a pencil on a stick, from each center; the string must not stretch. Check the apex before you draw it out.',
} as const

/** What an arch is struck by, in a sentence. */
export function archText({ centers, apex, struck, band }: PlacedArch, w: Wording): string {
  const by = centers
    .map(
      ({ x, y, string, outer }) =>
        `${say(Math.round(x), w)} from the left corner and ${y < 0 ? `${say(Math.round(-y), w)} below the floor` : `${say(Math.round(y), w)} up`}, string ${say(Math.round(string), w)}${outer === null ? '' : ` and ${say(Math.round(outer), w)} for the band’s outer edge`}`,
    )
    .join('; ')
  const cased = band
    ? ` The band is ${sayWithUnit(Math.round(band.length), w)} along its outer edge, and meets the spring line ${say(Math.round(band.foot), w)} from the middle.`
    : ''
  return `Struck from ${by}. Apex ${sayWithUnit(apex, w)} up, ${say(Math.round(struck.length), w)} along the curve.${cased}`
}

/** How a row comes out, in a sentence. */
export function rowText({ items, gaps, left, right, from, to, packing }: PlacedRow, w: Wording): string {
  const ends = `${say(Math.round(left - from), w)} left over at the left, ${say(Math.round(to - right), w)} at the right`
  const distinct = [...new Set(gaps.map((gap) => say(Math.round(gap), w)))]
  const between =
    gaps.length === 0 ? '' : distinct.length === 1 ? `, gaps ${distinct[0]}` : `, gaps ${distinct.join(', ')}`
  const bridging = items.filter(({ lies }) => lies === 'bridges')
  const packed =
    bridging.length > 0 && packing !== null
      ? ` ${bridging.map(({ name }) => name).join(', ')} ${bridging.length === 1 ? 'bridges' : 'bridge'} open wall: packing ${say(packing, w)} thick, ${count(bridging.length, 'piece')}.`
      : ''
  return `${count(items.length, 'item')}: ${ends}${between}.${packed}`
}
