import { formatExact, type Length, type Units } from '~/length'
import type { LengthReading, RunningTrim, Survey, Thing } from '~/model'
import { latestReadings } from '../survey/latestReadings'
import { isOpening, isPlate } from '../survey/obstacles'
import { LINE_WORDS } from './wallLines'

/** A wall as a line that can be typed, and the things that a line has no words for. */
export interface WallAsLine {
  readonly line: string
  readonly unsaid: readonly Thing[]
}

/** What slopes is said of a stair only; a landing comes with its stair, and what comes off has no word. */
const isSaid = ({ kind, slope, fate }: Thing) =>
  kind !== 'landing' && fate === 'keep' && (kind === 'stair' ? slope !== null : slope === null)

function readingWords({ kind, value }: LengthReading, size: (length: Length) => string): string[] {
  const way = value < 0 ? 'rises' : 'falls'
  switch (kind) {
    case 'floorFall':
      return [`floor ${way} ${size(value)}`]
    case 'ceilingFall':
      return [`ceiling ${way} ${size(value)}`]
    case 'plumbLeft':
    case 'plumbRight':
      // a line has no word for an end that leans out
      return value < 0 ? [] : [`plumb ${kind === 'plumbLeft' ? 'left' : 'right'} ${size(value)}`]
    default:
      return []
  }
}

/**
 * Writes a wall as the line one would type for it, all sizes exact: {@link readWallLines} reads the same sizes, trim, things, falls
 * of the whole width and leans of the whole height back. Other readings, and whatever else Measure keeps of a thing, are not in it.
 */
export function wallLineOf(name: string, survey: Survey, units: Units): WallAsLine {
  const size = (length: number) => formatExact(Math.abs(length), units)
  // 1 x 6 would be the board of that name
  const by = units === 'mm' ? ' x ' : ' in x '
  const trim = (word: string, of: RunningTrim | null) =>
    of ? [`${word} ${size(of.height)}${by}${size(of.thickness)}${of.fate === 'remove' ? ' off' : ''}`] : []
  const read = (kind: LengthReading['kind'], place: Length) =>
    latestReadings(survey.readings, kind)
      .filter((each) => each.place === place)
      .flatMap((each) => readingWords(each, size))
  const said = survey.things.filter(isSaid)
  const thing = (each: Thing) => {
    const word = LINE_WORDS.find(([, kind]) => kind === each.kind)?.[0] ?? each.kind
    const at = isPlate(each.kind) ? each.left + each.width / 2 : each.left
    const left = each.slope === 'risesLeft' ? ' rises left' : ''
    const casing = isOpening(each.kind) ? `, casing ${size(each.casing)}` : ''
    return `${word} ${size(each.width)} x ${size(each.height)}${left} at ${size(at)} up ${size(each.bottom)}${casing}`
  }
  const line = [
    `${name}: ${size(survey.width)} x ${size(survey.height)}`,
    ...trim('base', survey.baseboard),
    ...trim('crown', survey.crown),
    ...(['floorFall', 'ceilingFall'] as const).flatMap((kind) => read(kind, survey.width)),
    ...(['plumbLeft', 'plumbRight'] as const).flatMap((kind) => read(kind, survey.height)),
    ...said.map(thing),
  ].join(', ')
  return { line, unsaid: survey.things.filter((each) => !isSaid(each)) }
}
