import { data, redirect } from 'react-router'
import type { Route } from './+types/jobs'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { JobsPage } from '~/features/jobs/JobsPage'
import { mendingText } from '~/messages'
import { unreadableWalls } from '~/server/mending.server'
import type { Database } from '~/server/db/database.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { isEmptyHouse } from '~/server/wholeBackup.server'
import { archiveJob, duplicateJob, jobDetail, jobExists, listJobs, wallGlimpses } from '~/server/jobs.server'
import { takeInJobFile } from '~/server/jobFiles.server'

export const meta: Route.MetaFunction = () => [{ title: 'Jobs · Regla' }]

export function loader({ request }: Route.LoaderArgs) {
  const url = new URL(request.url)
  const archived = url.searchParams.get('away') === '1'
  const search = url.searchParams.get('search')?.trim() ?? ''
  const day = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeZone: 'UTC' })
  const wanted = Number(url.searchParams.get('page') ?? 1)
  const { jobs, page, pages, walls, empty } = onDatabase((db) => {
    const list = listJobs(db, { archived, search, page: wanted })
    return {
      ...list,
      empty: isEmptyHouse(db),
      walls: wallGlimpses(
        db,
        list.jobs.map(({ id }) => id),
      ),
    }
  })
  return {
    jobs: jobs.map((job) => ({
      ...job,
      updated: day.format(job.updatedAt),
      picture: walls.get(job.id)?.version ?? null,
    })),
    page,
    pages,
    archived,
    search,
    empty,
  }
}

export async function action({ request }: Route.ActionArgs) {
  const form = await formOf(request)
  return onDatabase((db) => carryOut(db, form))
}

function carryOut(db: Database, form: FormData) {
  const intent = textOf(form, 'intent')
  if (intent === 'import') {
    const taken = takeInJobFile(db, textOf(form, 'file'))
    if (taken.ok) return redirect(`/jobs/${taken.value}`)
    return data({ problems: taken.issue }, { status: 422 })
  }
  const jobId = textOf(form, 'jobId')
  if (!jobExists(db, jobId)) throw data('There is no such job here.', { status: 404 })
  if (intent === 'duplicate') {
    const unreadable = unreadableWalls(db, jobId)
    if (unreadable.length > 0) throw data(mendingText.inJob(unreadable), { status: 409 })
    duplicateJob(db, jobId)
  } else if (intent === 'archive') {
    archiveJob(db, jobId, true)
    return { problems: [], putAway: { id: jobId, name: jobDetail(db, jobId)?.name ?? '' } }
  } else if (intent === 'restore') archiveJob(db, jobId, false)
  else throw data(`Nobody knows how to “${intent.slice(0, 40)}” a job.`, { status: 400 })
  return { problems: [] }
}

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Jobs({ loaderData, actionData }: Route.ComponentProps) {
  const [fresh] = useFresh(loaderData)
  return (
    <JobsPage
      {...fresh}
      problems={actionData?.problems ?? []}
      putAway={actionData && 'putAway' in actionData ? (actionData.putAway ?? null) : null}
    />
  )
}
