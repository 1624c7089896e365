import { useMemo } from 'react'
import { data, Outlet, type ShouldRevalidateFunctionArgs } from 'react-router'
import type { Route } from './+types/wall'
import { WallEditorProvider } from '~/editor/WallEditor'
import { Workbench } from '~/editor/Workbench'
import { actsOf } from '~/server/acts.server'
import { onDatabase } from '~/server/database.server'
import { wallsBeside } from '~/server/rooms.server'
import { wallPage } from '~/server/walls.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Wall'} · Regla` },
]

export function loader({ params }: Route.LoaderArgs) {
  return onDatabase((db) => {
    const page = wallPage(db, params)
    if (!page)
      throw data('There is no such wall in this job. It may have been on another machine.', { status: 404 })
    return { ...page, beside: wallsBeside(db, page.room.id, page.id), acts: actsOf(db, page.id) }
  })
}

/** While the page is open the browser's copy is the one being worked on. */
export function shouldRevalidate({ currentParams, nextParams }: ShouldRevalidateFunctionArgs) {
  return currentParams.wallId !== nextParams.wallId
}

export default function Wall({ loaderData }: Route.ComponentProps) {
  const { job, room, id, name, beside, documents, history, acts } = loaderData
  return (
    <WallEditorProvider
      key={id}
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
