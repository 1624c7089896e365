import { data, type ShouldRevalidateFunctionArgs } from 'react-router'
import type { Route } from './+types/job-supplies'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { SuppliesPage } from '~/features/supplies/SuppliesPage'
import { memberContext } from '~/server/crew/entry.server'
import { crewKnown } from '~/server/crewLog.server'
import { onDatabase } from '~/server/database.server'
import { jobWork, localMinute } from '~/server/work.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Supplies · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export function loader({ params, context }: Route.LoaderArgs) {
  const member = context.get(memberContext)
  const job = onDatabase((db) => {
    const work = jobWork(db, params.jobId, member?.id ?? null)
    return work && { ...work, learned: crewKnown(db).rates }
  })
  if (!job) throw data('There is no such job here.', { status: 404 })
  if (job.settings === null)
    throw data('The settings of this job can’t be read. Open one of its walls to see what to do.', {
      status: 409,
    })
  return { job, now: localMinute(new Date()) }
}

/** While the page is open the browser's copy is the one being worked on. */
export function shouldRevalidate(args: ShouldRevalidateFunctionArgs) {
  const { currentParams, nextParams, currentUrl, nextUrl } = args
  // asked for anew where it is: others saved something
  return currentParams.jobId !== nextParams.jobId || currentUrl.href === nextUrl.href
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Supplies({ loaderData }: Route.ComponentProps) {
  const [{ job }] = useFresh(loaderData)
  return <SuppliesPage key={job.id} job={job} />
}
