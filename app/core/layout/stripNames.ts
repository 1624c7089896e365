import type { StripName } from '../strips/stripId'
import type { Layout } from './layout'
import { BORDER } from './strips'

/** What each strip of a layout is called, by its id. */
export function stripNames({ bands, uprights, fillers, frames }: Layout): ReadonlyMap<string, StripName> {
  return new Map([BORDER, ...bands, ...uprights, ...fillers, ...frames].map(({ id, name }) => [id, name]))
}
