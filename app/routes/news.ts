import { onDatabase } from '~/server/database.server'
import { newsOf } from '~/server/news.server'

/** Whether anything was saved since: a page that is open asks every few seconds. */
export function loader() {
  return Response.json({ news: onDatabase(newsOf) }, { headers: { 'cache-control': 'no-store' } })
}
