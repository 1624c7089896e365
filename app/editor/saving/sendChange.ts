import { type PageAnswer, type PageRequest, REFUSED_HEADER } from '~/model'
import { memberHeader } from './member'

/** How long an answer may take: a server that hangs is as good as one that is away. */
const ANSWER_WITHIN_MS = 15_000
/** What browsers still send for a page that is being left; a larger body is kept for the next visit. */
const MOST_ON_LEAVING = 60_000

/** Why a request came to nothing. */
export class NoAnswer extends Error {
  constructor(
    override readonly cause: 'unreachable' | 'tooLong' | 'shut' | 'full' | 'signedOut' | 'otherMember',
  ) {
    super(cause)
  }
}

/** Answers that say why nothing was saved: the database is shut, the disk is full, this browser has to sign in. */
const SAYS_WHY: Readonly<Record<number, NoAnswer['cause']>> = { 401: 'signedOut', 503: 'shut', 507: 'full' }

/** Answers that ask to come again later, though they say no. */
const LATER: readonly number[] = [408, 425, 429]

/** Posts something and reads what comes back; of what the server will never take, `refused`. Throws `NoAnswer` where no answer came that can be read. */
async function post(url: string, body: unknown, refused?: unknown): Promise<unknown> {
  try {
    const response = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...memberHeader() },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    })
    const why =
      response.headers.get(REFUSED_HEADER) === 'otherMember' ? 'otherMember' : SAYS_WHY[response.status]
    if (why || response.status >= 500 || LATER.includes(response.status))
      throw new NoAnswer(why ?? 'unreachable')
    if (refused !== undefined && response.status >= 400) return refused
    return (await response.json()) as unknown
  } catch (error) {
    if (error instanceof NoAnswer) throw error
    throw new NoAnswer(
      error instanceof DOMException && error.name === 'TimeoutError' ? 'tooLong' : 'unreachable',
    )
  }
}

/** Sends one change of a page to its server. Throws `NoAnswer` where none came. */
export async function sendChange(url: string, request: PageRequest): Promise<PageAnswer> {
  return (await post(url, request)) as PageAnswer
}

/**
 * Sends what was done at a wall, with what this device's clock shows as it is sent; whether the server kept it. Throws `NoAnswer` where none
 * came.
 */
export async function sendActs(url: string, acts: readonly { readonly id: string }[]): Promise<boolean> {
  const answer = (await post(url, { sentAt: Date.now(), acts }, { kept: false })) as { kept?: boolean }
  return answer.kept === true
}

/** What the server has of what was done. Throws `NoAnswer` where no answer came. */
export async function loadActs<Of>(url: string): Promise<readonly Of[]> {
  try {
    const response = await fetch(url, { signal: AbortSignal.timeout(ANSWER_WITHIN_MS) })
    if (!response.ok) throw new NoAnswer('unreachable')
    return ((await response.json()) as { acts: readonly Of[] }).acts
  } catch {
    throw new NoAnswer('unreachable')
  }
}

/** Sends a change while the page is being left. What is too large for that stays in the browser alone. */
export function sendLeaving(url: string, request: PageRequest): void {
  const body = JSON.stringify(request)
  if (body.length > MOST_ON_LEAVING) return
  const headers = { 'content-type': 'application/json', ...memberHeader() }
  void fetch(url, { method: 'POST', headers, body, keepalive: true }).catch(() => undefined)
}
