import type { Route } from './+types/job-shopping'
import { useFresh } from '~/features/anywhere/useFresh'
import { ShoppingPage } from '~/features/boards/ShoppingPage'

export { clientLoader, loader } from './job-boards'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Shopping list · ${loaderData?.job.name ?? 'Job'} · Regla` },
]

export default function Shopping({ loaderData }: Route.ComponentProps) {
  const [{ job }] = useFresh(loaderData)
  return <ShoppingPage job={job} />
}
