import type { Route } from './+types/wall-picture'
import { onDatabase } from '~/server/database.server'
import { wallPicture } from '~/server/jobView.server'

/** A wall's small drawing. Its address names the versions it is of, so a browser asks for each once. */
export async function loader({ params }: Route.LoaderArgs) {
  const picture = await onDatabase((db) => wallPicture(db, params))
  if (picture === null) return new Response('There is no such drawing.', { status: 404 })
  return new Response(picture, {
    headers: {
      'Content-Type': 'image/svg+xml',
      'Cache-Control': 'private, max-age=31536000, immutable',
      'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  })
}
