import { data, redirect } from 'react-router'
import type { Route } from './+types/wall'
import { ShownWall } from '~/editor/ShownWall'
import { BrokenWall } from '~/features/trouble/BrokenWall'
import { mendingText } from '~/messages'
import { keptOpen } from '~/routes/keptOpen'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { goBackToShown } from '~/server/mending.server'
import { pageOfWall } from '~/server/pages.server'
import { wallView } from '~/server/wallView.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Wall'} · Regla` },
]

const MISSING = 'There is no such wall in this job. It may have been on another machine.'

export function loader({ params, context }: Route.LoaderArgs) {
  const found = onDatabase((db) => wallView(db, params, context.get(memberContext)?.id ?? null))
  if (!found) throw data(MISSING, { status: 404 })
  return found
}

/** Goes back to how a wall that can't be shown last could be. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const intent = textOf(await formOf(request), 'intent')
  if (intent !== 'goBack') throw data(`Nobody knows how to “${intent.slice(0, 40)}” a wall.`, { status: 400 })
  const member = context.get(memberContext)?.id ?? null
  const done = onDatabase((db) => {
    const page = pageOfWall(db, params)
    if (!page) throw data(MISSING, { status: 404 })
    return goBackToShown(db, page, member)
  })
  return done
    ? redirect(`/jobs/${params.jobId}/walls/${params.wallId}/layout`)
    : { said: mendingText.noWayBack }
}

export const shouldRevalidate = keptOpen('wallId')

export default function Wall({ loaderData, actionData }: Route.ComponentProps) {
  const { job, id, name, problems, shown } = loaderData
  if (!shown)
    return <BrokenWall job={job} id={id} name={name} problems={problems} said={actionData?.said ?? null} />
  return <ShownWall key={shown.option} job={job} id={id} name={name} shown={shown} />
}
