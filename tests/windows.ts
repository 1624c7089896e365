import { createSaver, type Saver } from '~/editor/saving/saver'
import { type Shelf, unsentKeeper } from '~/editor/saving/unsent'
import type { Bodies, DocumentKind, PageAnswer, PageRequest } from '~/model'
import type { Database } from '~/server/db/database.server'
import { historyOf } from '~/server/history.server'
import { changePage } from '~/server/pageChanges.server'
import { type Page, pageOfRoom, pageOfWall, storedDocuments } from '~/server/pages.server'

/** A browser's storage that lives as long as the test. */
export function shelf(): Shelf {
  const kept = new Map<string, string>()
  return {
    get length() {
      return kept.size
    },
    key: (i) => [...kept.keys()][i] ?? null,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  }
}

let tokens = 0
/** What comes between a window and the server: passes on, or drops the request or its answer. */
export type Wire = (request: PageRequest, reach: () => PageAnswer) => Promise<PageAnswer>

export interface Window {
  readonly saver: Saver
  readonly body: <K extends DocumentKind>(kind: K, wall?: number) => Bodies[K]
  /** Changes one document, as an edit on the page does, and sends it. */
  readonly change: <K extends DocumentKind>(
    kind: K,
    to: (body: Bodies[K]) => Bodies[K],
    wall?: number,
  ) => Promise<void>
  readonly put: <K extends DocumentKind>(kind: K, to: (body: Bodies[K]) => Bodies[K], wall?: number) => void
  readonly status: () => string
}

/** Opens a page as a browser does, over the real server's code and no network. */
export function openWindow(
  db: Database,
  page: () => Page | null,
  {
    wire = (_, reach) => Promise.resolve(reach()),
    storage = shelf(),
    leavingArrives = false,
  }: { wire?: Wire; storage?: Shelf; leavingArrives?: boolean } = {},
): Window {
  const found = page()
  if (!found) throw new Error('no such page')
  const reach = (request: PageRequest) => {
    const now = page()
    if (!now) throw new Error('the page went away')
    // as over a wire: nothing is shared
    return JSON.parse(JSON.stringify(changePage(db, now, JSON.parse(JSON.stringify(request))))) as PageAnswer
  }
  const saver = createSaver(storedDocuments(db, found), historyOf(db, found), {
    send: (request) => wire(request, () => reach(request)),
    sendLeaving: (request) => {
      if (leavingArrives) reach(request)
    },
    keeper: unsentKeeper(storage, found.key, `visit ${(tokens += 1)}`),
    newToken: () => `save ${(tokens += 1)}`,
  })
  const document = (kind: DocumentKind, wall: number) => {
    const at = saver.store.getState().held.filter((each) => each.kind === kind)[wall]
    if (!at) throw new Error(`no ${kind} ${wall}`)
    return at
  }
  const body = <K extends DocumentKind>(kind: K, wall = 0) => document(kind, wall).body as Bodies[K]
  const put: Window['put'] = (kind, to, wall = 0) =>
    saver.put(new Map([[document(kind, wall).id, to(body(kind, wall))]]), null)
  return {
    saver,
    body,
    put,
    change(kind, to, wall = 0) {
      put(kind, to, wall)
      return saver.flush()
    },
    status: () => saver.store.getState().status.kind,
  }
}

export const wallWindow = (
  db: Database,
  ids: { jobId: string; wallId: string; optionId?: string },
  more?: Parameters<typeof openWindow>[2],
) => openWindow(db, () => pageOfWall(db, ids), more)
export const roomWindow = (
  db: Database,
  ids: { jobId: string; roomId: string },
  more?: Parameters<typeof openWindow>[2],
) => openWindow(db, () => pageOfRoom(db, ids), more)
