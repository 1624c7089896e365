import type { Bodies, DocumentKind, Doer } from '~/model'
import { memberHere } from './member'
import { countOthers, type OthersWaiting } from './actQueue'

/** A change that has not reached the server, with the revision it was made from. */
export interface UnsentDocument {
  readonly id: string
  readonly base: number
  readonly body: Bodies[DocumentKind]
}

/** What has not reached the server of one visit to a page, and the saves before it whose answers never came. */
export interface Unsent {
  readonly documents: readonly UnsentDocument[]
  readonly after: readonly string[]
  /** Who was signed in as it was made: null where nobody signs in, missing of what an earlier build kept. */
  readonly member?: Doer | null
}

/** Where what is not sent is kept: the browser's own storage, or nothing where there is none. */
export type Shelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>

/** Keeps what one open page has not sent, beside that of earlier visits to the same page. */
export interface UnsentKeeper {
  readonly keep: (unsent: Unsent) => void
  readonly forget: () => void
  /** What earlier visits left, each by its key. */
  readonly earlier: () => readonly (Unsent & { readonly key: string })[]
  readonly forgetEarlier: (key: string) => void
}

function isUnsent(value: unknown): value is Unsent {
  const { documents, after } = (value ?? {}) as Partial<Record<keyof Unsent, unknown>>
  return (
    Array.isArray(after) &&
    Array.isArray(documents) &&
    documents.every((each) => typeof each?.id === 'string' && typeof each.base === 'number' && 'body' in each)
  )
}

function parsed(text: string | null): Unsent | null {
  try {
    const value: unknown = JSON.parse(text ?? 'null')
    return isUnsent(value) ? value : null
  } catch {
    return null
  }
}

const PREFIX = 'regla unsent '

function keysOf(shelf: Shelf): string[] {
  return Array.from({ length: shelf.length }, (_, i) => shelf.key(i) ?? '')
}

/** Changes on this device that somebody made who is not signed in here now. */
export function othersUnsent(shelf: Shelf | null, who: Doer | null): OthersWaiting[] {
  if (!shelf) return []
  const left = keysOf(shelf)
    .filter((key) => key.startsWith(PREFIX))
    .flatMap((key) => parsed(shelf.getItem(key))?.member ?? [])
  return countOthers(left.filter(({ id }) => id !== who?.id))
}

/** What this device holds of a document that has not reached the server, and the page it was changed on, which sends it; null where there is nothing. */
export function unsentOfDocument(
  shelf: Shelf | null,
  documentId: string,
): { readonly page: string; readonly body: Bodies[DocumentKind] } | null {
  if (!shelf) return null
  const all = keysOf(shelf)
    .filter((key) => key.startsWith(PREFIX))
    .flatMap((key) => {
      const [page = ''] = key.slice(PREFIX.length).split(' ')
      const own = parsed(shelf.getItem(key))?.documents.find(({ id }) => id === documentId)
      return own ? [{ page, body: own.body }] : []
    })
  return all.at(-1) ?? null
}

/** What that member changed here goes as changed by `who`. */
export function takeOverUnsent(shelf: Shelf | null, member: string, who: Doer | null): void {
  if (!shelf) return
  for (const key of keysOf(shelf).filter((each) => each.startsWith(PREFIX))) {
    const unsent = parsed(shelf.getItem(key))
    if (unsent?.member?.id === member) shelf.setItem(key, JSON.stringify({ ...unsent, member: who }))
  }
}

/**
 * A keeper for one visit to a page. A shelf that is full or forbidden keeps nothing, and breaks nothing. What another member left on this
 * device waits until they are signed in here.
 */
export function unsentKeeper(
  shelf: Shelf | null,
  page: string,
  visit: string,
  who: () => Doer | null = memberHere,
): UnsentKeeper {
  const prefix = `${PREFIX}${page} `
  const own = prefix + visit
  return {
    keep(unsent) {
      try {
        shelf?.setItem(own, JSON.stringify({ ...unsent, member: who() }))
      } catch {
        // full or forbidden: the page itself still holds the change, and says that it is not saved
      }
    },
    forget: () => shelf?.removeItem(own),
    earlier() {
      if (!shelf) return []
      return keysOf(shelf)
        .filter((key) => key.startsWith(prefix) && key !== own)
        .flatMap((key) => {
          const unsent = parsed(shelf.getItem(key))
          const isOthers = unsent?.member != null && unsent.member.id !== who()?.id
          return unsent && !isOthers ? [{ key, ...unsent }] : []
        })
    },
    forgetEarlier: (key) => shelf?.removeItem(key),
  }
}

/** The browser's storage; null on the server and where it is switched off. */
export function browserShelf(): Shelf | null {
  try {
    return typeof localStorage === 'undefined' ? null : localStorage
  } catch {
    return null
  }
}
