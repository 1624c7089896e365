import { priceListCsv } from '~/core/yard/priceList'
import { onDatabase } from '~/server/database.server'
import { stockOf } from '~/server/yard.server'

/** The crew's lengths and prices as a file. */
export function loader() {
  const text = onDatabase((db) => priceListCsv(stockOf(db).lengths))
  return new Response(text, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="prices.csv"',
    },
  })
}
