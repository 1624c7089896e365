import { data, redirect } from 'react-router'
import type { Route } from './+types/wall-options'
import { fullText, agreeText } from '~/messages'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'
import { changeOption, copyOption, movedSince } from '~/server/options.server'

const DOES = ['rename', 'putAway', 'bringBack', 'choose'] as const

/** POST: makes an option of a wall from another one, names it, puts it away, chooses it. */
export async function action({ request, params }: Route.ActionArgs) {
  const form = await formOf(request)
  const [intent, option] = [textOf(form, 'intent'), textOf(form, 'option')]
  const name = textOf(form, 'name').trim().slice(0, 80)
  try {
    if (intent === 'copy') {
      const made = onDatabase((db) => copyOption(db, params, option, name))
      if (!made) return { said: agreeText.noOption }
      return redirect(`/jobs/${params.jobId}/walls/${params.wallId}/options/${made}/agree`)
    }
    const kind = DOES.find((each) => each === intent)
    if (!kind || (kind === 'rename' && name === ''))
      throw data('Nobody knows how to do that with an option.', { status: 400 })
    const change = kind === 'rename' ? { kind, name } : { kind }
    const was = form.has('was') ? textOf(form, 'was') : null
    const moved = onDatabase((db) => movedSince(db, params, option, change, was))
    if (moved) return { said: agreeText.moved(moved.kind, moved.name) }
    const done = onDatabase((db) => changeOption(db, params, option, change))
    if (!done) return { said: agreeText.notChanged }
    return kind === 'choose' ? redirect(`/jobs/${params.jobId}/walls/${params.wallId}/agree`) : { said: null }
  } catch (error) {
    if (error instanceof FullError) return { said: fullText(error.what) }
    throw error
  }
}

export function loader() {
  throw data('Options are only changed here.', { status: 405 })
}
