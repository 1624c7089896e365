import type { Route } from './+types/job-work'
import { useFresh } from '~/features/anywhere/useFresh'
import { WorkPage } from '~/features/work/WorkPage'

export { clientLoader, loader, shouldRevalidate } from './job-supplies'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Work · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function JobWork({ loaderData }: Route.ComponentProps) {
  const [{ job, now }] = useFresh(loaderData)
  return <WorkPage key={job.id} job={job} now={now} />
}
