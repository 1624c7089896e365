import { data } from 'react-router'
import type { Route } from './+types/job-along'
import { mayOf } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { jobExists } from '~/server/jobs.server'
import { placesOfJob } from '~/server/pages.server'

/** All pages of a job that a device keeps which takes it along, however many walls a page of it lists. */
export function loader({ params: { jobId }, context }: Route.LoaderArgs) {
  const places = onDatabase((db) => (jobExists(db, jobId) ? placesOfJob(db, jobId) : null))
  if (!places) throw data('There is no such job.', { status: 404 })
  const own = `/jobs/${jobId}`
  return Response.json({
    closed: [...(mayOf(context, 'jobs') ? [] : ['layout']), ...(mayOf(context, 'prices') ? [] : ['buy'])],
    walls: places.walls.map((id) => `${own}/walls/${id}`),
    pages: [
      own,
      ...places.rooms.map((id) => `${own}/rooms/${id}`),
      ...(mayOf(context, 'prices') ? [`${own}/boards/list`] : []),
      `${own}/work/today`,
    ],
  })
}
