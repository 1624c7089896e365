import { randomBytes } from 'node:crypto'
import archivo from '@fontsource-variable/archivo/files/archivo-latin-wght-normal.woff2?url'
import type { Route } from './+types/client'
import type { ClientView } from '~/features/client/clientView'
import { dayText } from '~/features/client/clientView'
import { renderClientPage, renderClosed } from '~/features/client/renderClient'
import { pageText } from '~/messages'
import { clientScript } from '~/server/clientScript.server'
import { recordClientAct } from '~/server/clientLinks.server'
import { type ClientPage, openLink } from '~/server/clientPage.server'
import { onDatabase } from '~/server/database.server'
import { formOf, textOf } from '~/server/forms.server'
import { sign, type SignProblem } from '~/server/signatures.server'

const USES = ['trim', 'field', 'above', 'plates'] as const

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

type Said = Pick<ClientView, 'said'> & Partial<Pick<ClientView, 'typed'>>
const NOTHING_TYPED = { name: '', remark: '', wall: '' }

function shown(page: ClientPage, { said, typed = NOTHING_TYPED }: Said, status = 200): Response {
  const nonce = randomBytes(16).toString('base64')
  return answer(renderClientPage({ page, said, typed, font: archivo }, nonce, clientScript()), nonce, status)
}

const SAID: Readonly<Record<string, string>> = { kept: pageText.kept, sent: pageText.sent }

/** A client's page, whole as it is: no part of the editor comes with it. */
export function loader({ params, request }: Route.LoaderArgs) {
  const opened = onDatabase((db) => openLink(db, params.token, Date.now()))
  if (opened.kind !== 'open') return closed(opened.kind)
  const text = SAID[new URL(request.url).searchParams.get('said') ?? '']
  return shown(opened.page, { said: text === undefined ? null : { text, bad: false } })
}

function problemText(problem: SignProblem): string {
  const { problems } = pageText
  switch (problem.code) {
    case 'notPicked':
      return problems.notPicked(problem.wall)
    case 'already':
      return problems.already(problem.name, dayText(problem.signedAt))
    default:
      return problems[problem.code]
  }
}

function lineOf(text: string): unknown {
  if (text === '') return []
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** POST: the client picks, writes a remark, or signs. */
export async function action({ params, request }: Route.ActionArgs) {
  const form = await formOf(request)
  const of = (name: string) => textOf(form, name)
  const [intent, wall, remark, name] = [of('intent'), of('wall'), of('text'), of('name')]
  const now = Date.now()
  const opened = onDatabase((db) => openLink(db, params.token, now))
  if (opened.kind !== 'open') return closed(opened.kind, remark || name)
  const { page } = opened
  const { link } = page
  const typed = { name, remark, wall }
  const bad = (text: string, status = 422) => shown(page, { said: { text, bad: true }, typed }, status)
  const back = (said: string) =>
    new Response(null, { status: 303, headers: { location: `/c/${link.token}${said}` } })
  if (page.signed)
    return bad(problemText({ code: 'already', name: page.signed.name, signedAt: page.signed.signedAt }), 409)
  const record = (act: object) => onDatabase((db) => recordClientAct(db, link, act, now))
  if (intent === 'choose') {
    const option = of('option')
    const picked = Object.hasOwn(page.picks, wall) ? page.picks[wall] : undefined
    const colors = USES.flatMap((use) => {
      const paint = of(`color-${use}`)
      return paint === '' || paint === picked?.colors[use] ? [] : [{ kind: 'color', wall, use, paint }]
    })
    const acts = [...(option === '' ? [] : [{ kind: 'picked', wall, option }]), ...colors]
    const kept = acts.map(record)
    if (kept.includes('full')) return bad(pageText.problems.full)
    if (kept.includes('unread')) return bad(pageText.problems.notOffered)
    return back('?said=kept#said')
  }
  if (intent === 'remark') {
    if (remark.trim() === '') return bad(pageText.problems.remark)
    const [x, y] = [Number(of('x')), Number(of('y'))]
    const placed = of('x') !== '' && of('y') !== '' && Number.isSafeInteger(x) && Number.isSafeInteger(y)
    const option = of('option')
    const kept = record({
      kind: 'remark',
      wall,
      option: option === '' ? null : option,
      at: placed ? { x, y } : null,
      text: remark.slice(0, 400),
    })
    if (kept !== 'kept') return bad(kept === 'full' ? pageText.problems.full : pageText.problems.notOffered)
    return back('?said=sent#said')
  }
  if (intent === 'sign') {
    const done = onDatabase((db) => sign(db, link, name, lineOf(of('line')), now))
    if (!done.ok) return bad(problemText(done.problem), done.problem.code === 'already' ? 409 : 422)
    return back('')
  }
  return bad(pageText.problems.unread, 400)
}
