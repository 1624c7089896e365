import type { Route } from './+types/job-today'
import { TodayPage } from '~/features/work/TodayPage'

export { loader, shouldRevalidate } from './job-supplies'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Today · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function Today({ loaderData }: Route.ComponentProps) {
  return <TodayPage key={loaderData.job.id} job={loaderData.job} now={loaderData.now} />
}
