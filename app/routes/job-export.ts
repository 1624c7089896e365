import { data } from 'react-router'
import type { Route } from './+types/job-export'
import { onDatabase } from '~/server/database.server'
import { mendingText } from '~/messages'
import { unreadableWalls } from '~/server/mending.server'
import { exportJob } from '~/server/jobs.server'

export function loader({ params }: Route.LoaderArgs) {
  const file = onDatabase((db) => {
    const unreadable = unreadableWalls(db, params.jobId)
    if (unreadable.length > 0) throw data(mendingText.inJob(unreadable), { status: 409 })
    return exportJob(db, params.jobId)
  })
  if (!file) throw data('There is no such job here.', { status: 404 })
  const name = file.name.replace(/[^A-Za-z0-9 _-]/g, '').trim() || 'job'
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.regla.json"`,
    },
  })
}
