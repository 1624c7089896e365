import type { SectionPlace } from '~/core/layout/layout'
import type { HeightMark } from '~/core/marks/runningMarks'
import { type EndCut, type Lap, type Notch, type Piece, severalSettings, twoSawSettings } from '~/core/pieces'
import type { StripName } from '~/core/strips/stripId'
import {
  formatLength,
  formatLengthWithUnit,
  formatStockLength,
  type Length,
  type LengthFormat,
  type Tape,
  type Units,
} from '~/length'
import { type CornerEnd, type HeightRule, type Material, type RailUse, type Survey, TAKEN_OFF } from '~/model'
import { thingNames } from './thingNames'

/** The job's way of writing lengths, and its materials, for sentences. */
export interface Wording {
  readonly format: LengthFormat
  readonly materials: readonly Material[]
  /** What the strips of the wall are called, by their ids; for sentences that name some. */
  readonly strips?: ReadonlyMap<string, StripName>
  /** What the things on the wall are called, by their ids: left window where there are two. */
  readonly things?: ReadonlyMap<string, string>
  /** For sums of money; without it they are left out. */
  readonly currency?: string
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
  if (id === TAKEN_OFF) return 'what came off'
  const material = materials.find((each) => each.id === id)
  return material ? [material.nominal, material.name].filter((word) => word !== '').join(' ') : id
}

const STRIP_NAMES: Readonly<Record<StripName['kind'], string>> = {
  topRail: 'Top rail',
  bottomRail: 'Bottom rail',
  ledger: 'Ledger',
  cap: 'Cap',
  border: 'Border',
  batten: 'Batten',
  slat: 'Slat',
  stile: 'Stile',
  box: 'Box',
  rail: 'Mid rail',
  gridRail: 'Rail',
  chairRail: 'Chair rail',
  pictureRail: 'Picture rail',
  shelf: 'Shelf',
  leftFiller: 'Left filler',
  rightFiller: 'Right filler',
  sideTrim: 'Trim put back',
  line: 'Line',
}

/** Batten 4, Box 2, Top rail; the only chair rail needs no number. A strip that is not on the wall any more is called just that. */
export function stripName(stripId: string, { strips }: Pick<Wording, 'strips'>): string {
  const name = strips?.get(stripId)
  if (!name) return 'Strip'
  return name.number === null ? STRIP_NAMES[name.kind] : `${STRIP_NAMES[name.kind]} ${name.number}`
}

/** Chair rail, shelf, as one says it. */
export function railUseName(use: RailUse): string {
  return { rail: 'mid rail', chairRail: 'chair rail', pictureRail: 'picture rail', shelf: 'shelf' }[use]
}

/** How a horizontal ends at a corner of the room. */
export function cornerEndName(end: CornerEnd): { text: string; hint: string } {
  return {
    run: { text: 'run square to the wall', hint: 'the one that is fitted first' },
    against: { text: 'butt against the trim there', hint: 'square, shorter by its thickness' },
    cope: { text: 'are coped to the trim there', hint: 'cut to its profile; fitted second' },
    miter: { text: 'are mitered', hint: 'half of the measured corner angle' },
  }[end]
}

/** Left of the window, under the window, the whole wall. */
export function sectionName(
  { from, opening, row }: Pick<SectionPlace, 'from' | 'opening' | 'row'>,
  { things }: Pick<Survey, 'things'>,
): string {
  const names = thingNames(things)
  const thing = (thingId: string) => names.get(thingId)?.replace(' of the wall', '') ?? 'opening'
  const rowText = row === 0 ? '' : `, row ${row + 1}`
  if (opening) return `over or under the ${thing(opening)}${rowText}`
  switch (from.kind) {
    case 'after':
      return `right of the ${thing(from.thingId)}${rowText}`
    case 'corner':
      return `from the left corner${rowText}`
    case 'bend':
      return `along the slope${rowText}`
    case 'wall':
      return `the whole wall${rowText}`
  }
}

const SIDE_NAMES: Readonly<Record<string, string>> = {
  bottom: 'lower side',
  top: 'upper side',
  left: 'left side',
  right: 'right side',
}

/** Batten 4; Top rail, part 2 for a piece of a joined rail; Box 2, left side. */
export function pieceName({ stripId, part }: Pick<Piece, 'stripId' | 'part'>, w: Wording): string {
  return [stripName(stripId, w), ...partWords(part)].join(', ')
}

/** Part 2, left side: which part of its strip a piece is. */
export function partName(part: Piece['part']): string {
  return partWords(part).join(', ')
}

function partWords(part: Piece['part']): string[] {
  const side = part?.side ? (SIDE_NAMES[part.side] ?? part.side.replace(/^side/, 'side ')) : null
  return [...(side ? [side] : []), ...(part?.number ? [`part ${part.number}`] : [])]
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

/** Batten, from batten. */
export function capital(text: string): string {
  return text.replace(/^./, (letter) => letter.toUpperCase())
}

/** a, b and c. */
export function listed(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
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

/** The foot line at 3 1/2, the head line at 61, the laser line at 48. */
export function hookName(
  hook: 'foot' | 'head' | object,
  { height, from }: { readonly height: number; readonly from: 'floor' | 'present' | 'coming' },
  w: Wording,
): string {
  const line = hook === 'foot' ? 'foot line' : hook === 'head' ? 'head line' : 'laser line'
  const floor = { floor: '', present: ' from the floor there is', coming: ' from the floor that will be' }[
    from
  ]
  return `the ${line}, ${say(height, w)} up${floor}`
}

function rowWords(row: number | undefined): string {
  return row === undefined || row === 1 ? '' : `, row ${row}`
}

/** Underside of the top rail, top of the cap. */
export function heightMarkName(
  mark: Pick<HeightMark, 'what' | 'bandId' | 'row'>,
  w: Pick<Wording, 'strips'>,
): string {
  const band = mark.bandId ? stripName(mark.bandId, w).toLowerCase() : ''
  switch (mark.what) {
    case 'baseTop':
      return 'top of the baseboard'
    case 'bandBottom':
      return `underside of the ${band}`
    case 'bandTop':
      return `top of the ${band}`
    case 'boxBottom':
      return `bottom of the boxes${rowWords(mark.row)}`
    case 'boxTop':
      return `top of the boxes${rowWords(mark.row)}`
    case 'uprightHead':
      return 'top of the uprights'
    case 'headLine':
      return 'underside of the crown'
    default:
      return 'ceiling'
  }
}

/** The start end and the two edges of a piece as it stands on the wall, by its direction. */
function wallWords(directionDeg: number): { start: string; left: string; right: string } {
  const quarter = Math.round((((directionDeg % 360) + 360) % 360) / 90) % 4
  return (
    [
      { start: 'left end', left: 'upper', right: 'lower' },
      { start: 'foot', left: 'left', right: 'right' },
      { start: 'right end', left: 'lower', right: 'upper' },
      { start: 'head', left: 'right', right: 'left' },
    ][quarter] ?? { start: 'start', left: 'left', right: 'right' }
  )
}

/** Notch 1 deep out of the left edge, from 12 to 59 1/2 from the foot. */
export function notchText({ from, to, depth, edge }: Notch, directionDeg: number, w: Wording): string {
  const words = wallWords(directionDeg)
  return `notch ${say(depth, w)} deep out of the ${words[edge]} edge, from ${say(from, w)} to ${say(to, w)} from the ${words.start}’s long point`
}

/** Half-laps 3/8 deep out of the face, over the whole width, from the foot's long point: 24 to 27 1/2, 51 1/2 to 55. One line a depth and side. */
export function lapTexts(laps: readonly Lap[], directionDeg: number, w: Wording): string[] {
  const { start, left, right } = wallWords(directionDeg)
  const alike = new Map<string, Lap[]>()
  for (const lap of laps) {
    const key = `${lap.outOf} ${lap.depth} ${lap.lean}`
    alike.set(key, [...(alike.get(key) ?? []), lap])
  }
  const leans = (lean: number) =>
    lean === 0
      ? ''
      : ` along the ${left} edge, ${say(Math.abs(lean), w)} ${lean > 0 ? 'further on' : 'further back'} along the ${right}`
  return [...alike.values()].flatMap((list) => {
    const [first] = list
    if (!first) return []
    const places = list.map(({ from, to }) => `${say(from, w)} to ${say(to, w)}`).join(', ')
    return [
      `${list.length === 1 ? 'half-lap' : `${list.length} half-laps`} ${say(first.depth, w)} deep out of the ${first.outOf}, over the whole width, from the ${start}’s long point${leans(first.lean)}: ${places}`,
    ]
  })
}

function degrees(deg: number): string {
  return `${Number(deg.toFixed(1))}°`
}

/** A 5 1/2 return, an 8 return. */
function aLength(length: number, w: Wording): string {
  const text = say(length, w)
  return `${/^(8|11|18)(?!\d)/.test(text) ? 'an' : 'a'} ${text}`
}

/** Square, 45° scarf over, 30° miter. */
export function endCutName(cut: EndCut, faceWidth: number, w: Wording): string {
  switch (cut.kind) {
    case 'square':
      return 'square'
    case 'miter':
      return `saw at ${Number(cut.sawSettingDeg.toFixed(1))}°, ${cut.longEdge} edge long`
    case 'bevel':
      return `${cut.bevelDeg}° back bevel`
    case 'scarf':
      return `${cut.bevelDeg}° scarf through the thickness, ${cut.hidden > 0 ? 'runs under' : 'laps over'}`
    case 'cope':
      return `cope: cut at ${degrees(cut.sawSettingDeg)}, then follow the profile`
    case 'cornerMiter':
      return cut.flat
        ? `miter at ${degrees(cut.sawSettingDeg)}, ${cut.longSide === 'face' ? 'front' : 'wall'} edge long`
        : `bevel at ${degrees(cut.sawSettingDeg)}, ${cut.longSide} long`
    case 'returned':
      return `miter at ${degrees(cut.sawSettingDeg)} with the front edge long, and ${aLength(cut.depth, w)} return to the wall from the same board`
    case 'severalCuts': {
      const places = cut.points.slice(1, -1).map(({ fromLeft }) => say(fromLeft, w))
      return `${severalSettings(cut).length} cuts: ${severalSettings(cut).map(degrees).join(', ')} from the left edge on, meeting ${places.join(' and ')} from it`
    }
    case 'twoCuts': {
      const { leftDeg, rightDeg } = twoSawSettings(cut, faceWidth)
      return `two cuts that meet ${say(cut.meetFromLeft, w)} from the left edge: ${degrees(leftDeg)} to it, ${degrees(rightDeg)} to the right edge`
    }
  }
}
