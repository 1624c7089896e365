import type { Route } from './+types/job-work'
import { WorkPage } from '~/features/work/WorkPage'

export { loader, shouldRevalidate } from './job-supplies'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Work · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function JobWork({ loaderData }: Route.ComponentProps) {
  return <WorkPage key={loaderData.job.id} job={loaderData.job} now={loaderData.now} />
}
