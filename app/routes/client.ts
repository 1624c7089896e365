import { randomBytes } from 'node:crypto'
import archivo from '@fontsource-variable/archivo/files/archivo-latin-wght-normal.woff2?url'
import type { Route } from './+types/client'
import { remarkOf, typedInto, writtenInto } from '~/features/client/clientForm'
import { type ClientView, dayText, NOTHING_TYPED, type Typed } from '~/features/client/clientView'
import { renderClientPage, renderClosed } from '~/features/client/renderClient'
import { pageText } from '~/messages'
import { clientScript } from '~/server/clientScript.server'
import { recordClientAct } from '~/server/clientLinks.server'
import { type ClientPage, openLink } from '~/server/clientPage.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { type PageProblem, photoDigest, readPage, signPage, ticksOf } from './clientRead'

function answer(html: string, nonce: string, status = 200): Response {
  return new Response(html, {
    status,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'cache-control': 'no-store',
      'x-robots-tag': 'noindex, nofollow',
      'content-security-policy': [
        "default-src 'none'",
        `script-src 'self' 'nonce-${nonce}'`,
        `style-src 'nonce-${nonce}'`,
        "style-src-attr 'unsafe-inline'",
        "img-src 'self' data:",
        "font-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
      ].join('; '),
    },
  })
}

function closed(kind: 'over' | 'unknown', kept = ''): Response {
  const nonce = randomBytes(16).toString('base64')
  const [title, text] =
    kind === 'over' ? [pageText.over, pageText.overHelp] : [pageText.unknown, pageText.unknownHelp]
  return answer(renderClosed({ title, text, kept, font: archivo }, nonce), nonce, kind === 'over' ? 410 : 404)
}

type Said = Pick<ClientView, 'said'> & Partial<Pick<ClientView, 'typed' | 'changed'>>

function shown(
  page: ClientPage,
  { said, typed = NOTHING_TYPED, changed = [] }: Said,
  status = 200,
): Response {
  const nonce = randomBytes(16).toString('base64')
  const read = readPage(page)
  const view: ClientView = {
    page,
    shown: read.shown,
    digests: read.digests,
    photoUrl: (wallId, optionId, photoId) =>
      `/c/${page.link.token}/photo/${photoId}?option=${optionId}&as=${photoDigest(read, wallId, optionId) ?? ''}`,
    said,
    typed,
    changed,
    font: archivo,
  }
  return answer(renderClientPage(view, nonce, clientScript()), nonce, status)
}

/** A client's page, whole as it is: no part of the editor comes with it. */
export function loader({ params }: Route.LoaderArgs) {
  const opened = onDatabase((db) => openLink(db, params.token, Date.now()))
  return opened.kind === 'open' ? shown(opened.page, { said: null }) : closed(opened.kind)
}

function problemText(problem: PageProblem): string {
  const { problems } = pageText
  switch (problem.code) {
    case 'notPicked':
    case 'unsent':
      return problems[problem.code](problem.wall)
    case 'already':
      return problems.already(problem.name, dayText(problem.signedAt))
    default:
      return problems[problem.code]
  }
}

/** POST: the client picks, writes a remark, or signs. All that is typed and not kept comes back with the page. */
export async function action({ params, request }: Route.ActionArgs) {
  const form = await formOf(request)
  const now = Date.now()
  const opened = onDatabase((db) => openLink(db, params.token, now))
  if (opened.kind !== 'open') return closed(opened.kind, writtenInto(form))
  const { page } = opened
  const { link } = page
  const typed = typedInto(form, page)
  const bad = (text: string, status = 422) => shown(page, { said: { text, bad: true }, typed }, status)
  if (page.signed)
    return bad(problemText({ code: 'already', name: page.signed.name, signedAt: page.signed.signedAt }), 409)
  const record = (act: object) => onDatabase((db) => recordClientAct(db, link, act, now))
  /** The page as it is after something was kept, with the rest of what was typed. */
  const anew = (said: Said, rest: Typed, status = 200) => {
    const now = onDatabase((db) => openLink(db, link.token, Date.now()))
    return now.kind === 'open' ? shown(now.page, { ...said, typed: rest }, status) : closed(now.kind)
  }
  const [does, wall = ''] = textOf(form, 'do').split(/-(.*)/)
  if (does === 'keep') {
    const kept = ticksOf(page, typed).map(record)
    if (kept.includes('unread')) return bad(pageText.problems.notOffered)
    return anew({ said: { text: pageText.kept, bad: false } }, { ...typed, ticks: new Map() })
  }
  if (does === 'remark') {
    const remark = typed.remarks.get(wall)
    if (!remark) return bad(pageText.problems.notOffered)
    if (remark.text.trim() === '') return bad(pageText.problems.remark)
    const kept = record(remarkOf(wall, remark))
    if (kept !== 'kept') return bad(kept === 'full' ? pageText.problems.full : pageText.problems.notOffered)
    const remarks = new Map([...typed.remarks].filter(([id]) => id !== wall))
    return anew({ said: { text: pageText.sent, bad: false } }, { ...typed, remarks })
  }
  if (does === 'sign') {
    const done = await signPage(onDatabase, page, { typed, posted: textOf(form, 'shown') }, now)
    if (done.ok) return new Response(null, { status: 303, headers: { location: `/c/${link.token}` } })
    const { problem } = done
    const said = { text: problemText(problem), bad: true }
    const changed = problem.code === 'changed' ? problem.parts : []
    return anew({ said, changed }, typed, problem.code === 'already' || changed.length > 0 ? 409 : 422)
  }
  return bad(pageText.problems.unread, 400)
}
