import type { Route } from './+types/find'
import { onDatabase } from '~/server/database.server'
import { findAnywhere } from '~/server/find.server'

/** Jobs, rooms and walls by their names, for the search that can be opened anywhere. */
export function loader({ request }: Route.LoaderArgs) {
  const words = new URL(request.url).searchParams.get('q')?.trim().slice(0, 80) ?? ''
  return Response.json(onDatabase((db) => findAnywhere(db, words)))
}
