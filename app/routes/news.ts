import { onDatabase } from '~/server/database.server'
import { buildNow, newsOf } from '~/server/news.server'

/** Whether anything was saved since, and which build is served: a page that is open asks every few seconds. */
export function loader() {
  return Response.json(
    { news: onDatabase(newsOf), build: buildNow() },
    { headers: { 'cache-control': 'no-store' } },
  )
}
