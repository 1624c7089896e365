import { FURNITURE, MISSING, OPENINGS, PLATES, type Survey, type Thing } from '~/model'
import { clearOf } from './heat'
import { type Polygon, rectangle } from '../geometry'

/** Something a strip can meet: its outline with casing, and what sort of thing it is; `strip` is one that runs through. */
export interface Obstacle {
  readonly id: string
  readonly kind: Thing['kind'] | 'strip'
  readonly outline: Polygon
  readonly thickness: number
  readonly fate: Thing['fate']
  readonly plate: boolean
}

export function isOpening(kind: Obstacle['kind']): boolean {
  return (OPENINGS as readonly string[]).includes(kind)
}

/** A part of the wall that is not there. */
export function isMissing(kind: Obstacle['kind']): boolean {
  return (MISSING as readonly string[]).includes(kind)
}

/** A side of an outline that is neither level nor upright. */
export function isSloped(outline: Polygon): boolean {
  return outline.some((from, i) => {
    const to = outline[(i + 1) % outline.length] ?? from
    return from.x !== to.x && from.y !== to.y
  })
}

export function isPlate(kind: Obstacle['kind']): boolean {
  return (PLATES as readonly string[]).includes(kind)
}

/** Stands before the wall, and is in no strip's way unless it is kept clear. */
export function isFurniture(kind: Thing['kind']): boolean {
  return (FURNITURE as readonly string[]).includes(kind)
}

/** All below a stair's nosings and the skirt board on them, down to the floor. */
function underStair({ left, bottom, width, height, slope, skirt }: Thing): Polygon {
  const right = left + width
  const board = skirt?.height ?? 0
  const [low, high] = [bottom + board, bottom + height + board]
  const [atLeft, atRight] = slope === 'risesLeft' ? [high, low] : [low, high]
  const all = [
    { x: left, y: 0 },
    { x: right, y: 0 },
    { x: right, y: atRight },
    { x: left, y: atLeft },
  ]
  return all.filter(({ y }, i) => i < 2 || y > 0)
}

/** The outline a thing takes on the wall, casing included; of a sloped cut-off the triangle that is missing. */
export function outlineOf(thing: Thing): Polygon {
  const { left, bottom, width, height, casing } = thing
  const right = left + width
  const top = bottom + height
  if (thing.kind === 'stair') return underStair(thing)
  if (thing.kind === 'landing') return rectangle(left, 0, right, top)
  if (thing.kind === 'cutOff' && thing.slope !== null) {
    // a slope that starts at the floor is a stair and takes what is below it, else it takes what is above
    const below = bottom <= 0
    const [low, high] = [bottom, top]
    if (below)
      return thing.slope === 'risesRight'
        ? [
            { x: left, y: low },
            { x: right, y: low },
            { x: right, y: high },
          ]
        : [
            { x: left, y: low },
            { x: right, y: low },
            { x: left, y: high },
          ]
    return thing.slope === 'risesRight'
      ? [
          { x: left, y: low },
          { x: right, y: high },
          { x: left, y: high },
        ]
      : [
          { x: right, y: low },
          { x: right, y: high },
          { x: left, y: high },
        ]
  }
  // strips keep as far from heat as it asks for: what lies within belongs to it
  const around = casing + clearOf(thing)
  // a door's casing stands on the floor, and so does a fire
  const under = thing.kind === 'door' || (clearOf(thing) > 0 && bottom <= 0) ? 0 : around
  return rectangle(left - around, bottom - under, right + around, top + around)
}

/** What stays on the wall and strips can meet. */
export function obstaclesOf(survey: Survey): Obstacle[] {
  return survey.things
    .filter(
      ({ kind, fate }) =>
        fate !== 'remove' && fate !== 'goesBack' && (!isFurniture(kind) || fate === 'keptClear'),
    )
    .map((thing) => ({
      id: thing.id,
      kind: thing.kind,
      outline: outlineOf(thing),
      thickness: thing.thickness,
      fate: thing.fate,
      plate: isPlate(thing.kind),
    }))
}
