import type { Survey } from '~/model'
import { type Polygon, rectangle } from '../geometry'
import { isPlate } from './obstacles'
import { wallShape } from './wallShape'

/** A strip of wall in which nothing is to be driven. */
export interface KeepOut {
  readonly id: string
  readonly outline: Polygon
  /** The box it runs up and down from; null where a person drew it. */
  readonly box: string | null
}

/** Kinds with a cable behind them; a vent has none. */
const CABLED = new Set(['outlet', 'switch', 'thermostat', 'sconce'])

/**
 * Keep-outs: above and below every box, floor to ceiling, as wide as its plate (common practice, no source), and
 * what was drawn by hand. Worked out once for each survey: every piece asks.
 */
export function keepOutsOf(survey: Survey): readonly KeepOut[] {
  const known = kept.get(survey) ?? findKeepOuts(survey)
  kept.set(survey, known)
  return known
}

const kept = new WeakMap<Survey, readonly KeepOut[]>()

function findKeepOuts(survey: Survey): KeepOut[] {
  const { floor, ceiling } = wallShape(survey)
  // a floor that falls, and a ceiling that rises, lie beyond the round height
  const bottom = Math.min(0, ...floor.points.map(({ value }) => value))
  const top = Math.max(survey.height, ...ceiling.points.map(({ value }) => value))
  const boxes = survey.things
    .filter((thing) => isPlate(thing.kind) && CABLED.has(thing.kind) && thing.fate !== 'remove')
    .map(({ id, left, width }) => ({
      id: `keep-${id}`,
      outline: rectangle(left, bottom, left + width, top),
      box: id,
    }))
  const drawn = survey.behind.keepOuts.map(({ id, left, bottom: low, width, height }) => ({
    id,
    outline: rectangle(left, low, left + width, low + height),
    box: null,
  }))
  return [...boxes, ...drawn]
}
