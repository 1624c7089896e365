import { createStore, type StoreApi } from 'zustand/vanilla'
import { savingText } from '~/messages'
import {
  type Bodies,
  type Clash,
  type DocumentKind,
  type HistoryStep,
  type Newest,
  type PageAnswer,
  type PageHistory,
  type PageRequest,
  type StoredDocument,
  UNANSWERED_MOST,
} from '~/model'
import {
  adopt,
  basesOf,
  type Held,
  heldFrom,
  isChanged,
  saveRequest,
  unsentOf,
  withBodies,
} from './heldDocuments'
import { NoAnswer } from './sendChange'
import type { UnsentKeeper } from './unsent'

/** How saving stands. In a clash nothing is sent until it is settled. */
export type SaveStatus =
  | { readonly kind: 'saved' | 'waiting' | 'saving' }
  /** `refused`: the server will not have it as it is; else it is out of reach, and tried again. */
  | { readonly kind: 'failed'; readonly why: string; readonly refused: boolean }
  | { readonly kind: 'clash'; readonly clashes: readonly Clash[]; readonly theirs: readonly Newest[] }

export interface SaverState {
  readonly held: Held
  readonly status: SaveStatus
  readonly history: PageHistory
  /** How often what was in hand was put aside for what the server holds: by a step, or by taking the other's. */
  readonly turns: number
  /** The step just made, until something new is done. */
  readonly stepped: { readonly way: 'undo' | 'redo'; readonly step: HistoryStep } | null
  /** Something to be told once: what another window did, what was kept from an earlier visit. */
  readonly note: string | null
}

export interface Saver {
  readonly store: StoreApi<SaverState>
  /** Takes new bodies in hand and sends them after a pause; without one they wait for what is sent next. */
  readonly put: (bodies: ReadonlyMap<string, Bodies[DocumentKind]>, pauseMs: number | null) => void
  /** Sends what is not sent, and settles when that is done or has failed. */
  readonly flush: () => Promise<void>
  readonly step: (way: 'undo' | 'redo') => Promise<void>
  /** Ends a clash: what is here stands, or what the other window saved. What did not clash is kept of both. */
  readonly settle: (keep: 'mine' | 'theirs') => Promise<void>
  /** Brings what others saved meanwhile. False where it could not yet: something is in hand here, or the server did not answer. */
  readonly check: () => Promise<boolean>
  readonly dismissNote: () => void
  /** Starts: sends what earlier visits could not. Returns what ends it. */
  readonly start: () => () => void
}

/** What a saver needs of the world outside. */
export interface SaverWorld {
  readonly send: (request: PageRequest) => Promise<PageAnswer>
  readonly sendLeaving: (request: PageRequest) => void
  readonly keeper: UnsentKeeper
  readonly newToken: () => string
}

/** Pauses before it is tried again, each longer than the one before. */
export const RETRY_MS = [2_000, 5_000, 10_000, 30_000, 60_000] as const

type Earlier = ReturnType<UnsentKeeper['earlier']>[number]

const SAVED: SaveStatus = { kind: 'saved' }

function bodiesSent(request: PageRequest): Map<string, Bodies[DocumentKind]> {
  const documents: readonly { id: string; body?: unknown }[] = request.documents
  return new Map(
    documents.flatMap(({ id, body }) => (body === undefined ? [] : [[id, body as Bodies[DocumentKind]]])),
  )
}

/** Keeps the documents of one page saved: one request at a time, the newest state last, nothing lost on the way. */
export function createSaver(
  documents: readonly StoredDocument[],
  history: PageHistory,
  { send, sendLeaving, keeper, newToken }: SaverWorld,
): Saver {
  const store = createStore<SaverState>(() => ({
    held: heldFrom(documents),
    status: SAVED,
    history,
    turns: 0,
    stepped: null,
    note: null,
  }))
  const { getState, setState } = store
  let queue: Promise<void> = Promise.resolve()
  let timer: ReturnType<typeof setTimeout> | null = null
  let failures = 0
  let unanswered: string[] = []
  let earlier: readonly Earlier[] = []

  const later = (pauseMs: number) => {
    if (timer) clearTimeout(timer)
    timer = setTimeout(() => void flush(), pauseMs)
  }
  const enqueue = (task: () => Promise<void>) => {
    queue = queue.then(task)
    return queue
  }
  const shelve = () => {
    const unsent = unsentOf(getState().held)
    if (unsent.length > 0) keeper.keep({ documents: unsent, after: unanswered })
    else keeper.forget()
  }
  const requestNow = (clashing: 'ask' | 'mine') =>
    saveRequest(getState().held, { clashing, token: newToken(), after: unanswered })
  /** Sends, and remembers the name of what got no answer: it may have been saved all the same. */
  const ask = async (request: PageRequest): Promise<PageAnswer> => {
    if (request.intent === 'save') unanswered = [...unanswered, request.token].slice(-UNANSWERED_MOST)
    const answer = await send(request)
    unanswered = []
    failures = 0
    return answer
  }
  const fail = (error: unknown) => {
    const why = error instanceof NoAnswer ? savingText[error.cause] : savingText.unreachable
    setState({ status: { kind: 'failed', why, refused: false } })
    shelve()
    later(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)] ?? 60_000)
    failures += 1
  }
  const take = (
    answer: Extract<PageAnswer, { kind: 'done' | 'moved' }>,
    request: PageRequest,
    turns = getState().turns,
  ) => {
    const held = adopt(getState().held, answer.documents, bodiesSent(request))
    const status: SaveStatus = held.some(isChanged) ? { kind: 'waiting' } : SAVED
    setState({ held, history: answer.history, status, turns })
    shelve()
  }

  /** Sends until nothing is left: what earlier visits could not, then what is in hand. */
  const sendAll = async (clashing: 'ask' | 'mine') => {
    if (clashing === 'ask' && !(await sendAllEarlier())) return
    let how = clashing
    while (getState().held.some(isChanged)) {
      if (getState().status.kind === 'clash' && how === 'ask') return
      const request = requestNow(how)
      // what is kept over the other's was settled once: a clash after it is another one
      how = 'ask'
      setState({ status: { kind: 'saving' } })
      try {
        const answer = await ask(request)
        if (answer.kind === 'clash') {
          const { clashes, documents: theirs } = answer
          setState({ status: { kind: 'clash', clashes, theirs } })
          return shelve()
        }
        if (answer.kind === 'refused') {
          setState({ status: { kind: 'failed', why: answer.problems.join(' '), refused: true } })
          return shelve()
        }
        take(answer, request)
      } catch (error) {
        return fail(error)
      }
    }
    if (getState().status.kind !== 'saved') setState({ status: SAVED })
    shelve()
  }
  const flush = () => {
    if (timer) clearTimeout(timer)
    timer = null
    return enqueue(() => sendAll('ask'))
  }

  /** One change an earlier visit left; false where the server is away. */
  const sendEarlier = async ({ key, documents: kept, after }: Earlier): Promise<boolean> => {
    const bodies = new Map(kept.map((each) => [each.id, each]))
    const request: PageRequest = {
      intent: 'save',
      clashing: 'ask',
      token: newToken(),
      after: [...after],
      documents: basesOf(getState().held).map((based) => bodies.get(based.id) ?? based),
    }
    const known = new Map(getState().held.map(({ id, revision }) => [id, revision]))
    try {
      const answer = await ask(request)
      if (answer.kind === 'done') {
        const told = answer.documents.map((each) => ({
          ...each,
          body: each.body ?? bodies.get(each.id)?.body,
        }))
        take({ ...answer, documents: told as Newest[] }, { ...request, documents: [] })
        if (answer.documents.some(({ id, revision }) => revision !== known.get(id)))
          setState({ note: savingText.kept })
        keeper.forgetEarlier(key)
        return true
      }
      if (answer.kind === 'refused') {
        setState({ note: savingText.keptRefused(answer.problems) })
        keeper.forgetEarlier(key)
        return true
      }
      if (answer.kind !== 'clash') return true
      // taken in hand as if it were made here, to be settled as any clash
      const held = getState().held.map((document) => {
        const own = bodies.get(document.id)
        return own ? { ...document, revision: own.base, saved: null, body: own.body } : document
      })
      setState({ held, status: { kind: 'clash', clashes: answer.clashes, theirs: answer.documents } })
      keeper.forgetEarlier(key)
      shelve()
      return true
    } catch (error) {
      fail(error)
      return false
    }
  }
  const sendAllEarlier = async (): Promise<boolean> => {
    while (earlier[0] && getState().status.kind !== 'clash') {
      if (!(await sendEarlier(earlier[0]))) return false
      earlier = earlier.slice(1)
    }
    return true
  }
  /** Puts aside what the server will not have. */
  const putAside = () =>
    setState({
      held: getState().held.map((document) => ({ ...document, body: document.saved ?? document.body })),
      status: SAVED,
      turns: getState().turns + 1,
      note: savingText.putAside,
    })

  return {
    store,
    put(bodies, pauseMs) {
      const before = getState()
      const held = withBodies(before.held, bodies)
      const status: SaveStatus = before.status.kind === 'saved' ? { kind: 'waiting' } : before.status
      const { redo } = before.history
      setState({
        held,
        status,
        stepped: null,
        ...(redo ? { history: { ...before.history, redo: null } } : {}),
      })
      if (pauseMs === null) return
      shelve()
      later(pauseMs)
    },
    flush,
    step: (way) =>
      enqueue(async () => {
        await sendAll('ask')
        const { status, history: now, held, turns } = getState()
        // what can't be saved is the last that was done: taking it back is the way out of it
        if (way === 'undo' && status.kind === 'failed' && status.refused) {
          putAside()
          return shelve()
        }
        const step = now[way]
        if (status.kind !== 'saved' || !step) return
        const request: PageRequest = { intent: way, change: step.change, documents: basesOf(held) }
        setState({ status: { kind: 'saving' } })
        try {
          const answer = await ask(request)
          if (answer.kind === 'refused') return setState({ status: SAVED, note: answer.problems.join(' ') })
          if (answer.kind === 'clash') return setState({ status: SAVED, note: savingText.moved })
          take(answer, request, turns + 1)
          if (answer.settingsStay) setState({ note: savingText.settingsStay })
          setState(answer.kind === 'moved' ? { note: savingText.moved } : { stepped: { way, step } })
        } catch {
          setState({ status: SAVED, note: savingText.stepUnreachable })
        }
      }),
    settle: (keep) =>
      enqueue(async () => {
        const { status } = getState()
        if (status.kind !== 'clash') return
        if (keep === 'mine') return sendAll('mine')
        setState({
          held: adopt(getState().held, status.theirs, new Map(), 'theirs'),
          status: { kind: 'waiting' },
          turns: getState().turns + 1,
        })
        return sendAll('ask')
      }),
    async check() {
      let isReached = false
      await enqueue(async () => {
        const { held, status } = getState()
        // what is typed here waits until it is committed, and saving it brings the rest
        if (held.some(isChanged) || status.kind !== 'saved') return
        const documents = basesOf(held)
        const request: PageRequest = {
          intent: 'save',
          clashing: 'ask',
          token: newToken(),
          after: [],
          documents,
        }
        // whoever only asks has saved nothing that could go unanswered
        const answer = await send(request).catch(() => null)
        if (answer?.kind === 'done') take(answer, request)
        isReached = answer !== null
      })
      return isReached
    },
    dismissNote: () => setState({ note: null }),
    start() {
      earlier = keeper.earlier()
      if (earlier.length > 0) void flush()
      const leave = () => {
        if (!getState().held.some(isChanged)) return
        const request = requestNow('ask')
        // it may reach the server, and nobody will hear of it: what is kept here has to know its name
        unanswered = [...unanswered, request.token].slice(-UNANSWERED_MOST)
        shelve()
        sendLeaving(request)
      }
      const online = () => void flush()
      window.addEventListener('pagehide', leave)
      window.addEventListener('online', online)
      // a page that comes back from the browser's memory goes on where it was
      window.addEventListener('pageshow', online)
      return () => {
        window.removeEventListener('pagehide', leave)
        window.removeEventListener('online', online)
        window.removeEventListener('pageshow', online)
        if (timer) clearTimeout(timer)
        leave()
      }
    },
  }
}
