import type { Route } from './+types/wall-picture'
import { onDatabase } from '~/server/database.server'
import { wallPicture } from '~/server/jobView.server'
import { pictureAnswer } from '~/routes/pictureAnswer'

/** A wall's small drawing. */
export async function loader({ params }: Route.LoaderArgs) {
  return pictureAnswer(await onDatabase((db) => wallPicture(db, params)))
}
