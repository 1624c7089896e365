import { redirect } from 'react-router'
import type { Route } from './+types/wall-index'

export function loader({ params }: Route.LoaderArgs) {
  return redirect(`/jobs/${params.jobId}/walls/${params.wallId}/layout`)
}
