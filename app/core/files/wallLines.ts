import {
  fail,
  inches,
  type Length,
  type LengthIssue,
  nearestNanometer,
  ok,
  parseLength,
  type Result,
  type Units,
  ZERO,
} from '~/length'
import {
  blankSurvey,
  LIMITS,
  type Material,
  STOCK_LIST,
  type Survey,
  type Thing,
  type LengthReadingKind,
  type ThingKind,
} from '~/model'
import { isOpening, isPlate } from '../survey/obstacles'
import { isOfStair, stairThings } from '../survey/stair'
import { usualThing } from '../survey/usualThings'
import { widthFrom, type WidthRead } from '../survey/widthRead'

/** A wall as typed in a line: its name, where one was given, and its survey; null where only a name was. */
export interface TypedWall {
  readonly name: string | null
  readonly survey: Survey | null
  /** Trim that was given by a board's nominal size, to be confirmed: 1x6 is 3/4 by 5 1/2. */
  readonly nominal?: readonly { readonly trim: 'baseboard' | 'crown'; readonly board: string }[]
}

/** What is wrong in a line; lines are counted from 1, `read` is the part it is about. */
export type WallLineProblem =
  | { readonly code: 'noHeight'; readonly line: number; readonly read: string }
  | { readonly code: 'noSize'; readonly line: number; readonly read: string }
  | { readonly code: 'unknownPart'; readonly line: number; readonly read: string }
  | { readonly code: 'badLength'; readonly line: number; readonly read: string; readonly issue: LengthIssue }
  | { readonly code: 'outOfRange'; readonly line: number; readonly read: string }
  | { readonly code: 'longName'; readonly line: number; readonly read: string }
  | { readonly code: 'tooManyThings'; readonly line: number; readonly read: string }

/** What may be typed in a line for something on the wall, as it is listed for who looks for a word. */
export const LINE_WORDS: readonly (readonly [string, ThingKind])[] = [
  ['window', 'window'],
  ['door', 'door'],
  ['outlet', 'outlet'],
  ['receptacle', 'outlet'],
  ['switch', 'switch'],
  ['thermostat', 'thermostat'],
  ['vent', 'vent'],
  ['sconce', 'sconce'],
  ['side trim', 'sideTrim'],
  ['chair rail', 'chairRail'],
  ['ledge', 'ledge'],
  ['stool', 'stool'],
  ['shelf', 'shelf'],
  ['chimney breast', 'chimneyBreast'],
  ['fireplace', 'fireplace'],
  ['stove', 'stove'],
  ['radiator', 'radiator'],
  ['heater', 'heater'],
  ['cabinet', 'cabinet'],
  ['mirror', 'mirror'],
  ['television', 'television'],
  ['tv', 'television'],
  ['tile', 'tile'],
  ['bed', 'bed'],
  ['sofa', 'sofa'],
  ['table', 'table'],
  ['stair', 'stair'],
  ['notch', 'cutOff'],
  ['electrical panel', 'panel'],
  ['panel', 'panel'],
  ['obstacle', 'obstacle'],
]
const KINDS = LINE_WORDS.map(([word, kind]) => [new RegExp(`^${word}\\b`, 'i'), kind] as const)

/** Readings that may be typed: how far the floor or the ceiling is higher or lower at the right end, how far an end leans in at the top. */
const READINGS: readonly (readonly [RegExp, LengthReadingKind, 1 | -1])[] = [
  [/^(?:floor )?rises?\b/i, 'floorFall', -1],
  [/^(?:floor )?falls?\b/i, 'floorFall', 1],
  [/^ceiling rises?\b/i, 'ceilingFall', -1],
  [/^ceiling falls?\b/i, 'ceilingFall', 1],
  [/^plumb right\b/i, 'plumbRight', 1],
  [/^plumb(?: left)?\b/i, 'plumbLeft', 1],
]

const BEYOND: readonly (readonly [RegExp, Exclude<WidthRead, 'corners'>])[] = [
  [/^between(?: the)? casings?(?: of)?\b/i, 'casings'],
  [/^inside(?: the| a)? border(?: of)?\b/i, 'border'],
]

/** Least and most a size may be. */
const SIZE = { least: inches(1 / 16), most: inches(2400) }
const BY = /\s*(?:[x×]|\bby\b)\s*/i

class Unread extends Error {
  constructor(readonly problem: WallLineProblem) {
    super(problem.code)
  }
}

/** Reads one line; throws an Unread with the first thing that is wrong in it. */
class LineReader {
  constructor(
    private readonly line: number,
    private readonly units: Units,
    /** When it is typed: a reading was taken then. */
    private readonly takenAt: string,
  ) {}

  private readonly nominal: NonNullable<TypedWall['nominal']>[number][] = []

  private wrong(code: Exclude<WallLineProblem['code'], 'badLength'>, read: string): Unread {
    return new Unread({ code, line: this.line, read: read.slice(0, 60) })
  }

  private length(text: string, least: Length = SIZE.least): Length {
    const result = parseLength(text.trim(), this.units)
    if (!result.ok)
      throw new Unread({
        code: 'badLength',
        line: this.line,
        read: text.trim().slice(0, 60),
        issue: result.issue,
      })
    if (result.value < least || result.value > SIZE.most) throw this.wrong('outOfRange', text.trim())
    return result.value
  }

  read(text: string): TypedWall {
    const [name, rest] = nameOf(text)
    if (name !== null && name.length > LIMITS.name) throw this.wrong('longName', name)
    if (rest === '') return { name, survey: null }
    const [size = '', ...parts] = rest.split(/[,;]\s*(?=[a-z])/i)
    const [width, height, ...more] = size.split(BY)
    if (!width || more.length > 0) throw this.wrong('noSize', size)
    if (!height) throw this.wrong('noHeight', size)
    let survey: Survey = { ...blankSurvey(), width: this.length(width), height: this.length(height) }
    let beyond: readonly [Exclude<WidthRead, 'corners'>, Length] | null = null
    for (const part of parts) {
      const found = this.beyond(part.trim())
      if (found) beyond = found
      else survey = this.withPart(survey, part.trim())
    }
    // all of a line is read from one hook: what stands on the wall moves with the width
    return { name, survey: beyond ? widthFrom(survey, ...beyond) : survey, nominal: this.nominal }
  }

  private beyond(part: string): readonly [Exclude<WidthRead, 'corners'>, Length] | null {
    for (const [word, read] of BEYOND) {
      if (word.test(part)) return [read, this.length(part.replace(word, ''))]
    }
    return null
  }

  private withPart(survey: Survey, part: string): Survey {
    const after = (word: RegExp) => (word.test(part) ? part.replace(word, '').trim() : null)
    const base = after(/^base(?:board)?\b/i)
    if (base !== null) return { ...survey, baseboard: this.trim(base, 'baseboard') }
    const crown = after(/^crown\b/i)
    if (crown !== null) return { ...survey, crown: this.trim(crown, 'crown') }
    const kind = KINDS.find(([word]) => word.test(part))
    if (kind) return this.withThing(survey, kind[1], part.replace(kind[0], '').trim(), part)
    for (const [word, kind, sign] of READINGS)
      if (word.test(part)) return this.withReading(survey, kind, sign, part.replace(word, ''))
    const last = survey.things.at(-1)
    const own = last && this.ofLast(last, after(/^up\b/i), after(/^casing\b/i), after(/^at\b/i))
    if (!own) throw this.wrong('unknownPart', part)
    return { ...survey, things: [...survey.things.slice(0, -1), own] }
  }

  /** A fall is read at the right end, a lean at the top. */
  private withReading(survey: Survey, kind: LengthReadingKind, sign: 1 | -1, text: string): Survey {
    const value = nearestNanometer(sign * this.length(text.replace(/^\s*(?:by|of)\b/i, ''), ZERO))
    const place = kind === 'plumbLeft' || kind === 'plumbRight' ? survey.height : survey.width
    const reading = {
      id: `typed-${kind}`,
      kind,
      place,
      value,
      method: 'tape',
      takenAt: this.takenAt,
    } as const
    return { ...survey, readings: [...survey.readings.filter(({ id }) => id !== reading.id), reading] }
  }

  /** What is said of the thing just before. */
  private ofLast(thing: Thing, up: string | null, casing: string | null, at: string | null): Thing | null {
    if (up !== null) return { ...thing, bottom: this.length(up, ZERO) }
    if (casing !== null && isOpening(thing.kind)) return { ...thing, casing: this.length(casing, ZERO) }
    return at === null ? null : placedAt(thing, this.length(at, ZERO))
  }

  private trim(text: string, trim: 'baseboard' | 'crown'): NonNullable<Survey['baseboard']> {
    const off = /\s*\b(?:comes )?off$/i
    const said = text.replace(off, '').trim()
    const board = this.units === 'mm' ? undefined : boardOf(said)
    if (board) {
      this.nominal.push({ trim, board: board.nominal })
      return { height: board.width, thickness: board.thickness, fate: off.test(text) ? 'remove' : 'keep' }
    }
    const [height = '', thickness] = said.split(BY)
    return {
      height: this.length(height),
      thickness: thickness === undefined ? inches(0.5) : this.length(thickness, ZERO),
      fate: off.test(text) ? 'remove' : 'keep',
    }
  }

  private withStair(survey: Survey, steps: RegExpExecArray, rises: 'left' | 'right', part: string): Survey {
    const [, rise = '', run = '', from, to] = steps
    const made = stairThings(
      {
        from: from === undefined ? ZERO : this.length(from, ZERO),
        to: to === undefined ? survey.width : this.length(to),
        rises,
        rise: { by: 'step', rise: this.length(rise), run: this.length(run) },
        landing: { low: false, high: false },
        skirt: null,
      },
      survey,
    )
    if (!made.ok) throw this.wrong('outOfRange', part)
    return { ...survey, things: [...survey.things.filter((each) => !isOfStair(each)), ...made.value] }
  }

  private withThing(survey: Survey, kind: ThingKind, said: string, part: string): Survey {
    if (survey.things.length >= LIMITS.things) throw this.wrong('tooManyThings', part)
    const id = `${kind}-${1 + survey.things.filter((each) => each.kind === kind).length}`
    const left = /\s*\brises left\b/i
    const [size = '', place, ...more] = said.replace(left, '').split(/\s*\bat\b\s*/i)
    if (more.length > 0) throw this.wrong('unknownPart', part)
    const steps = kind === 'stair' ? STEPS.exec(said.replace(left, '')) : null
    if (steps) return this.withStair(survey, steps, left.test(said) ? 'left' : 'right', part)
    let thing = usualThing(kind, survey, id)
    if (kind === 'stair' && left.test(said)) thing = { ...thing, slope: 'risesLeft' }
    if (size !== '') {
      const [width = '', height, ...others] = size.split(BY)
      if (height === undefined || others.length > 0) throw this.wrong('noHeight', part)
      thing = { ...thing, width: this.length(width), height: this.length(height) }
    }
    if (place !== undefined) {
      // 58, 29 up; 58 up 29
      const [, along = '', before, behind] =
        /^(.*?)(?:\s*,\s*(\S.*?)\s+up|\s+up\s+(\S.*))?$/i.exec(place) ?? []
      thing = placedAt(thing, this.length(along, ZERO))
      const up = before ?? behind
      if (up !== undefined) thing = { ...thing, bottom: this.length(up, ZERO) }
    }
    return { ...survey, things: [...survey.things, thing] }
  }
}

/** A stair by one of its steps, rise by run: steps 7 1/2 x 10 from 20 to 110. Without a place it goes along the whole wall. */
const STEPS = /^steps?\s+(.+?)\s*[x×]\s*(.+?)(?:\s+from\s+(.+?)\s+to\s+(.+?))?\s*$/i

/** The board of a nominal size without units, as it is bought: 1x6; 1 in by 6 in is just that. */
function boardOf(said: string): Material | undefined {
  const [, thick, wide] = /^(\d)\s*[x×]\s*(\d{1,2})$/i.exec(said) ?? []
  return STOCK_LIST.find(({ nominal }) => nominal === `${thick}x${wide}`)
}

/** An opening stands at its left edge, a plate at its middle: as each is read with a tape. */
function placedAt(thing: Thing, at: Length): Thing {
  return { ...thing, left: isPlate(thing.kind) ? nearestNanometer(at - thing.width / 2) : at }
}

/** What stands before a colon, or before the first number, is the name. */
function nameOf(text: string): [string | null, string] {
  const colon = text.indexOf(':')
  const at = colon >= 0 ? colon : text.search(/\d|[½¼¾⅛⅜⅝⅞⅓⅔]|$/)
  const name = text.slice(0, at).trim()
  return [name === '' ? null : name, text.slice(colon >= 0 ? at + 1 : at).trim()]
}

/** A text in which what nobody knows in a line is an obstacle, with the size and place that were typed for it. */
export function asObstacle(text: string, { line, read }: Pick<WallLineProblem, 'line' | 'read'>): string {
  const lines = text.split('\n')
  const own = lines[line - 1]
  if (own === undefined || read === '') return text
  const rest = read.slice(Math.max(0, read.search(/\d|[½¼¾⅛⅜⅝⅞⅓⅔]|\bat\b|$/i)))
  const said = `obstacle ${rest}`.trim()
  return [...lines.slice(0, line - 1), own.replace(read, said), ...lines.slice(line)].join('\n')
}

/**
 * Reads walls as they are typed, one a line: `Long wall: 141 3/8 x 93 3/4, base 4 1/2, door 30 x 80 at 96, outlet at 40`.
 * Width by height, then in any order what is there: base and crown by height (`off` where it comes off), openings
 * by size and left edge, plates by their middle, `up` from the floor. A line with a name alone is a wall not yet
 * measured. Empty lines are left out. Gives all walls, or every line's first problem.
 */
export function readWallLines(
  text: string,
  units: Units,
  takenAt = new Date().toISOString(),
): Result<readonly TypedWall[], readonly WallLineProblem[]> {
  const walls: TypedWall[] = []
  const problems: WallLineProblem[] = []
  text.split(/\r\n|\r|\n/).forEach((line, i) => {
    if (line.trim() === '') return
    try {
      walls.push(new LineReader(i + 1, units, takenAt).read(line.trim()))
    } catch (error) {
      if (!(error instanceof Unread)) throw error
      problems.push(error.problem)
    }
  })
  return problems.length > 0 ? fail(problems) : ok(walls)
}
