import { inches, type Length, NM_PER_INCH, NM_PER_MM, nanometers, type Units } from '~/length'
import type { Survey, Thing, ThingKind } from '~/model'

/** What of a thing is measured: its sizes, and how high it is, by its bottom or its middle. */
export type ThingPart = 'width' | 'height' | 'bottom' | 'middle'

type Ranges = Partial<Record<ThingPart, readonly [least: number, most: number]>>

/** Between which figures a thing nearly always is, in inches: common practice, no source. Nothing is said of what varies freely. */
const USUAL: Partial<Record<ThingKind, Ranges>> = {
  window: { width: [12, 144], height: [12, 108], bottom: [4, 60] },
  door: { width: [18, 120], height: [72, 120], bottom: [0, 8] },
  outlet: { width: [2, 14], height: [2, 8], middle: [6, 50] },
  switch: { width: [2, 14], height: [2, 8], middle: [34, 56] },
  thermostat: { width: [2, 10], height: [2, 10], middle: [44, 68] },
}

/** A figure of a thing that is hardly ever so, between which it nearly always is, and what it is with two digits the other way round. */
export interface Unusual {
  readonly part: ThingPart
  readonly value: Length
  readonly least: Length
  readonly most: Length
  readonly turned: Length | null
}

function partOf({ width, height, bottom }: Thing, part: ThingPart): number {
  return { width, height, bottom, middle: bottom + height / 2 }[part]
}

/** A thing with this part of it at that figure. */
export function withThingPart(thing: Thing, part: ThingPart, value: Length): Thing {
  return part === 'middle'
    ? { ...thing, bottom: nanometers(Math.round(value - thing.height / 2)) }
    : { ...thing, [part]: value }
}

/** The figures that a length is with two neighboring digits of its whole part the other way round, in these units. */
export function digitsTurned(value: number, units: Units): Length[] {
  if (value < 0) return []
  const unit = units === 'mm' ? NM_PER_MM : NM_PER_INCH
  const whole = Math.floor(value / unit + 1e-9)
  const digits = String(whole)
  return Array.from({ length: digits.length - 1 }, (_, i) => {
    const turned = digits.slice(0, i) + digits.charAt(i + 1) + digits.charAt(i) + digits.slice(i + 2)
    return nanometers(Math.round(value + (Number(turned) - whole) * unit))
  }).filter((each) => each !== value)
}

/**
 * What of a thing is asked about though no other reading speaks against it. Heights are above the floor. Not asked about is what was measured
 * from the other side as well, what comes off, and how high an outlet is where a screen hangs on the wall.
 */
export function unusualOf(thing: Thing, { things }: Pick<Survey, 'things'>, units: Units): Unusual[] {
  if (thing.fate === 'remove') return []
  const screen = things.some(({ kind }) => kind === 'television')
  const parts = Object.entries(USUAL[thing.kind] ?? {}) as [ThingPart, readonly [number, number]][]
  return parts.flatMap(([part, range]) => {
    const value = nanometers(Math.round(partOf(thing, part)))
    const [least, most] = [inches(range[0]), inches(range[1])]
    const isUsual = (length: number) => length >= least && length <= most
    const isConfirmed = part === 'width' ? thing.fromRight !== null : thing.fromTop !== null
    if (isConfirmed || isUsual(value) || (screen && part === 'middle' && thing.kind === 'outlet')) return []
    return [{ part, value, least, most, turned: digitsTurned(value, units).find(isUsual) ?? null }]
  })
}
