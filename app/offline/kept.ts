/** The stages that open without the server, once the wall was opened. */
export const AT_WALL = ['mark', 'cut', 'buy', 'fit', 'finish', 'log', 'measure', 'layout'] as const

export const PAGES = 'regla pages'
export const DATA = 'regla data'

const WALL = new RegExp(`^/jobs/[^/]+/walls/[^/]+/(${AT_WALL.join('|')})$`)

/** A job's own pages that are kept: itself, its rooms, its shopping list and what is to be done today. */
const OF_JOB = /^\/jobs\/(?!new$)[^/]+(\/(rooms\/[^/]+|boards\/list|work\/today))?$/

/** Whether a page is a stage of a wall that is kept for when the server is away. */
export function isKeptStage(pathname: string): boolean {
  return WALL.test(pathname)
}

/** Whether a page is kept for when the server is away. */
export function isKept(pathname: string): boolean {
  return isKeptStage(pathname) || OF_JOB.test(pathname)
}

/** The wall a page is of, as its path begins; null elsewhere. */
export function wallOf(pathname: string): string | null {
  return /^\/jobs\/[^/]+\/walls\/[^/]+(?=\/)/.exec(pathname)?.[0] ?? null
}

/** What a page that is kept is compared with as a whole: its wall with all stages, else the page itself; null of pages that are never kept. */
export function keptAs(pathname: string): string | null {
  return wallOf(pathname) ?? (isKept(pathname) ? pathname : null)
}
