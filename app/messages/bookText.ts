import type { HouseEntry } from '~/core/agree/house'
import type { HouseKind } from '~/model'
import { sayWithUnit, type Wording } from './words'

const KINDS: Readonly<Record<HouseKind, string>> = {
  height: 'Height',
  gap: 'Clear gap',
  width: 'Width of trim',
  paint: 'Paint',
}

export const bookText = {
  title: 'Pattern book',
  help: 'Layouts the crew keeps by name. On another wall they are solved anew: strips, gaps by wish and colors stay, counts are that wall’s own.',
  none: 'Nothing kept yet. Keep a layout from a wall’s Lay out stage.',
  keep: 'Keep this layout',
  name: 'Name in the book',
  kept: (name: string) => `“${name}” is in the pattern book.`,
  use: (name: string) => `Lay out as “${name}”`,
  putAway: (name: string) => `Put “${name}” away`,
  bringBack: 'Bring it back',
  noName: 'Give it a name.',
  noWall: 'That wall can’t be read, so its layout is not kept.',
  page: 'All of the book',
  house: 'House book',
  houseHelp: 'What this house has already. New walls laid out like no other begin with it.',
  houseNone: 'Nothing written yet.',
  houseKeep: 'Write down what this wall has',
  houseKept: (n: number) => (n === 0 ? 'It is all in the book already.' : `${n} written down.`),
  takeOut: (what: string) => `Take out: ${what}`,
  has: 'as it is here',
} as const

/** Height 63 in, as on the window wall. */
export function houseEntryText({ name, note, what }: HouseEntry, w: Wording): string {
  if (what.kind === 'paint') {
    const { code, batch } = what.paint
    const more = [code, batch === '' ? '' : `batch ${batch}`].filter((each) => each !== '')
    return `${KINDS.paint}: ${name}${more.length > 0 ? `, ${more.join(', ')}` : ''}`
  }
  return `${KINDS[what.kind]}: ${sayWithUnit(what.length, w)}, ${name}${note === '' ? '' : ` (${note})`}`
}
