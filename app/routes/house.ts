import { data } from 'react-router'
import type { Route } from './+types/house'
import { bookText, fullText } from '~/messages'
import { putHouseNoteAway } from '~/server/books.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'
import { writeHouse } from '~/server/keepLayout.server'

/** POST: writes down what a wall has, or takes something out of the house's book. */
export async function action({ request, params }: Route.ActionArgs) {
  const form = await formOf(request)
  const intent = textOf(form, 'intent')
  const option = textOf(form, 'option')
  try {
    return onDatabase((db) => {
      if (intent === 'takeOut') {
        putHouseNoteAway(db, params.jobId, textOf(form, 'note'), Date.now())
        return { said: null }
      }
      const ids = {
        jobId: params.jobId,
        wallId: textOf(form, 'wall'),
        ...(option === '' ? {} : { optionId: option }),
      }
      const written = writeHouse(db, ids, Date.now())
      if (written === null) throw data('There is no such wall in this job.', { status: 404 })
      return { said: bookText.houseKept(written) }
    })
  } catch (error) {
    if (error instanceof FullError) return { said: fullText(error.what) }
    throw error
  }
}

export function loader() {
  throw data('The house book is only written here.', { status: 405 })
}
