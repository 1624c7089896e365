import type { Act, PageHistory, StoredDocument, WorkAct, YardAct } from '~/model'
import { holds } from '~/offline/inHand'
import { memberHere } from './member'
import { wallChanged } from '~/offline/register'
import {
  type ActQueue,
  type AnyAct,
  browserQueue,
  countOthers,
  memoryQueue,
  type OthersWaiting,
} from './actQueue'
import { createOutbox, type Outbox } from './outbox'
import { createSaver, type Saver } from './saver'
import { loadActs, sendActs, sendChange, sendLeaving } from './sendChange'
import { browserShelf, othersUnsent, takeOverUnsent, unsentKeeper } from './unsent'

/** A name nobody else has; randomUUID is there on secure pages only. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12))
  return [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** A page that is left holds nothing here any more: what it had not sent is kept for its next visit. */
function ended(end: () => void, who: object): () => void {
  return () => {
    end()
    holds(who, false)
  }
}

/** The saver of a page in the browser: its server at `url`, what is unsent in the browser's own storage. */
export function browserSaver(
  url: string,
  page: string,
  documents: readonly StoredDocument[],
  history: PageHistory,
): Saver {
  const saver = createSaver(documents, history, {
    async send(request) {
      const answer = await sendChange(url, request)
      wallChanged()
      return answer
    },
    sendLeaving: (request) => sendLeaving(url, request),
    keeper: unsentKeeper(browserShelf(), page, newToken()),
    newToken,
  })
  saver.store.subscribe(({ status }) => holds(saver, status.kind !== 'saved'))
  return { ...saver, start: () => ended(saver.start(), saver) }
}

let shared: ActQueue | null = null

/** The one queue of this browser. */
export function theQueue(): ActQueue {
  return (shared ??= typeof indexedDB === 'undefined' ? memoryQueue() : browserQueue())
}

/** What is sent: who did it is known by who is signed in, and when it came by the server's clock. */
function bare(act: AnyAct): AnyAct {
  const { member, keptAt, ...own } = act as AnyAct & { member?: unknown; keptAt?: unknown }
  void member
  void keptAt
  return own
}

async function send(url: string, acts: readonly AnyAct[]): Promise<boolean> {
  const taken = await sendActs(url, acts.map(bare))
  if (taken) wallChanged()
  return taken
}

/** Sends whatever waits in this browser, whichever page it was done on. */
export function sendWaiting(): void {
  void theQueue()
    .drain(send)
    .catch(() => undefined)
}

/** What others of the crew did and changed on this device that waits for them to sign in here, by who it was. */
export async function othersWaiting(): Promise<OthersWaiting[]> {
  const acts = await theQueue().others()
  const changes = othersUnsent(browserShelf(), memberHere())
  const members = [...acts, ...changes].flatMap(({ member, count }) =>
    Array.from({ length: count }, () => member),
  )
  return countOthers(members)
}

/** All that member did here goes as done by whoever is signed in now. */
export async function takeOver(member: string): Promise<void> {
  await theQueue().takeOver(member)
  takeOverUnsent(browserShelf(), member, memberHere())
  sendWaiting()
}

function outboxAt<Of extends AnyAct>(
  url: string,
  of: string,
  known: readonly Of[],
  asks: boolean,
): Outbox<Of> {
  const outbox = createOutbox<Of>(of, known, {
    url,
    queue: theQueue(),
    send,
    load: asks ? () => loadActs<Of>(url) : null,
    shelf: browserShelf(),
  })
  // what another member did here waits for them, and holds nothing up
  const isOwn = (act: AnyAct & { readonly member?: string | null }) =>
    act.member == null || act.member === memberHere()?.id
  outbox.store.subscribe(({ waiting }) => holds(outbox, waiting.some(isOwn)))
  return { ...outbox, start: () => ended(outbox.start(), outbox) }
}

/** The outbox of a wall's acts in the browser. */
export function browserOutbox(url: string, wall: string, acts: readonly Act[]): Outbox {
  return outboxAt(url, wall, acts, true)
}

/** The outbox of what happens to boards, in any job of the crew. */
export function browserOutboxOf(url: string, name: string, acts: readonly YardAct[]): Outbox<YardAct> {
  return outboxAt(url, name, acts, false)
}

/** The outbox of what happens with the work of a job. */
export function browserWorkOutbox(job: string, acts: readonly WorkAct[]): Outbox<WorkAct> {
  return outboxAt(`/jobs/${job}/work/acts`, `work ${job}`, acts, false)
}

/** Puts a piece on the rack from a page that has nothing else of the yard. */
export function rackPiece(
  piece: Pick<Extract<YardAct, { kind: 'racked' }>, 'material' | 'length' | 'label' | 'job'>,
): void {
  const act = { ...piece, id: newToken(), kind: 'racked', doneAt: Date.now(), of: null }
  void theQueue()
    .keep('yard', '/yard/acts', act)
    .then(sendWaiting, () => undefined)
}
