import { data, redirect } from 'react-router'
import type { Route } from './+types/option'
import { ShownWall } from '~/editor/ShownWall'
import { BrokenWall } from '~/features/trouble/BrokenWall'
import { keptOpen } from '~/routes/keptOpen'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { wallView } from '~/server/wallView.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Wall'} · Regla` },
]

/** An option that is not the chosen one; the chosen one is the wall's own page. */
export function loader({ params, request, context }: Route.LoaderArgs) {
  const found = onDatabase((db) => wallView(db, params, context.get(memberContext)?.id ?? null))
  if (!found)
    throw data('This wall has no such option. It may have been made on another machine.', { status: 404 })
  const { pathname } = new URL(request.url)
  if (found.shown?.options.some(({ id, chosen }) => chosen && id === params.optionId))
    throw redirect(pathname.replace(/\.data$/, '').replace(`/options/${params.optionId}`, ''))
  return found
}

export const shouldRevalidate = keptOpen('optionId')

export default function Option({ loaderData }: Route.ComponentProps) {
  const { job, id, name, problems, shown } = loaderData
  if (!shown) return <BrokenWall job={job} id={id} name={name} problems={problems} said={null} />
  return <ShownWall key={shown.option} job={job} id={id} name={name} shown={shown} />
}
