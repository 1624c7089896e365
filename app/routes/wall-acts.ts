import { data } from 'react-router'
import type { Route } from './+types/wall-acts'
import { actsOf, recordActs } from '~/server/acts.server'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { wallExists } from '~/server/walls.server'

/** POST: what was done at the wall. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => recordActs(db, params, posted, member))
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

/** What was done at the wall so far: what another phone did meanwhile. */
export function loader({ params }: Route.LoaderArgs) {
  const found = onDatabase((db) => (wallExists(db, params) ? actsOf(db, params.wallId) : null))
  if (!found) throw data('There is no such wall in this job.', { status: 404 })
  return Response.json({ acts: found })
}
