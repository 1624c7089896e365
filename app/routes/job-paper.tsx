import { data } from 'react-router'
import type { Route } from './+types/job-paper'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { PaperPage } from '~/features/paper/PaperPage'
import { paperTroubleText } from '~/messages'
import { onDatabase } from '~/server/database.server'
import { paperJob } from '~/server/paper/paperJob.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Paper and files · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export function loader({ params }: Route.LoaderArgs) {
  const found = onDatabase((db) => paperJob(db, params.jobId, 0, 0))
  if (!found) throw data(paperTroubleText.noJob, { status: 404 })
  const { id, name, settings, walls, revision } = found.job
  return {
    job: {
      id,
      name,
      units: settings.units,
      walls: walls.map((wall) => ({ id: wall.id, name: wall.name })),
      unreadable: found.unreadable,
      revision,
    },
  }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Paper({ loaderData }: Route.ComponentProps) {
  const [{ job }] = useFresh(loaderData)
  return <PaperPage key={job.id} job={job} />
}
