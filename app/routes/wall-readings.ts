import { data } from 'react-router'
import type { Route } from './+types/wall-readings'
import { onDatabase } from '~/server/database.server'
import { readingsFile } from '~/server/readingsFile.server'

export function loader({ params, request }: Route.LoaderArgs) {
  const template = new URL(request.url).searchParams.has('template')
  const file = onDatabase((db) => readingsFile(db, params, template))
  if (!file) throw data('There is no such wall in this job.', { status: 404 })
  return new Response(file.text, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${file.name}"`,
    },
  })
}
