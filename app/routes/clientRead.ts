import { photoOverlay } from '~/features/client/renderClient'
import { pageParts, shownOf } from '~/features/client/shown'
import type { ClientPageView, PagePart, Shown, Typed } from '~/features/client/clientView'
import { type ClientPage, composited, openLink, shownBytes } from '~/server/clientPage.server'
import type { Database } from '~/server/db/database.server'
import { fingerprintOf, sign, type SignProblem, type Ticked } from '~/server/signatures.server'

/** A part of a page with the digest that is posted back with a signature. */
export interface DigestedPart extends PagePart {
  readonly key: string
  readonly digest: string
}

/** Characters of a digest that are kept: 96 bits, enough to tell two pages apart. */
const KEPT = 24

/** All that a page shows now, worked out and digested. */
export interface Read {
  readonly shown: Shown
  readonly parts: readonly DigestedPart[]
  /** The digests as the page's form posts them. */
  readonly digests: string
}

export function readPage(page: ClientPageView): Read {
  const shown = shownOf(page)
  const parts = pageParts(page, shown).map((part): DigestedPart => ({
    ...part,
    key: [part.kind, part.wall ?? '', part.option ?? ''].join('/'),
    digest: fingerprintOf(part.text).slice(0, KEPT),
  }))
  return { shown, parts, digests: JSON.stringify(parts.map(({ key, digest }) => [key, digest])) }
}

/** The digest of what a photograph is drawn from; null where the page shows none there. */
export function photoDigest({ parts }: Read, wallId: string, optionId: string): string | null {
  const part = parts.find(
    ({ kind, wall, option }) => kind === 'photo' && wall === wallId && option === optionId,
  )
  return part?.digest ?? null
}

/** The digests that came back with a form; null where it has none that can be read. */
function postedDigests(text: string): ReadonlyMap<string, string> | null {
  try {
    const read: unknown = JSON.parse(text)
    return Array.isArray(read) ? new Map(read as [string, string][]) : null
  } catch {
    return null
  }
}

/** What of a page differs from what was posted as read. A part that is there no more is told as its wall's. */
function differing({ parts }: Read, posted: ReadonlyMap<string, string>): PagePart[] {
  const here = new Set(parts.map(({ key }) => key))
  const changed = parts.filter(({ key, digest }) => posted.get(key) !== digest)
  const gone = [...posted.keys()].filter((key) => !here.has(key)).length > 0
  return gone && changed.length === 0 ? [{ kind: 'page', wall: null, option: null, text: '' }] : changed
}

/** Why a page was not signed, beside what the signing itself finds. */
export type PageProblem =
  | SignProblem
  | { readonly code: 'changed'; readonly parts: readonly PagePart[] }
  | { readonly code: 'stale' }
  | { readonly code: 'unsent'; readonly wall: string }

/** What the ticks say that is not kept yet. */
export function ticksOf({ picks, walls }: ClientPageView, { ticks }: Typed): Ticked[] {
  return walls.flatMap(({ id }) => {
    const tick = ticks.get(id)
    if (!tick) return []
    const kept = picks[id]
    const colors = Object.entries(tick.colors) as [keyof typeof tick.colors, string][]
    return [
      ...(tick.option === null || tick.option === kept?.option
        ? []
        : [{ kind: 'picked' as const, wall: id, option: tick.option }]),
      ...colors.flatMap(([use, paint]) =>
        paint === kept?.colors[use] ? [] : [{ kind: 'color' as const, wall: id, use, paint }],
      ),
    ]
  })
}

/** A page as it is with the ticks kept. */
function withTicks<Page extends ClientPageView>(page: Page, { ticks }: Typed): Page {
  const picks = Object.fromEntries(
    page.walls.map(({ id }) => {
      const [kept, tick] = [page.picks[id], ticks.get(id)]
      const option = tick?.option ?? kept?.option ?? null
      return [id, { option, colors: { ...kept?.colors, ...tick?.colors } }]
    }),
  )
  return { ...page, picks }
}

/** Does something on the database, and says plainly what keeps it from that. */
type OnDatabase = <T>(work: (db: Database) => T) => T

/** The photographs of what is ticked, as the page shows them. */
async function picturesOf(on: OnDatabase, page: ClientPage) {
  const pictures = new Map<string, { id: string; width: number; height: number; bytes: Buffer }>()
  for (const wall of page.walls) {
    const option = page.picks[wall.id]?.option
    const { photo } = wall
    const found = photo && option ? on((db) => shownBytes(db, page, photo.id)) : null
    const svg = found && option ? photoOverlay(page, wall, option) : null
    if (!found || svg === null) continue
    const { id, width, height } = found.photo
    pictures.set(wall.id, { id, width, height, bytes: await composited(found.bytes, svg) })
  }
  return pictures
}

/**
 * Signs a page for whoever read it: only if all it shows is still what the form says was shown, in the moment of signing too. What was
 * ticked counts, kept before or not; photographs are frozen as they are shown.
 */
export async function signPage(
  on: OnDatabase,
  page: ClientPage,
  { typed, posted }: { readonly typed: Typed; readonly posted: string },
  now: number,
): Promise<{ readonly ok: true } | { readonly ok: false; readonly problem: PageProblem }> {
  const unsent = page.walls.find(({ id }) => (typed.remarks.get(id)?.text ?? '').trim() !== '')
  if (unsent) return { ok: false, problem: { code: 'unsent', wall: unsent.name } }
  const digests = postedDigests(posted)
  if (!digests) return { ok: false, problem: { code: 'stale' } }
  const compare = (of: ClientPageView): PageProblem | null => {
    const parts = differing(readPage(of), digests)
    return parts.length === 0 ? null : { code: 'changed', parts }
  }
  const problem = compare(page)
  if (problem) return { ok: false, problem }
  const pictures = await picturesOf(on, withTicks(page, typed))
  const line: unknown = lineOf(typed.line)
  const differs = (tx: Database): PageProblem | null => {
    const opened = openLink(tx, page.link.token, now)
    return opened.kind === 'open' ? compare(opened.page) : { code: 'stale' }
  }
  const signing = { name: typed.name, line, ticks: ticksOf(page, typed) }
  return on((db) => sign<PageProblem>(db, page.link, signing, now, { pictures, differs }))
}

function lineOf(text: string): unknown {
  if (text === '') return []
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
