import { data } from 'react-router'
import type { Route } from './+types/wall-acts'
import { recordActs } from '~/server/acts.server'
import { database } from '~/server/db/database.server'

/** POST: what was done at the wall. */
export async function action({ request, params }: Route.ActionArgs) {
  const posted: unknown = await request.json().catch(() => null)
  const kept = recordActs(database(), params, posted)
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

export function loader() {
  throw data('What was done at a wall is only written here.', { status: 405 })
}
