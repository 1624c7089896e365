import {
  createContext,
  createCookie,
  data,
  type MiddlewareFunction,
  redirect,
  type RouterContextProvider,
} from 'react-router'
import { roleText } from '~/messages'
import { may, MEMBER_HEADER, ON_THE_MACHINE, REFUSED_HEADER, type Right, type Standing } from '~/model'
import { network } from '../http/network.server'
import { onDatabase, whenFree } from '../database.server'
import type { Member } from './members.server'
import { bearerOf, isDevice } from './deviceTokens.server'
import { insteadOf, rightFor } from './rights.server'
import { memberOf, SESSION_DAYS } from './sessions.server'

/** Who asked; null on the machine itself, where nobody signs in. */
export const memberContext = createContext<Member | null>(null)

/** The address a request came from. */
export const addressContext = createContext('')

/** Pages for whoever is not in yet. */
const OPEN = new Set(['/sign-in', '/healthz'])
const CLIENT_PAGE = /^\/c\/[\w-]+(\/photo\/[\w-]+)?$/
/** Where devices post what they read. */
const READINGS = /^\/devices\/[\w-]+\/readings$/
/** What scripts of a page post: answered with a status they understand instead of another page. */
const POSTED_BY_SCRIPTS = /\/(document|acts|history|readings)$/

const cookie = () => {
  const { secure } = network()
  return createCookie(secure ? '__Host-regla' : 'regla', {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    secure,
    maxAge: SESSION_DAYS * 86_400,
  })
}

/** What a request's cookie holds; null without one. */
export async function tokenOf(request: Request): Promise<string | null> {
  const held: unknown = await cookie().parse(request.headers.get('cookie'))
  return typeof held === 'string' ? held : null
}

/** The header that lets a browser in, or out again where there is no token. */
export async function cookieFor(token: string | null): Promise<string> {
  return cookie().serialize(token ?? '', token === null ? { maxAge: 0 } : {})
}

/** A path of this server alone to go on to; the list of jobs where it is none. */
export function safePath(to: string | null): string {
  return to !== null && /^\/(?![/\\])[^\s\\]*$/.test(to) ? to : '/'
}

/** The page that a path of data is of. */
function pagePath(path: string): string {
  return path === '/_root' || path === '/_' ? '/' : path
}

/** Says that the role of whoever asks is not one for that, in the way it was asked; or leads on to where they may go. */
function notAllowed(path: string, method: string): Response {
  const instead = method === 'GET' ? insteadOf(path) : null
  if (instead !== null) throw redirect(instead)
  if (POSTED_BY_SCRIPTS.test(path))
    return Response.json({ kind: 'refused', problems: [roleText.refused] }, { status: 403 })
  throw data(roleText.refused, { status: 403 })
}

/** What whoever asks may do. */
export function standingOf(context: Readonly<RouterContextProvider>): Standing {
  return context.get(memberContext) ?? ON_THE_MACHINE
}

/** Whether whoever asks may do what takes a right. */
export function mayOf(context: Readonly<RouterContextProvider>, right: Right): boolean {
  return may(standingOf(context), right)
}

/** Another program that holds the database holds up the requests that need it, and no others. */
export const databaseGate: MiddlewareFunction<Response> = async ({ request }, next) => {
  if (new URL(request.url).pathname !== '/healthz') await whenFree(request.method === 'POST')
  return next()
}

/** On the network nobody is let in without signing in, and nobody does what their role is not one for. */
export const signInGate: MiddlewareFunction<Response> = async ({ request, context }, next) => {
  if (network().local) return next()
  const { pathname, search } = new URL(request.url)
  const path = pathname.replace(/\.data$/, '')
  const token = await tokenOf(request)
  const member = token === null ? null : onDatabase((db) => memberOf(db, token, Date.now()))
  context.set(memberContext, member)
  // what another member has done on this device is not written down as done by whoever signed in since
  const doer = request.headers.get(MEMBER_HEADER)
  if (member && doer !== null && doer !== member.id)
    return Response.json(
      { kind: 'otherMember' },
      { status: 401, headers: { [REFUSED_HEADER]: 'otherMember' } },
    )
  // a client's link opens its own page and no other
  // a device posts readings by its own token, and does nothing else with it
  const bearer = bearerOf(request.headers.get('authorization'))
  if (!member && bearer !== null && request.method === 'POST' && READINGS.test(path))
    if (onDatabase((db) => isDevice(db, bearer, Date.now()))) return next()
  if (member && !may(member, rightFor(pagePath(path), request.method)))
    return notAllowed(path, request.method)
  if (member || OPEN.has(path) || CLIENT_PAGE.test(path)) return next()
  if (POSTED_BY_SCRIPTS.test(path)) return Response.json({ kind: 'signedOut' }, { status: 401 })
  const to = request.method === 'GET' ? `${pagePath(path)}${search}` : '/'
  throw redirect(`/sign-in?to=${encodeURIComponent(to)}`)
}
