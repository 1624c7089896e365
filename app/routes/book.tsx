import { data } from 'react-router'
import type { Route } from './+types/book'
import { orShown } from '~/features/anywhere/lastShown'
import { useFresh } from '~/features/anywhere/useFresh'
import { BookPage } from '~/features/book/BookPage'
import { bookText, fullText } from '~/messages'
import { patternBookOf, putLayoutAway } from '~/server/books.server'
import { renameLayout } from '~/server/renaming.server'
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
        const done = putLayoutAway(db, id, intent === 'putAway', Date.now())
        if (!done) throw data('There is no such layout in the book.', { status: 404 })
        return { said: null, bad: false, away: intent === 'putAway' ? id : null }
      }
      if (name === '') return { said: bookText.noName, bad: true, away: null }
      if (intent === 'rename') {
        const named = renameLayout(db, id, { name, was: form.has('was') ? of('was') : null })
        const nameClash = named.kind === 'clash' ? named.clash : null
        return { said: null, bad: false, away: null, nameClash }
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

export const clientLoader = ({ request, serverLoader }: Route.ClientLoaderArgs) =>
  orShown(request, serverLoader)

export default function Book({ loaderData, actionData }: Route.ComponentProps) {
  const [{ layouts }] = useFresh(loaderData)
  return <BookPage layouts={layouts} away={actionData?.away ?? null} />
}
