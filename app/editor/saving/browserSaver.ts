import type { Act, PageHistory, StoredDocument, WorkAct, YardAct } from '~/model'
import { createOutbox, type Outbox } from './outbox'
import { createSaver, type Saver } from './saver'
import { sendActs, sendChange, sendLeaving } from './sendChange'
import { browserShelf, unsentKeeper } from './unsent'

/** A name nobody else has; randomUUID is there on secure pages only. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12))
  return [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** The saver of a page in the browser: its server at `url`, what is unsent in the browser's own storage. */
export function browserSaver(
  url: string,
  page: string,
  documents: readonly StoredDocument[],
  history: PageHistory,
): Saver {
  return createSaver(documents, history, {
    send: (request) => sendChange(url, request),
    sendLeaving: (request) => sendLeaving(url, request),
    keeper: unsentKeeper(browserShelf(), page, newToken()),
    newToken,
  })
}

/** The outbox of a wall's acts in the browser. */
export function browserOutbox(url: string, wall: string, acts: readonly Act[]): Outbox {
  return createOutbox(wall, acts, { send: (bundle) => sendActs(url, bundle), shelf: browserShelf() })
}

/** The outbox of what happens to boards, in any job of the crew. */
export function browserOutboxOf(url: string, name: string, acts: readonly YardAct[]): Outbox<YardAct> {
  return createOutbox<YardAct>(name, acts, { send: (bundle) => sendActs(url, bundle), shelf: browserShelf() })
}

/** The outbox of what happens with the work of a job. */
export function browserWorkOutbox(job: string, acts: readonly WorkAct[]): Outbox<WorkAct> {
  const send = (bundle: readonly WorkAct[]) =>
    sendActs(
      `/jobs/${job}/work/acts`,
      // who did it is known by who is signed in
      bundle.map(({ member, ...act }) => (void member, act)),
    )
  return createOutbox<WorkAct>(`work ${job}`, acts, { send, shelf: browserShelf() })
}
