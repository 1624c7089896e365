import { data } from 'react-router'
import type { Route } from './+types/client-photo'
import { photoOverlay } from '~/features/client/renderClient'
import { composited, openLink, shownPhoto } from '~/server/clientPage.server'
import { onDatabase } from '~/server/database.server'

/** A photograph of a client's page with one of its options on it. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const option = new URL(request.url).searchParams.get('option') ?? ''
  const found = onDatabase((db) => {
    const opened = openLink(db, params.token, Date.now())
    if (opened.kind !== 'open') return null
    const photo = shownPhoto(db, opened.page, params.photoId)
    return photo && { page: opened.page, ...photo }
  })
  const svg = found && photoOverlay(found, found.wall, found, option)
  if (!found || svg === null) throw data('There is no such picture.', { status: 404 })
  const bytes = await composited(found.bytes, svg)
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=60' },
  })
}
