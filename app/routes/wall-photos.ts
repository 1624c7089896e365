import { data } from 'react-router'
import type { Route } from './+types/wall-photos'
import { fullText, photoProblemText } from '~/messages'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'
import { keepPhoto, putPhotoAway, tidyPicture } from '~/server/photos.server'

/** POST: a photograph of a wall comes in, or is put away. */
export async function action({ request, params }: Route.ActionArgs) {
  const form = await formOf(request)
  const [intent, photo] = [textOf(form, 'intent'), textOf(form, 'photo')]
  if (intent === 'putAway' || intent === 'bringBack') {
    const done = onDatabase((db) => putPhotoAway(db, params, photo, intent === 'putAway'))
    if (!done) throw data('There is no such photograph of this wall.', { status: 404 })
    return { said: null, away: intent === 'putAway' ? photo : null }
  }
  const file = form.get('file')
  if (!(file instanceof File)) return { said: photoProblemText({ code: 'empty' }), away: null }
  const tidy = await tidyPicture(new Uint8Array(await file.arrayBuffer()))
  if (!tidy.ok) return { said: photoProblemText(tidy.issue), away: null }
  try {
    const name = file.name.replace(/\.\w+$/, '').slice(0, 80)
    const kept = onDatabase((db) => keepPhoto(db, params, name || 'Photograph', tidy.value))
    if (!kept) throw data('There is no such wall in this job.', { status: 404 })
    return { said: null, away: null }
  } catch (error) {
    if (error instanceof FullError) return { said: fullText(error.what), away: null }
    throw error
  }
}

export function loader() {
  throw data('Photographs are only taken in here.', { status: 405 })
}
