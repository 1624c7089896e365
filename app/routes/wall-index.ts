import { redirect } from 'react-router'
import { mayOf } from '~/server/crew/entry.server'
import type { Route } from './+types/wall-index'

/** A wall opens where it is laid out, or where it is marked for whoever only works at it. */
export function loader({ params, context }: Route.LoaderArgs) {
  const stage = mayOf(context, 'jobs') ? 'layout' : 'mark'
  return redirect(`/jobs/${params.jobId}/walls/${params.wallId}/${stage}`)
}
