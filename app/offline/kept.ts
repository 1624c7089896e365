/** The stages that open without the server, once the wall was opened. */
export const AT_WALL = ['mark', 'cut', 'buy', 'fit', 'finish', 'log', 'measure', 'layout'] as const

export const PAGES = 'regla pages'
export const DATA = 'regla data'

const WALL = new RegExp(`^/jobs/[^/]+/walls/[^/]+/(${AT_WALL.join('|')})$`)

/** Whether a page is kept for when the server is away. */
export function isKept(pathname: string): boolean {
  return WALL.test(pathname)
}

/** The wall a page is of, as its path begins; null elsewhere. */
export function wallOf(pathname: string): string | null {
  return /^\/jobs\/[^/]+\/walls\/[^/]+(?=\/)/.exec(pathname)?.[0] ?? null
}
