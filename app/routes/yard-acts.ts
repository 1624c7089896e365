import type { Route } from './+types/yard-acts'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { recordYard, yardActsOf } from '~/server/yard.server'

/** POST: what happened to boards. */
export async function action({ request, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => recordYard(db, posted, member))
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

/** What happened to boards by now. */
export function loader() {
  return Response.json({ acts: onDatabase(yardActsOf) }, { headers: { 'cache-control': 'no-store' } })
}
