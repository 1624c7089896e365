import { onDatabase } from '~/server/database.server'
import { pricesCsv } from '~/server/yard.server'

/** The crew's lengths and prices as a file. */
export function loader() {
  return new Response(onDatabase(pricesCsv), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="prices.csv"',
    },
  })
}
