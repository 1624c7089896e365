import type { Route } from './+types/job-shopping'
import { ShoppingPage } from '~/features/boards/ShoppingPage'

export { loader } from './job-boards'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Shopping list · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function Shopping({ loaderData }: Route.ComponentProps) {
  return <ShoppingPage job={loaderData.job} />
}
