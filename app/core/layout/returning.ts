import { type Length, nearestNanometer } from '~/length'
import { type Material, TAKEN_OFF, type Thing, type Workpiece } from '~/model'
import type { Piece } from '../pieces'
import { profileAt } from '../survey/profile'
import type { Strip } from '../strips/strip'
import { railId, type StripId } from '../strips/stripId'
import type { Field } from './field'

/** Trim that comes off and goes back on: longer up than across is upright. */
function isStanding({ width, height }: Thing): boolean {
  return height >= width
}

/** How long the trim was that comes off. */
export function lengthBefore(thing: Thing): Length {
  return isStanding(thing) ? thing.height : thing.width
}

/** The stuff of trim that was taken off. */
function takenOff(thing: Thing): Material {
  const width = nearestNanometer(isStanding(thing) ? thing.width : thing.height)
  return { id: TAKEN_OFF, nominal: '', name: '', width, thickness: thing.thickness }
}

/** What a piece is made of: stuff of the job, or what came off the wall; undefined where the job does not have it. */
export function stuffOf(
  { materialId, stripId }: Pick<Piece, 'materialId' | 'stripId'>,
  { wall, settings }: Workpiece,
): Material | undefined {
  if (materialId !== TAKEN_OFF) return settings.materials.find(({ id }) => id === materialId)
  const thing = wall.survey.things.find(({ id }) => returningId(id) === stripId)
  return thing && takenOff(thing)
}

/** The id of the strip that a thing goes back as. */
export function returningId(thingId: string): StripId {
  // no rail of a design can have such a name
  return railId(`back:${thingId}`)
}

/** The trim as it stood, to be cut at all that was laid out where it goes back: it is cut from itself, never from a board. */
export function returningStrips({ survey, shape, lines }: Field): Strip[] {
  const back = survey.things.filter(({ fate }) => fate === 'goesBack')
  const several = back.length > 1
  return back.map((thing, i): Strip => {
    const stands = isStanding(thing)
    const { left, bottom, width, height } = thing
    const faceWidth = nearestNanometer(stands ? width : height)
    const [from, to] = stands ? [bottom, bottom + height] : [left, left + width]
    // a floor laid first, or under it, lifts its foot
    const middle = left + width / 2
    const lift = survey.floorToCome?.when === 'against' ? 0 : lines.build
    const foot = profileAt(shape.floor, middle) + lift
    const head = profileAt(shape.ceiling, middle)
    const across = (at: number) =>
      stands
        ? { through: { x: left, y: at }, directionDeg: 0 }
        : { through: { x: at, y: bottom }, directionDeg: 90 }
    return {
      id: returningId(thing.id),
      name: { kind: 'sideTrim', number: several ? i + 1 : null },
      part: '',
      role: 'sideTrim',
      number: i + 1,
      material: takenOff(thing),
      faceWidth,
      center: { x: left + width / 2, y: bottom + height / 2 },
      directionDeg: stands ? 90 : 0,
      start: { lines: stands ? [across(from), across(foot)] : [across(from)], against: 'wall' },
      end: { lines: stands ? [across(to), across(head)] : [across(to)], against: 'wall' },
      joins: false,
      tier: null,
      yields: true,
    }
  })
}
