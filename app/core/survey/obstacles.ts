import { FURNITURE, OPENINGS, PLATES, type Survey, type Thing } from '~/model'
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

export function isPlate(kind: Obstacle['kind']): boolean {
  return (PLATES as readonly string[]).includes(kind)
}

/** Stands before the wall and is in no strip's way. */
function isFurniture(kind: Thing['kind']): boolean {
  return (FURNITURE as readonly string[]).includes(kind)
}

/** The outline a thing takes on the wall, casing included; of a sloped cut-off the triangle that is missing. */
export function outlineOf(thing: Thing): Polygon {
  const { left, bottom, width, height, casing } = thing
  const right = left + width
  const top = bottom + height
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
    .filter(({ kind, fate }) => fate !== 'remove' && fate !== 'goesBack' && !isFurniture(kind))
    .map((thing) => ({
      id: thing.id,
      kind: thing.kind,
      outline: outlineOf(thing),
      thickness: thing.thickness,
      fate: thing.fate,
      plate: isPlate(thing.kind),
    }))
}
