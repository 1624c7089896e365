import { data } from 'react-router'
import type { Route } from './+types/yard-acts'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { recordYard } from '~/server/yard.server'

/** POST: what happened to boards. */
export async function action({ request, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => recordYard(db, posted, member))
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

export function loader() {
  throw data('What happened to boards is only written here.', { status: 405 })
}
