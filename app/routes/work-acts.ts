import { data } from 'react-router'
import type { Route } from './+types/work-acts'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { recordWork } from '~/server/work.server'

/** POST: what happened with the work of a job. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = onDatabase((db) => recordWork(db, params.jobId, posted, member))
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

export function loader() {
  throw data('What happened with the work is only written here.', { status: 405 })
}
