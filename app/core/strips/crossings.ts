import { type Point, unitVector } from '../geometry'
import { type OwnMeets, reachOf, type Strip } from './strip'

/**
 * What happens where two strips cross: one runs through and the other lands on it, both end there in a miter, or both run
 * through, halved over one another.
 */
export type Meets = 'a' | 'b' | 'miter' | 'aOver' | 'bOver'

/** Two strips that cross, by their places in the list, where their center lines do, and what happens there. */
export interface Crossing {
  readonly a: number
  readonly b: number
  readonly place: Point
  readonly through: Meets
}

/** What happens where two strips cross; null where neither is cut there. It may depend on the place: a weave has no order. */
export type ThroughRule = (
  a: Strip,
  b: Strip,
  place: { readonly x: number; readonly y: number },
) => Meets | null

/** The one of the lower tier runs through. Strips of one tier are not cut at each other. */
export const byTier: ThroughRule = (a, b) =>
  a.tier === null || b.tier === null || a.tier === b.tier ? null : a.tier < b.tier ? 'a' : 'b'

const MEETS: Readonly<Record<OwnMeets, Meets>> = {
  through: 'a',
  lands: 'b',
  miter: 'miter',
  over: 'aOver',
  under: 'bOver',
}
const TURNED: Readonly<Record<OwnMeets, OwnMeets>> = {
  through: 'lands',
  lands: 'through',
  miter: 'miter',
  over: 'under',
  under: 'over',
}

/** What a strip was said to do where it crosses another: of the other itself before all that was made with it. */
function saidOf({ crosses }: Strip, other: Strip): OwnMeets | undefined {
  return crosses?.[other.id] ?? (other.group === undefined ? undefined : crosses?.[other.group])
}

/** What was said of a crossing comes before a rule. */
export function asSaid(rule: ThroughRule): ThroughRule {
  return (a, b, place) => {
    const turned = saidOf(b, a)
    const said = saidOf(a, b) ?? (turned && TURNED[turned])
    return said ? MEETS[said] : rule(a, b, place)
  }
}

/** Strips that make less than this angle lie side by side rather than cross: what they overlap is told, not cut. */
const LEAST_SINE = 0.17 // about 10 degrees

/**
 * All crossings of a list of strips, found from their center lines and widths: what lies in between is worked out where
 * they are cut. Ends are taken as far as they reach before anything ends them.
 */
export function crossingsOf(strips: readonly Strip[], rule: ThroughRule = byTier): Crossing[] {
  const lies = strips.map((strip) => ({
    strip,
    u: unitVector(strip.directionDeg),
    half: strip.faceWidth / 2,
    ...reachOf(strip),
  }))
  const [first] = lies
  // what all runs one way crosses nowhere
  if (!first || lies.every(({ u }) => Math.abs(first.u.x * u.y - first.u.y * u.x) < LEAST_SINE / 2)) return []
  const found: Crossing[] = []
  for (let i = 0; i < lies.length; i++) {
    const a = lies[i]
    if (!a || a.strip.tier === null) continue
    for (let j = i + 1; j < lies.length; j++) {
      const b = lies[j]
      if (!b || b.strip.tier === null) continue
      const sine = a.u.x * b.u.y - a.u.y * b.u.x
      const across = Math.abs(sine)
      if (across < LEAST_SINE) continue
      const dx = b.strip.center.x - a.strip.center.x
      const dy = b.strip.center.y - a.strip.center.y
      const alongA = (dx * b.u.y - dy * b.u.x) / sine
      const alongB = (dx * a.u.y - dy * a.u.x) / sine
      // how far the faces lie over each other along each, either side of the crossing of their center lines
      const cosine = Math.abs(a.u.x * b.u.x + a.u.y * b.u.y)
      const overA = (b.half + a.half * cosine) / across
      const overB = (a.half + b.half * cosine) / across
      if (alongA + overA < a.from || alongA - overA > a.to) continue
      if (alongB + overB < b.from || alongB - overB > b.to) continue
      const place = {
        x: a.strip.center.x + alongA * a.u.x,
        y: a.strip.center.y + alongA * a.u.y,
      }
      const through = rule(a.strip, b.strip, place)
      if (through) found.push({ a: i, b: j, place, through })
    }
  }
  return found
}

/** For each strip the strips that run through it. */
export function landsOn(count: number, crossings: readonly Crossing[]): number[][] {
  const lands: number[][] = Array.from({ length: count }, () => [])
  for (const { a, b, through } of crossings) {
    if (through === 'a') lands[b]?.push(a)
    if (through === 'b') lands[a]?.push(b)
  }
  return lands
}
