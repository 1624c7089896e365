import { data } from 'react-router'
import type { Route } from './+types/client-photo'
import { photoOverlay } from '~/features/client/renderClient'
import { photoDigest, readPage } from './clientRead'
import { composited, openLink, shownBytes } from '~/server/clientPage.server'
import { onDatabase } from '~/server/database.server'
import { signedPicture } from '~/server/signatures.server'

function jpeg(bytes: Buffer): Response {
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=60' },
  })
}

/** A photograph of a client's page with one of its options on it: as it is now, which the address says, or as it was signed. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const asked = new URL(request.url).searchParams
  const option = asked.get('option') ?? ''
  const found = onDatabase((db) => {
    const opened = openLink(db, params.token, Date.now())
    if (opened.kind !== 'open') return null
    const { page } = opened
    const wall = page.walls.find(({ photo }) => photo?.id === params.photoId)
    const frozen = wall && page.signed ? signedPicture(db, page.signed.id, wall.id) : null
    if (frozen) return { frozen }
    const photo = shownBytes(db, page, params.photoId)
    // a page read before the photograph changed does not show the new one as what was read
    const isShown = photo && photoDigest(readPage({ ...page, walls: [photo.wall] }), photo.wall.id, option)
    return photo && isShown === asked.get('as') ? { page, ...photo } : null
  })
  if (found && 'frozen' in found) return jpeg(found.frozen)
  const svg = found && photoOverlay(found.page, found.wall, option)
  if (!found || svg === null) throw data('There is no such picture.', { status: 404 })
  return jpeg(await composited(found.bytes, svg))
}
