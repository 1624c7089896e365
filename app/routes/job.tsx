import { data, redirect } from 'react-router'
import type { Route } from './+types/job'
import { newWallForm, renameJobForm } from '~/features/jobs/jobForms'
import { JobPage } from '~/features/jobs/JobPage'
import { onDatabase } from '~/server/database.server'
import type { Database } from '~/server/db/database.server'
import { formOf, readForm, textOf } from '~/server/forms.server'
import { jobExists, renameJob } from '~/server/jobs.server'
import { troublesOf } from '~/server/mending.server'
import { pageOfWall } from '~/server/pages.server'
import { jobView } from '~/server/jobView.server'
import { fullText } from '~/messages'
import { archiveWall, createWall, FullError, duplicateWall, wallExists } from '~/server/walls.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.job.name ?? 'Job'} · Regla` },
]

const MISSING = 'There is no such job here. It may be on another machine, or the link lost a letter.'

export function loader({ params, request }: Route.LoaderArgs) {
  const page = Number(new URL(request.url).searchParams.get('page') ?? 1)
  const job = onDatabase((db) => jobView(db, params.jobId, page))
  if (!job) throw data(MISSING, { status: 404 })
  return { job }
}

export async function action({ request, params }: Route.ActionArgs) {
  const form = await formOf(request)
  try {
    return onDatabase((db) => carryOut(db, params.jobId, form))
  } catch (error) {
    if (error instanceof FullError) return { full: fullText(error.what) }
    throw error
  }
}

function carryOut(db: Database, jobId: string, form: FormData) {
  if (!jobExists(db, jobId)) throw data(MISSING, { status: 404 })
  const intent = textOf(form, 'intent')
  if (intent === 'newWall') {
    const wall = readForm(form, newWallForm)
    if (!wall.ok) return { newWall: wall.reply }
    const wallId = createWall(db, { jobId, roomName: wall.value.room, name: wall.value.name })
    return redirect(`/jobs/${jobId}/walls/${wallId}/measure`)
  }
  if (intent === 'rename') {
    const names = readForm(form, renameJobForm)
    if (!names.ok) return { rename: names.reply }
    renameJob(db, jobId, names.value.name, names.value.client)
    return {}
  }
  const wallId = textOf(form, 'wallId')
  if (!wallExists(db, { jobId, wallId })) throw data('There is no such wall in this job.', { status: 404 })
  if (intent === 'duplicateWall') {
    const page = pageOfWall(db, { jobId, wallId })
    const [problem] = page ? troublesOf(db, page) : []
    if (problem) throw data(problem, { status: 409 })
    duplicateWall(db, { jobId, wallId })
  } else if (intent === 'archiveWall') archiveWall(db, wallId, true)
  else if (intent === 'restoreWall') archiveWall(db, wallId, false)
  else throw data(`Nobody knows how to “${intent.slice(0, 40)}” a wall.`, { status: 400 })
  return {}
}

export default function Job({ loaderData, actionData }: Route.ComponentProps) {
  const newWall = actionData && 'newWall' in actionData ? actionData.newWall : undefined
  const rename = actionData && 'rename' in actionData ? actionData.rename : undefined
  const full = actionData && 'full' in actionData ? actionData.full : null
  return <JobPage job={loaderData.job} newWall={newWall} rename={rename} full={full ?? null} />
}
