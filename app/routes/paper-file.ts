import type { Route } from './+types/paper-file'
import { paperTroubleText } from '~/messages'
import { onDatabase } from '~/server/database.server'
import { paperAsked, paperJob } from '~/server/paper/paperJob.server'
import { printer } from '~/server/paper/printing.server'

/** Minutes off UTC a reader's clock may be. */
const MOST_OFF = 15 * 60

/** Why there is none, as plain words: whoever asked shows them as they are. */
const refusal = (text: string, status: number) =>
  new Response(text, { status, headers: { 'content-type': 'text/plain; charset=utf-8' } })

/** One file: a PDF, a drawing, a table or the calendar. What can't be is told in words, and never half a file. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const query = Object.fromEntries(new URL(request.url).searchParams)
  const asked = paperAsked(params.file, query)
  if (!asked) return refusal(paperTroubleText.badAsk, 404)
  const clock = Number(query.clock ?? -new Date().getTimezoneOffset())
  const off = Number.isInteger(clock) && Math.abs(clock) <= MOST_OFF ? clock : 0
  const found = onDatabase((db) => paperJob(db, params.jobId, Date.now(), off))
  if (!found) return refusal(paperTroubleText.noJob, 404)
  const made = await printer().print(found.job, asked, request.signal)
  if (typeof made === 'string') {
    const status = { noWall: 404, nothing: 404, broken: 409, tooLong: 503, busy: 503, left: 499 }[made]
    return refusal(paperTroubleText[made], status)
  }
  const plain = made.name.replace(/[^\x20-\x7e]|["\\%]/g, '_')
  return new Response(new Uint8Array(made.bytes), {
    headers: {
      'content-type': made.type,
      'content-length': String(made.bytes.byteLength),
      'content-disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(made.name)}`,
      'cache-control': 'no-store',
      // what a browser draws of a file it was handed runs nothing
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  })
}
