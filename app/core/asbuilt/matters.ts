import { type Length, nearestNanometer, subtractLengths } from '~/length'
import { FURNITURE, type LengthReading, type Survey, type Thing, type Workpiece } from '~/model'
import { cutWall } from '../layout/cutWall'
import { endCutKey, type Piece, sameRecesses } from '../pieces'
import { latestReadings } from '../survey/latestReadings'

/** A figure of the survey that everything was cut by and that was read but once. */
export type Figure =
  | { readonly of: 'width' | 'height' | 'baseboard' | 'crown' }
  | { readonly of: 'reading'; readonly reading: LengthReading }
  | {
      readonly of: 'thing'
      readonly thing: Thing
      readonly part: 'left' | 'bottom' | 'width' | 'height'
    }

/** What pieces cut by today's figures come to on a wall that differs from them. */
export interface Spoiled {
  /** Too short, notched in the wrong place, cut for nothing. */
  readonly scrap: number
  /** Too long: to be trimmed. */
  readonly trim: number
}

/** A figure read once, and what a miss of it would spoil: by each of the misses, whichever way is worse. */
export interface Suspect {
  readonly key: string
  readonly figure: Figure
  readonly value: Length
  readonly misses: readonly (Spoiled & { readonly by: Length })[]
}

const isFurniture = ({ kind }: Thing) => (FURNITURE as readonly string[]).includes(kind)

/** Two readings of one kind at one place that agree within the closing tolerance. */
function isRepeated(reading: LengthReading, { readings }: Survey, closure: Length): boolean {
  return readings.some(
    (other) =>
      'place' in other &&
      other.id !== reading.id &&
      other.kind === reading.kind &&
      other.place === reading.place &&
      Math.abs(other.value - reading.value) <= closure,
  )
}

function keyOf(figure: Figure): string {
  switch (figure.of) {
    case 'reading':
      return `reading.${figure.reading.kind}.${figure.reading.place}`
    case 'thing':
      return `thing.${figure.thing.id}.${figure.part}`
    default:
      return figure.of
  }
}

/** The figure as it stands. */
export function valueOf(figure: Figure, survey: Survey): Length {
  switch (figure.of) {
    case 'reading':
      return figure.reading.value
    case 'thing':
      return figure.thing[figure.part]
    case 'width':
    case 'height':
      return survey[figure.of]
    default:
      return survey[figure.of]?.height ?? subtractLengths(survey.width, survey.width)
  }
}

/** The survey with another value of one figure. */
export function withFigure(survey: Survey, figure: Figure, value: Length): Partial<Survey> {
  switch (figure.of) {
    case 'reading':
      return {
        readings: survey.readings.map((each) =>
          each.id === figure.reading.id && 'place' in each ? { ...each, value } : each,
        ),
      }
    case 'thing':
      return {
        things: survey.things.map((each) =>
          each.id === figure.thing.id ? { ...each, [figure.part]: value } : each,
        ),
      }
    case 'width':
    case 'height':
      return { [figure.of]: value }
    default: {
      const trim = survey[figure.of]
      return trim ? { [figure.of]: { ...trim, height: value } } : {}
    }
  }
}

/** The figures of a survey that count and were read but once. What was read again and agreed is not among them. */
export function figuresReadOnce({ wall, settings }: Workpiece): Figure[] {
  const { survey } = wall
  const wholes = (['width', 'height'] as const).flatMap((of): Figure[] =>
    latestReadings(survey.readings, of).length === 0 ? [{ of }] : [],
  )
  const trims = (['baseboard', 'crown'] as const).flatMap((of): Figure[] =>
    survey[of]?.fate === 'keep' ? [{ of }] : [],
  )
  const kinds = ['width', 'height', 'floorFall', 'ceilingFall', 'plumbLeft', 'plumbRight'] as const
  const readings = kinds
    .flatMap((kind) => latestReadings(survey.readings, kind))
    .filter((reading) => !isRepeated(reading, survey, settings.closure))
    .map((reading): Figure => ({ of: 'reading', reading }))
  const things = survey.things
    .filter((thing) => thing.fate !== 'remove' && !isFurniture(thing))
    .flatMap((thing): Figure[] => [
      // a chain that was closed has read all of its parts twice
      ...(thing.fromRight === null ? (['left', 'width'] as const) : []).map(
        (part) => ({ of: 'thing', thing, part }) as const,
      ),
      ...(thing.fromTop === null ? (['bottom', 'height'] as const) : []).map(
        (part) => ({ of: 'thing', thing, part }) as const,
      ),
    ])
  return [...wholes, ...trims, ...readings, ...things].filter((figure) => {
    const value = valueOf(figure, survey)
    return !survey.readAgain.some((again) => again.key === keyOf(figure) && again.value === value)
  })
}

/** What of the pieces as cut no longer serves where these are wanted. Within the fitting tolerance a piece serves. */
export function spoiledBy(cut: readonly Piece[], wanted: readonly Piece[], fit: number): Spoiled {
  const byId = new Map(wanted.map((piece) => [piece.id, piece]))
  let [scrap, trim] = [0, 0]
  for (const piece of cut) {
    const other = byId.get(piece.id)
    const longer = other ? other.cutLength - piece.cutLength : 0
    if (!other || longer > fit || !recessesServe(piece, other, fit)) scrap += 1
    else if (longer < -fit || !sameKind(piece, other)) trim += 1
  }
  return { scrap, trim }
}

/** A notch or lap elsewhere by more than a piece may miss its place spoils it. */
function recessesServe(cut: Piece, wanted: Piece, fit: number): boolean {
  if (sameRecesses(cut, wanted)) return true
  const serve = <T extends { from: number; to: number; depth: number }>(a: readonly T[], b: readonly T[]) =>
    a.length === b.length &&
    a.every((each, i) => {
      const other = b[i]
      return (
        other !== undefined &&
        [each.from - other.from, each.to - other.to, each.depth - other.depth].every(
          (off) => Math.abs(off) <= fit,
        )
      )
    })
  return serve(cut.notches, wanted.notches) && serve(cut.laps, wanted.laps)
}

/** Ends of the same sort: a saw setting that is a little off is taken up as the length is. */
function sameKind(a: Piece, b: Piece): boolean {
  const sort = (piece: Piece) => [piece.start, piece.end].map((cut) => endCutKey(cut).split(' ')[0]).join()
  return sort(a) === sort(b)
}

/** What misses of the figures read once would spoil, and how many of these figures nobody asked for when the time was over. */
export interface Matters {
  readonly suspects: readonly Suspect[]
  readonly unasked: number
}

/**
 * For each figure that was read but once, what a miss of it would spoil, worked out by planning again with the figure larger and
 * smaller by as much, worst first. Figures that spoil nothing are left out; those that `over` left no time for are counted.
 */
export function askMatters(
  workpiece: Workpiece,
  misses: readonly Length[],
  over: () => boolean = () => false,
): Matters {
  const { wall, settings } = workpiece
  const { survey } = wall
  const cut = cutWall(workpiece).pieces
  const figures = figuresReadOnce(workpiece)
  const suspects: Suspect[] = []
  let asked = 0
  for (const figure of figures) {
    if (over()) break
    asked++
    const value = valueOf(figure, survey)
    const off = (by: number): Spoiled => {
      const patch = withFigure(survey, figure, nearestNanometer(value + by))
      const wanted = cutWall({ ...workpiece, wall: { ...wall, survey: { ...survey, ...patch } } }).pieces
      return spoiledBy(cut, wanted, settings.fit)
    }
    suspects.push({
      key: keyOf(figure),
      figure,
      value,
      misses: misses.map((by) => {
        const [more, less] = [off(by), off(-by)]
        return { by, ...(isWorse(less, more) ? less : more) }
      }),
    })
  }
  return {
    suspects: suspects
      .filter(({ misses: each }) => each.some(({ scrap, trim }) => scrap + trim > 0))
      .sort((a, b) => compareMisses(a.misses, b.misses)),
    unasked: figures.length - asked,
  }
}

/** The same with all the time it takes. */
export function readingsThatMatter(workpiece: Workpiece, misses: readonly Length[]): readonly Suspect[] {
  return askMatters(workpiece, misses).suspects
}

function isWorse(a: Spoiled, b: Spoiled): boolean {
  return a.scrap > b.scrap || (a.scrap === b.scrap && a.trim > b.trim)
}

/** Worst at the smallest miss first. */
function compareMisses(a: readonly Spoiled[], b: readonly Spoiled[]): number {
  for (const [i, mine] of a.entries()) {
    const other = b[i]
    if (!other) continue
    if (isWorse(mine, other)) return -1
    if (isWorse(other, mine)) return 1
  }
  return 0
}
