/** How often an address got no answer. */
const failures = new Map<string, number>()

/** What a page shows is known as long as it is open, by the address it is asked for at. */
const shown = new Map<string, unknown>()

/** The address a page's data are asked for at: the first page is told from its frame by a word of its own. */
export function addressOf(pathname: string, search: string): string {
  if (pathname !== '/') return `${pathname}${search}`
  return search === '' ? '/?index' : `/?index&${search.slice(1)}`
}

/** Of the word that tells the first page nothing is left. */
function bare(address: string): string {
  const { pathname, searchParams } = new URL(address, 'http://here')
  searchParams.delete('index')
  return `${pathname}?${searchParams.toString()}`
}

/** A page shows this. Returns what ends it. */
export function showing(address: string, data: unknown): () => void {
  const key = bare(address)
  shown.set(key, data)
  return () => {
    if (shown.get(key) === data) shown.delete(key)
  }
}

/** How often an address was asked in vain: what is shown then is not what the server has. */
export function failedAt(address: string): number {
  return failures.get(bare(address)) ?? 0
}

/**
 * Data as the server has them. Where it does not answer, and the page that asks is open already, what that page shows: nothing typed on it is
 * lost to a page that says the server is away. Throws as `load` does where no such page is open.
 */
export async function orShown<T>(request: Request, load: () => Promise<T>): Promise<T> {
  try {
    return await load()
  } catch (error) {
    const key = bare(request.url)
    const known = shown.get(key)
    if (error instanceof TypeError && known !== undefined) {
      failures.set(key, failedAt(key) + 1)
      return known as T
    }
    throw error
  }
}
