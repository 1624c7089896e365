import { redirect } from 'react-router'
import type { Route } from './+types/job-new'
import { newJobForm } from '~/features/jobs/jobForms'
import { NewJobPage } from '~/features/jobs/NewJobPage'
import { onDatabase } from '~/server/database.server'
import { formOf, readForm } from '~/server/forms.server'
import { createJob } from '~/server/jobs.server'

export const meta: Route.MetaFunction = () => [{ title: 'New job · Regla' }]

export async function action({ request }: Route.ActionArgs) {
  const form = readForm(await formOf(request), newJobForm)
  return form.ok ? redirect(`/jobs/${onDatabase((db) => createJob(db, form.value))}`) : form.reply
}

export default function NewJob({ actionData }: Route.ComponentProps) {
  return <NewJobPage lastResult={actionData} />
}
