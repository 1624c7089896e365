import { useMemo } from 'react'
import { data, Outlet, redirect, type ShouldRevalidateFunctionArgs } from 'react-router'
import type { Route } from './+types/wall'
import { WallEditorProvider } from '~/editor/WallEditor'
import { Workbench } from '~/editor/Workbench'
import { BrokenWall } from '~/features/trouble/BrokenWall'
import { mendingText } from '~/messages'
import { actsOf } from '~/server/acts.server'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { goBackToShown, troublesOf } from '~/server/mending.server'
import { pageOfWall } from '~/server/pages.server'
import { wallsBeside } from '~/server/rooms.server'
import { wallNamed, wallPage } from '~/server/walls.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Wall'} · Regla` },
]

const MISSING = 'There is no such wall in this job. It may have been on another machine.'

export function loader({ params }: Route.LoaderArgs) {
  return onDatabase((db) => {
    const [named, page] = [wallNamed(db, params), pageOfWall(db, params)]
    if (!named || !page) throw data(MISSING, { status: 404 })
    const problems = troublesOf(db, page)
    if (problems.length > 0) return { ...named, problems, shown: null }
    const found = wallPage(db, params)
    if (!found) throw data(MISSING, { status: 404 })
    const { job, id, name, ...shown } = found
    const beside = wallsBeside(db, shown.room.id, id)
    return { job, id, name, problems, shown: { ...shown, beside, acts: actsOf(db, id) } }
  })
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

/** While the page is open the browser's copy is the one being worked on. */
export function shouldRevalidate({ currentParams, nextParams, formMethod }: ShouldRevalidateFunctionArgs) {
  return formMethod === 'POST' || currentParams.wallId !== nextParams.wallId
}

export default function Wall({ loaderData, actionData }: Route.ComponentProps) {
  const { job, id, name, problems, shown } = loaderData
  if (!shown)
    return <BrokenWall job={job} id={id} name={name} problems={problems} said={actionData?.said ?? null} />
  return <ShownWall key={id} job={job} id={id} name={name} shown={shown} />
}

type Loaded = Route.ComponentProps['loaderData']

function ShownWall({
  job,
  id,
  name,
  shown: { room, beside, documents, history, acts },
}: Pick<Loaded, 'job' | 'id' | 'name'> & { shown: NonNullable<Loaded['shown']> }) {
  return (
    <WallEditorProvider
      identity={useMemo(() => ({ job, room, id, name, beside }), [job, room, id, name, beside])}
      documents={documents}
      history={history}
      acts={acts}
    >
      <Workbench>
        <Outlet />
      </Workbench>
    </WallEditorProvider>
  )
}
