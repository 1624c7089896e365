import { type Length, nearestNanometer } from '~/length'
import { type Material, TAKEN_OFF, type Thing } from '~/model'
import type { Strip } from '../strips/strip'
import { railId } from '../strips/stripId'
import type { Field } from './field'

/** Trim that comes off and goes back on: longer up than across is upright. */
function isStanding({ width, height }: Thing): boolean {
  return height >= width
}

/** How long the trim was that comes off. */
export function lengthBefore(thing: Thing): Length {
  return isStanding(thing) ? thing.height : thing.width
}

/** The trim as it stood, to be cut at all that was laid out where it goes back: it is cut from itself, never from a board. */
export function returningStrips({ survey }: Field): Strip[] {
  return survey.things
    .filter(({ fate }) => fate === 'goesBack')
    .map((thing, i): Strip => {
      const stands = isStanding(thing)
      const { left, bottom, width, height, thickness } = thing
      const faceWidth = nearestNanometer(stands ? width : height)
      const [from, to] = stands ? [bottom, bottom + height] : [left, left + width]
      const across = (at: number) =>
        stands
          ? { through: { x: left, y: at }, directionDeg: 0 }
          : { through: { x: at, y: bottom }, directionDeg: 90 }
      const material: Material = { id: TAKEN_OFF, nominal: '', name: '', width: faceWidth, thickness }
      return {
        id: railId(`back.${thing.id}`),
        name: { kind: 'sideTrim', number: null },
        part: '',
        role: 'sideTrim',
        number: i + 1,
        material,
        faceWidth,
        center: { x: left + width / 2, y: bottom + height / 2 },
        directionDeg: stands ? 90 : 0,
        start: { lines: [across(from)], against: 'wall' },
        end: { lines: [across(to)], against: 'wall' },
        joins: false,
        tier: null,
        yields: true,
      }
    })
}
