import type { StripName } from '../strips/stripId'
import type { Layout } from './layout'

/** What each strip of a layout is called, by its id; also what is marked but comes to no strip. */
export function stripNames(layout: Layout): ReadonlyMap<string, StripName> {
  const { strips, bands, uprights, fillers, frames } = layout
  return new Map([strips, bands, uprights, fillers, frames].flat().map(({ id, name }) => [id, name]))
}
