import { data } from 'react-router'
import type { Route } from './+types/book'
import { BookPage } from '~/features/book/BookPage'
import { bookText, fullText } from '~/messages'
import { changeLayout, patternBookOf } from '~/server/books.server'
import { keepLayoutOf } from '~/server/keepLayout.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'

export const meta: Route.MetaFunction = () => [{ title: `${bookText.title} · Regla` }]

export function loader() {
  return { layouts: onDatabase((db) => patternBookOf(db)) }
}

/** POST: keeps a layout by name, gives one another name, puts one away. */
export async function action({ request }: Route.ActionArgs) {
  const form = await formOf(request)
  const of = (name: string) => textOf(form, name).trim()
  const [intent, id, name] = [of('intent'), of('layout'), of('name').slice(0, 80)]
  try {
    return onDatabase((db) => {
      if (intent === 'putAway' || intent === 'bringBack') {
        const done = changeLayout(db, id, { away: intent === 'putAway' }, Date.now())
        if (!done) throw data('There is no such layout in the book.', { status: 404 })
        return { said: null, bad: false, away: intent === 'putAway' ? id : null }
      }
      if (name === '') return { said: bookText.noName, bad: true, away: null }
      if (intent === 'rename') {
        changeLayout(db, id, { name }, Date.now())
        return { said: null, bad: false, away: null }
      }
      if (intent !== 'keep') throw data('Nobody knows how to do that with the book.', { status: 400 })
      const option = of('option')
      const ids = { jobId: of('job'), wallId: of('wall'), ...(option === '' ? {} : { optionId: option }) }
      const kept = keepLayoutOf(db, ids, name, Date.now())
      return { said: kept ? bookText.kept(name) : bookText.noWall, bad: !kept, away: null }
    })
  } catch (error) {
    if (error instanceof FullError) return { said: fullText(error.what), bad: true, away: null }
    throw error
  }
}

export default function Book({ loaderData, actionData }: Route.ComponentProps) {
  return <BookPage layouts={loaderData.layouts} away={actionData?.away ?? null} />
}
