import { data, redirect } from 'react-router'
import type { Route } from './+types/wall-options'
import { fullText, agreeText } from '~/messages'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import type { Database } from '~/server/db/database.server'
import { newChange } from '~/server/documents.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'
import { changeOption, copyOption } from '~/server/options.server'

/**
 * POST: makes an option of a wall from another one, or chooses the one a client picked. The wall's own page saves names, choice and archive with
 * its other documents.
 */
export async function action({ request, params, context }: Route.ActionArgs) {
  const form = await formOf(request)
  const [intent, option] = [textOf(form, 'intent'), textOf(form, 'option')]
  const own = `/jobs/${params.jobId}/walls/${params.wallId}`
  if (intent === 'choose') {
    const member = context.get(memberContext)?.id ?? null
    const made = (db: Database) => newChange(db, `wall/${option}`, 'done', null, member)
    const done = onDatabase((db) => changeOption(db, params, option, { kind: 'choose' }, made))
    return done ? redirect(`${own}/agree`) : { said: agreeText.noOption }
  }
  if (intent !== 'copy') throw data('Nobody knows how to do that with an option.', { status: 400 })
  const name = textOf(form, 'name').trim().slice(0, 80)
  try {
    const made = onDatabase((db) => copyOption(db, params, option, name))
    if (!made) return { said: agreeText.noOption }
    return redirect(`${own}/options/${made}/agree`)
  } catch (error) {
    if (error instanceof FullError) return { said: fullText(error.what) }
    throw error
  }
}

export function loader() {
  throw data('Options are only made here.', { status: 405 })
}
