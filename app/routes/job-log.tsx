import { data } from 'react-router'
import type { Route } from './+types/job-log'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { LogPage } from '~/features/log/LogPage'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { jobLog } from '~/server/jobLog.server'
import { localMinute } from '~/server/work.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Log and pace · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export function loader({ params, context }: Route.LoaderArgs) {
  const found = onDatabase((db) => jobLog(db, params.jobId, context.get(memberContext)?.id ?? null))
  if (!found) throw data('There is no such job here.', { status: 404 })
  const { job, rates, ...log } = found
  if (job.settings === null)
    throw data('The settings of this job can’t be read. Open one of its walls to see what to do.', {
      status: 409,
    })
  return { job: { ...job, learned: rates }, rates, ...log, now: localMinute(new Date()), at: Date.now() }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function JobLog({ loaderData }: Route.ComponentProps) {
  const [fresh] = useFresh(loaderData)
  return <LogPage key={fresh.job.id} {...fresh} />
}
