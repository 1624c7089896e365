import type { Request, RequestHandler } from 'express'
import { LIMITS } from '~/model'
import { guardText } from '~/messages'

/** Who may be asked for: the names and addresses this server answers to, without ports. */
export interface GuardOptions {
  readonly hosts: readonly string[]
  /** Where pages of this server come from, besides the host that was asked: what a proxy in front is called. */
  readonly origins: readonly string[]
}

/** Where something in JSON is posted. All else that changes something is a form. */
const JSON_PATHS = /\/(document|acts|history|readings|saws|log-photos)$/
const FORMS = ['application/x-www-form-urlencoded', 'multipart/form-data']
/** Forms that may bring a whole job file. */
const FILE_PATHS = new Set(['/', '/_.data', '/_root.data'])
/** Forms that may bring a photograph. */
const PHOTO_PATHS = /^\/jobs\/[\w-]+\/walls\/[\w-]+\/photos(\.data)?$/
/** Forms that may bring everything in one file. */
const BACKUP_PATH = /^\/backup(\.data)?$/
const READS = ['GET', 'HEAD']

/** Why a request is not let through: the status, and what to say. */
export interface Refusal {
  readonly status: 400 | 403 | 404 | 405 | 411 | 413 | 415 | 421
  readonly text: string
}

function hostOf(header: string | undefined): string | null {
  const found = /^(\[[\da-f:.]+\]|[\w.-]+)(:\d{1,5})?$/i.exec(header ?? '')
  return found?.[1]?.toLowerCase() ?? null
}

/** What is posted from another site's page, if a browser says so. */
function isForeign(request: Pick<Request, 'headers'>, { origins }: GuardOptions): boolean {
  const { origin, host } = request.headers
  const site = request.headers['sec-fetch-site']
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true
  if (origin === undefined) return false
  return ![`http://${host}`, `https://${host}`, ...origins].includes(origin)
}

/**
 * What is wrong with a path: 400 where a router could read another one in it (dots, doubled slashes, backslashes, in the clear or
 * written as %2e), 404 where it holds what no address has: bytes that are no text, or control characters. Null where nothing is.
 */
function oddPath(url: string): 400 | 404 | null {
  const [path = ''] = url.split(/[?#]/)
  let plain: string
  try {
    plain = decodeURIComponent(path)
  } catch {
    return 404
  }
  // eslint-disable-next-line no-control-regex -- these are what is looked for
  if (/[\u0000-\u001f\u007f]/.test(plain)) return 404
  if (!plain.startsWith('/') || plain.includes('\\') || plain.includes('//')) return 400
  return plain.split('/').some((part) => part === '.' || part === '..') ? 400 : null
}

/** Looks at a request before anything reads it. Null lets it through. */
export function refusalOf(
  request: Pick<Request, 'method' | 'headers' | 'path' | 'url'>,
  options: GuardOptions,
): Refusal | null {
  const host = hostOf(request.headers.host)
  if (host === null || !options.hosts.includes(host)) return { status: 421, text: guardText.host }
  const oddity = oddPath(request.url)
  if (oddity) return { status: oddity, text: guardText.path }
  if (READS.includes(request.method)) return null
  if (request.method !== 'POST') return { status: 405, text: guardText.method }
  if (isForeign(request, options)) return { status: 403, text: guardText.foreign }
  const length = request.headers['content-length']
  if (length === undefined || !/^\d+$/.test(length)) return { status: 411, text: guardText.length }
  const most = FILE_PATHS.has(request.path)
    ? LIMITS.fileBytes
    : PHOTO_PATHS.test(request.path)
      ? LIMITS.photoBytes
      : BACKUP_PATH.test(request.path)
        ? LIMITS.backupBytes
        : LIMITS.requestBytes
  if (Number(length) > most) return { status: 413, text: guardText.tooLarge(most) }
  const type = (request.headers['content-type'] ?? '').split(';')[0]?.trim().toLowerCase() ?? ''
  const wanted = JSON_PATHS.test(request.path) ? ['application/json'] : FORMS
  return wanted.includes(type) ? null : { status: 415, text: guardText.type(wanted) }
}

/** The one gate before everything: hosts, methods, foreign pages, sizes, kinds of text. */
export function guard(options: GuardOptions): RequestHandler {
  return (request, response, next) => {
    const refusal = refusalOf(request, options)
    if (!refusal) return next()
    if (refusal.status === 405) response.set('allow', 'GET, HEAD, POST')
    // what is still on its way is not waited for
    response.set('connection', 'close').status(refusal.status).type('text/plain').send(`${refusal.text}\n`)
  }
}
