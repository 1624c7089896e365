import { data } from 'react-router'
import type { Route } from './+types/room-document'
import { refusalText } from '~/messages'
import { database } from '~/server/db/database.server'
import { changePage } from '~/server/pageChanges.server'
import { pageOfRoom } from '~/server/pages.server'

export async function action({ request, params }: Route.ActionArgs) {
  const page = pageOfRoom(database(), params)
  if (!page) return Response.json({ kind: 'refused', problems: [refusalText.noSuchPage] }, { status: 404 })
  const posted: unknown = await request.json().catch(() => null)
  const answer = changePage(database(), page, posted)
  return Response.json(answer, { status: answer.kind === 'refused' ? 422 : 200 })
}

export function loader() {
  throw data('A room’s walls are only written here.', { status: 405 })
}
