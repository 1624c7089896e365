import { data } from 'react-router'
import type { Route } from './+types/wall-document'
import { database } from '~/server/db/database.server'
import { changeWall } from '~/server/wallChanges.server'

export async function action({ request, params }: Route.ActionArgs) {
  const posted: unknown = await request.json().catch(() => null)
  const answer = changeWall(database(), params, posted)
  if (!answer.ok)
    return Response.json({ kind: 'refused', problems: ['There is no such wall.'] }, { status: 404 })
  return Response.json(answer.value, { status: answer.value.kind === 'refused' ? 422 : 200 })
}

export function loader() {
  throw data('A wall’s document is only written here.', { status: 405 })
}
