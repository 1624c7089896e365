import { data } from 'react-router'
import type { Route } from './+types/room-document'
import { refusalText } from '~/messages'
import { memberContext, standingOf } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { changePage } from '~/server/pageChanges.server'
import { pageOfRoom } from '~/server/pages.server'

export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const answer = onDatabase((db) => {
    const page = pageOfRoom(db, params)
    return page && changePage(db, page, posted, member, standingOf(context))
  })
  if (!answer) return Response.json({ kind: 'refused', problems: [refusalText.noSuchPage] }, { status: 404 })
  return Response.json(answer, { status: answer.kind === 'refused' ? 422 : 200 })
}

export function loader() {
  throw data('A room’s walls are only written here.', { status: 405 })
}
