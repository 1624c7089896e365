import { data } from 'react-router'
import type { Route } from './+types/wall-photo-file'
import { onDatabase } from '~/server/database.server'
import { photoBytes } from '~/server/photos.server'
import { wallExists } from '~/server/walls.server'

/** A photograph's pixels. */
export function loader({ params }: Route.LoaderArgs) {
  const bytes = onDatabase((db) =>
    wallExists(db, params) ? photoBytes(db, params.wallId, params.photoId) : null,
  )
  if (!bytes) throw data('There is no such photograph of this wall.', { status: 404 })
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  })
}
