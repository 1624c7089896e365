import {
  type Bodies,
  type DocumentKind,
  mergeDocuments,
  type Newest,
  type PageRequest,
  sameValue,
  type StoredDocument,
} from '~/model'
import type { UnsentDocument } from './unsent'

type Body = Bodies[DocumentKind]

/** A document in hand: what the server last said it holds, and what the page has made of it. */
export interface HeldDocument {
  readonly id: string
  readonly kind: DocumentKind
  readonly revision: number
  /** Null where it is not known: what an earlier visit left was made from a revision the page never saw. */
  readonly saved: Body | null
  readonly body: Body
}
export type Held = readonly HeldDocument[]

export function heldFrom(documents: readonly StoredDocument[]): Held {
  return documents.map(({ id, kind, revision, body }) => ({ id, kind, revision, saved: body, body }))
}

export function isChanged({ saved, body }: HeldDocument): boolean {
  return saved === null || (saved !== body && !sameValue(saved, body))
}

/** The documents with new bodies; those that say the same keep the one they have. */
export function withBodies(held: Held, bodies: ReadonlyMap<string, Body>): Held {
  return held.map((document) => {
    const body = bodies.get(document.id)
    return body === undefined || sameValue(body, document.body) ? document : { ...document, body }
  })
}

/** What has not reached the server, with the revisions it was made from. */
export function unsentOf(held: Held): UnsentDocument[] {
  return held.filter(isChanged).map(({ id, revision, body }) => ({ id, base: revision, body }))
}

/** Every document with the revision it is known at; in a save with its body where that is changed. */
export function basesOf(held: Held): { id: string; base: number }[] {
  return held.map(({ id, revision }) => ({ id, base: revision }))
}

export type SaveRequest = PageRequest & { readonly intent: 'save' }

export function saveRequest(
  held: Held,
  { clashing, token, after }: Pick<SaveRequest, 'clashing' | 'token' | 'after'>,
): SaveRequest {
  const documents = held.map((document) => {
    const based = { id: document.id, base: document.revision }
    return isChanged(document) ? { ...based, body: document.body } : based
  })
  return { intent: 'save', documents, clashing, token, after }
}

/**
 * Takes over what the server holds after a request. What was changed here since it was sent stays, on top; `kept` says
 * which side stands where both changed the same thing.
 */
export function adopt(
  held: Held,
  answer: readonly Newest[],
  sent: ReadonlyMap<string, Body>,
  kept: 'mine' | 'theirs' = 'mine',
): Held {
  const known = held.map((document) => {
    const newest = answer.find(({ id }) => id === document.id)
    const saved = newest?.body ?? sent.get(document.id) ?? document.saved
    if (!newest || saved === null) return document
    const { body } = document
    const next = onTop(sent.get(document.id) ?? document.saved, body, saved, kept)
    return { ...document, revision: newest.revision, saved, body: sameValue(next, body) ? body : next }
  })
  const more = answer.flatMap(({ id, kind, revision, body }) =>
    // a photograph that was taken in since the page was opened
    kind === 'photo' && body !== undefined && !held.some((document) => document.id === id)
      ? [{ id, kind, revision, saved: body, body }]
      : [],
  )
  return more.length > 0 ? [...known, ...more] : known
}

function onTop(base: Body | null, mine: Body, theirs: Body, kept: 'mine' | 'theirs'): Body {
  if (base === null) return kept === 'mine' ? mine : theirs
  if (mine === base || sameValue(mine, base)) return theirs
  const [first, second] = kept === 'mine' ? [mine, theirs] : [theirs, mine]
  return mergeDocuments(base, first, second).merged as Body
}
