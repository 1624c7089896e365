import { data } from 'react-router'
import type { Route } from './+types/wall-acts'
import { recordActs } from '~/server/acts.server'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'

/** POST: what was done at the wall. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => recordActs(db, params, posted, member))
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

export function loader() {
  throw data('What was done at a wall is only written here.', { status: 405 })
}
