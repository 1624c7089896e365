import { redirect } from 'react-router'
import type { Route } from './+types/job-new'
import { newJobForm } from '~/features/jobs/jobForms'
import { NewJobPage } from '~/features/jobs/NewJobPage'
import { onDatabase } from '~/server/database.server'
import { formOf, readForm } from '~/server/forms.server'
import { lastJob, lastWall } from '~/server/habits.server'
import { createJob } from '~/server/jobs.server'
import { createWalls, pathAfter } from '~/server/walls.server'

export const meta: Route.MetaFunction = () => [{ title: 'New job · Regla' }]

export function loader() {
  return { last: onDatabase((db) => lastJob(db)) }
}

export async function action({ request }: Route.ActionArgs) {
  const form = readForm(await formOf(request), newJobForm)
  if (!form.ok) return form.reply
  const { walls, room, ...job } = form.value
  return onDatabase((db) => {
    const like = job.habits === null ? null : (lastWall(db, job.habits)?.id ?? null)
    const jobId = createJob(db, job)
    if (walls.length === 0) return redirect(`/jobs/${jobId}`)
    const made = createWalls(db, { jobId, roomName: room === '' ? 'Room 1' : room, walls, like })
    return redirect(pathAfter(jobId, made, walls))
  })
}

export default function NewJob({ loaderData, actionData }: Route.ComponentProps) {
  return <NewJobPage last={loaderData.last} lastResult={actionData} />
}
