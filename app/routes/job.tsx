import { data, redirect } from 'react-router'
import type { Route } from './+types/job'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { newWallsForm, renameForm, renameJobForm } from '~/features/jobs/jobForms'
import { JobPage } from '~/features/jobs/JobPage'
import { onDatabase } from '~/server/database.server'
import type { Database } from '~/server/db/database.server'
import { formOf, readForm, textOf } from '~/server/forms.server'
import { habitSettings } from '~/server/habits.server'
import { jobExists } from '~/server/jobs.server'
import { renameJob, renameRoom, renameWall } from '~/server/renaming.server'
import { troublesOf } from '~/server/mending.server'
import { pageOfWall } from '~/server/pages.server'
import { jobView } from '~/server/jobView.server'
import { fullText } from '~/messages'
import {
  archiveWall,
  createWalls,
  duplicateWall,
  FullError,
  pathAfter,
  wallExists,
} from '~/server/walls.server'

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
  if (intent === 'newWalls') {
    const units = habitSettings(db, jobId)?.units ?? 'inches'
    const typed = readForm(form, newWallsForm(units))
    if (!typed.ok) return { newWalls: typed.reply }
    const { walls, room, like } = typed.value
    const made = createWalls(db, { jobId, roomName: room === '' ? 'Room 1' : room, walls, like })
    return redirect(pathAfter(jobId, made, walls))
  }
  if (intent === 'rename') {
    const names = readForm(form, renameJobForm)
    if (!names.ok) return { rename: names.reply }
    const { was, ...mine } = names.value
    const fields = renameJob(db, jobId, was, mine)
    return fields ? { namesClash: fields } : {}
  }
  if (intent === 'renameRoom' || intent === 'renameWall') {
    const named = renameForm(intent === 'renameRoom' ? 'room' : 'wall').safeParse({
      name: textOf(form, 'name'),
    })
    if (!named.success) return { name: named.error.issues[0]?.message ?? '' }
    const naming = { name: named.data.name, was: form.has('was') ? textOf(form, 'was') : null }
    if (intent === 'renameRoom') {
      const done = renameRoom(db, jobId, textOf(form, 'roomId'), naming)
      if (done.kind === 'missing') throw data('There is no such room in this job.', { status: 404 })
      return done.kind === 'clash' ? { nameClash: done.clash } : {}
    }
    const wallId = textOf(form, 'wallId')
    if (!wallExists(db, { jobId, wallId })) throw data('There is no such wall in this job.', { status: 404 })
    const done = renameWall(db, wallId, naming)
    return done.kind === 'clash' ? { nameClash: done.clash } : {}
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

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Job({ loaderData, actionData }: Route.ComponentProps) {
  const newWalls = actionData && 'newWalls' in actionData ? actionData.newWalls : undefined
  const rename = actionData && 'rename' in actionData ? actionData.rename : undefined
  const full = actionData && 'full' in actionData ? actionData.full : null
  const [fresh, bring] = useFresh(loaderData, true)
  const namesClash = actionData && 'namesClash' in actionData ? (actionData.namesClash ?? null) : null
  return (
    <JobPage
      job={fresh.job}
      onWordsMissing={() => void bring()}
      newWalls={newWalls}
      rename={rename}
      namesClash={namesClash}
      full={full ?? null}
    />
  )
}
