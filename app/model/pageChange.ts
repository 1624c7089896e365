import { z } from 'zod'
import type { ChangedPart } from './changedParts'
import type { StoredDocument } from './documents'
import { LIMITS } from './limits'

/** How many saves without an answer a page still names. */
export const UNANSWERED_MOST = 40
/**
 * What a page asks of the server. Each request names every document the page has and the revision it has it at; a save
 * carries the bodies it changed, a step the change it was pressed for. Made when it is wanted: pages need only its type.
 */
export function pageRequestSchema() {
  const revision = z.number().int().positive()
  const based = z.strictObject({ id: z.string().max(64), base: revision })
  // each wall with a survey and a design, and the job's settings
  const documentsOf = <T extends z.ZodType>(entry: T) => z.array(entry).max(2 * LIMITS.wallsInRoom + 1)
  return z.discriminatedUnion('intent', [
    z.strictObject({
      intent: z.literal('save'),
      documents: documentsOf(based.extend({ body: z.unknown().optional() })),
      /** What is done where another window changed the same thing: nothing, or what is here stands. */
      clashing: z.enum(['ask', 'mine']),
      /** The name of this save, and of those before it whose answers never came: their bases may be older than what they wrote. */
      token: z.string().min(1).max(64),
      after: z.array(z.string().max(64)).max(UNANSWERED_MOST),
    }),
    z.strictObject({ intent: z.literal('undo'), change: revision, documents: documentsOf(based) }),
    z.strictObject({ intent: z.literal('redo'), change: revision, documents: documentsOf(based) }),
  ])
}

export type PageRequest = z.output<ReturnType<typeof pageRequestSchema>>

/** One step back or forward, with what it is about and the walls it changes, by name. */
export interface HistoryStep {
  readonly change: number
  readonly parts: readonly ChangedPart[]
  readonly walls: readonly string[]
}

/** What undo and redo would do on a page. */
export interface PageHistory {
  readonly undo: HistoryStep | null
  readonly redo: HistoryStep | null
}

/** What two windows both changed. */
export interface Clash {
  readonly wall: string | null
  readonly parts: readonly ChangedPart[]
}

/** A document's newest revision; without its body where that is what the page has or has sent. */
export type Newest = StoredDocument | (Omit<StoredDocument, 'body'> & { readonly body?: undefined })

/** `moved`: the step was pressed for a change that is not the next one any more; nothing was stepped. */
export type PageAnswer =
  | {
      readonly kind: 'done' | 'moved'
      readonly documents: readonly Newest[]
      readonly history: PageHistory
      readonly settingsStay?: boolean
    }
  | {
      readonly kind: 'clash'
      readonly documents: readonly Newest[]
      readonly history: PageHistory
      readonly clashes: readonly Clash[]
    }
  | { readonly kind: 'refused'; readonly problems: readonly string[] }
