import type { Route } from './+types/saws'
import { onDatabase } from '~/server/database.server'
import { keepSaw, keptSaws } from '~/server/saws.server'

/** The crew's saws. */
export function loader() {
  return Response.json(onDatabase((db) => keptSaws(db)))
}

/** POST: a saw to be kept under its name. */
export async function action({ request }: Route.ActionArgs) {
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => keepSaw(db, posted))
  return Response.json(kept ?? [], { status: kept ? 200 : 422 })
}
