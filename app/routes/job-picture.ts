import type { Route } from './+types/job-picture'
import { onDatabase } from '~/server/database.server'
import { jobPicture } from '~/server/jobView.server'
import { pictureAnswer } from '~/routes/pictureAnswer'

/** A job's first walls in one small drawing. */
export async function loader({ params }: Route.LoaderArgs) {
  return pictureAnswer(await onDatabase((db) => jobPicture(db, params.jobId)))
}
