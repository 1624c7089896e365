import { data } from 'react-router'
import type { Route } from './+types/wall-log-photos'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { keepLogPhotos, logPhotoBytes } from '~/server/logPhotos.server'
import { wallExists } from '~/server/walls.server'

/** POST: photographs for the wall's log. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const posted: unknown = await request.json().catch(() => null)
  const kept = await keepLogPhotos(onDatabase, params, posted, member)
  return Response.json({ kept }, { status: kept ? 200 : 422 })
}

/** One of them, by `id`. */
export function loader({ request, params }: Route.LoaderArgs) {
  const id = new URL(request.url).searchParams.get('id') ?? ''
  const bytes = onDatabase((db) => (wallExists(db, params) ? logPhotoBytes(db, params.wallId, id) : null))
  if (!bytes) throw data('There is no such photograph in this log.', { status: 404 })
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  })
}
