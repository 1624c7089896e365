import { data } from 'react-router'
import type { Route } from './+types/wall-kept'
import { onDatabase } from '~/server/database.server'
import { documentsAsKept } from '~/server/mending.server'
import { pageOfWall } from '~/server/pages.server'

/** A wall's documents as they are kept, readable or not. */
export function loader({ params }: Route.LoaderArgs) {
  const documents = onDatabase((db) => {
    const page = pageOfWall(db, params)
    return page && documentsAsKept(db, page)
  })
  if (!documents) throw data('There is no such wall in this job.', { status: 404 })
  return new Response(`${JSON.stringify({ format: 'regla-wall-as-kept', documents }, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="wall as kept.json"',
    },
  })
}
