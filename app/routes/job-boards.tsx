import { data } from 'react-router'
import type { Route } from './+types/job-boards'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { JobBoardsPage } from '~/features/boards/JobBoardsPage'
import { onDatabase } from '~/server/database.server'
import { jobBoards } from '~/server/jobBoards.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Boards · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export function loader({ params }: Route.LoaderArgs) {
  const job = onDatabase((db) => jobBoards(db, params.jobId))
  if (!job) throw data('There is no such job here.', { status: 404 })
  const { settings } = job
  if (!settings)
    throw data('The settings of this job can’t be read. Open one of its walls to see what to do.', {
      status: 409,
    })
  return { job: { ...job, settings } }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function JobBoards({ loaderData }: Route.ComponentProps) {
  const [{ job }] = useFresh(loaderData)
  return <JobBoardsPage job={job} />
}
