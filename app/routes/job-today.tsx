import type { Route } from './+types/job-today'
import { useFresh } from '~/features/anywhere/useFresh'
import { TodayPage } from '~/features/work/TodayPage'

export { clientLoader, loader, shouldRevalidate } from './job-supplies'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Today · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function Today({ loaderData }: Route.ComponentProps) {
  const [{ job, now }] = useFresh(loaderData)
  return <TodayPage key={job.id} job={job} now={now} />
}
