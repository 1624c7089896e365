import { data } from 'react-router'
import type { Route } from './+types/room-document'
import { database } from '~/server/db/database.server'
import { changeRoom } from '~/server/rooms.server'

export async function action({ request, params }: Route.ActionArgs) {
  const posted: unknown = await request.json().catch(() => null)
  const answer = changeRoom(database(), params, posted)
  if (!answer)
    return Response.json({ kind: 'refused', problems: ['There is no such room.'] }, { status: 404 })
  return Response.json(answer, { status: answer.kind === 'refused' ? 422 : 200 })
}

export function loader() {
  throw data('A room’s walls are only written here.', { status: 405 })
}
