import type { Survey } from '~/model'
import { type Polygon, rectangle } from '../geometry'
import { isPlate } from './obstacles'

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
 * what was drawn by hand.
 */
export function keepOutsOf(survey: Survey): KeepOut[] {
  const boxes = survey.things
    .filter((thing) => isPlate(thing.kind) && CABLED.has(thing.kind) && thing.fate !== 'remove')
    .map(({ id, left, width }) => ({
      id: `keep-${id}`,
      outline: rectangle(left, 0, left + width, survey.height),
      box: id,
    }))
  const drawn = survey.behind.keepOuts.map(({ id, left, bottom, width, height }) => ({
    id,
    outline: rectangle(left, bottom, left + width, bottom + height),
    box: null,
  }))
  return [...boxes, ...drawn]
}
