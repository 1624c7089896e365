import { createStore, type StoreApi } from 'zustand/vanilla'
import { applyEdits } from '~/core/edits/applyEdit'
import { besideOf } from '~/core/room/beside'
import { type Bodies, type DocumentKind, type Edit, mergeDocuments, sameValue, type Workpiece } from '~/model'
import type { Held } from './saving/heldDocuments'
import type { Saver } from './saving/saver'

/** Text in a field that can't be used as typed: kept while its stage is away. */
export interface Unread {
  readonly text: string
  readonly problem: string
}

/** `live` while a handle is pulled, `typed` while a length is being typed, `done` when the hand lets go. */
export type Pace = 'live' | 'typed' | 'done'

/** How long after an edit it is saved; what is typed waits until it is committed. */
const PAUSE: Readonly<Record<Pace, number | null>> = { live: 900, typed: null, done: 150 }

/** How long the hand must rest until what follows behind it is drawn. */
export const FOLLOWS_AFTER_MS = 240

export interface WallState {
  /** The wall as it is. What must keep up with the hand shows this: the drawing and its handles. */
  readonly now: Workpiece
  /** The wall as panels and sums show it: the same, except while a handle is pulled or a length typed. */
  readonly shown: Workpiece
  /** What is shown came after the hand, which may be moving again. */
  readonly trails: boolean
  readonly unread: Readonly<Record<string, Unread>>
  /** A handle is in hand: nothing is saved and no boards are planned until it is let go. */
  readonly held: boolean
  /** The strip lit everywhere. */
  readonly selected: string | null
  /** Edits that are only looked at. */
  readonly lookedAt: readonly Edit[] | null
}

export interface WallStore {
  readonly store: StoreApi<WallState>
  readonly saver: Saver
  /** Carries edits out that were made from a wall as a panel shows it, on the wall as it is. */
  readonly edit: (from: Workpiece, edits: readonly Edit[], pace: Pace) => void
  /** Carries edits of a handle out on the wall as it is: a pulled one's once a frame, the last of which counts. */
  readonly pull: (edits: readonly Edit[], pace: Pace) => void
  readonly saveNow: () => Promise<void>
  readonly hold: () => void
  readonly release: () => void
  /** Takes back what was typed since: the wall as it was then. */
  readonly restore: (before: Workpiece) => void
  readonly select: (stripId: string | null) => void
  readonly lookAt: (edits: readonly Edit[] | null) => void
  readonly reportUnread: (field: string, unread: Unread | null) => void
  readonly start: () => () => void
}

function heldWork(held: Held, next: NextWalls): Workpiece {
  const of = (kind: Held[number]['kind']) => held.find((document) => document.kind === kind)?.body
  const own = { wall: { survey: of('survey'), design: of('design') }, settings: of('settings') } as Workpiece
  return { ...own, beside: besideOf(own, next) }
}

/** The walls that stand beside a wall in its room, as they were when its page was opened. */
export type NextWalls = Parameters<typeof besideOf>[1]
const ALONE: NextWalls = { left: null, right: null }

function sameWork(a: Workpiece, b: Workpiece): boolean {
  return a === b || sameValue(a, b)
}

/**
 * The wall in hand: edits are carried out on it as it is, those of a handle at most once a frame; an edit that changes
 * nothing is dropped; what only shows the wall follows when the hand rests; saving goes on behind.
 */
export function createWallStore(saver: Saver, nextWalls: NextWalls = ALONE): WallStore {
  const first = heldWork(saver.store.getState().held, nextWalls)
  const store = createStore<WallState>(() => ({
    now: first,
    shown: first,
    trails: false,
    unread: {},
    held: false,
    selected: null,
    lookedAt: null,
  }))
  const { getState, setState } = store
  let queued: { edits: Edit[]; frame: number } | null = null
  let following: ReturnType<typeof setTimeout> | null = null
  let putting = false

  const follow = () => {
    if (following) clearTimeout(following)
    following = null
    if (getState().shown !== getState().now) setState({ shown: getState().now, trails: true })
  }
  const put = (next: Workpiece, pace: Pace) => {
    if (sameWork(next, getState().now)) return
    const documents = saver.store.getState().held
    const bodyOf: Partial<Record<DocumentKind, Bodies[DocumentKind]>> = {
      survey: next.wall.survey,
      design: next.wall.design,
      settings: next.settings,
    }
    putting = true
    saver.put(
      new Map(documents.flatMap(({ id, kind }) => (bodyOf[kind] ? [[id, bodyOf[kind]] as const] : []))),
      getState().held ? null : PAUSE[pace],
    )
    putting = false
    const follows = pace === 'typed' || getState().held
    if (following) clearTimeout(following)
    following = follows ? setTimeout(follow, FOLLOWS_AFTER_MS) : null
    setState({
      now: next,
      ...(follows ? {} : { shown: next, trails: false }),
      ...(getState().lookedAt ? { lookedAt: null } : {}),
    })
  }
  const carryOut = () => {
    if (!queued) return
    cancelAnimationFrame(queued.frame)
    const { edits } = queued
    queued = null
    put(applyEdits(getState().now, edits), 'live')
  }
  const flush = () => {
    carryOut()
    follow()
    return saver.flush()
  }

  return {
    store,
    saver,
    edit(from, edits, pace) {
      carryOut()
      const { now } = getState()
      const made = applyEdits(from, edits)
      // a panel may be a few frames behind: what its edit does not speak of stays
      put(now === from ? made : (mergeDocuments(from, made, now).merged as Workpiece), pace)
    },
    pull(edits, pace) {
      if (pace !== 'live') {
        carryOut()
        put(applyEdits(getState().now, edits), pace)
      } else if (queued) queued.edits.push(...edits)
      else queued = { edits: [...edits], frame: requestAnimationFrame(carryOut) }
    },
    saveNow: flush,
    hold: () => setState({ held: true }),
    release() {
      carryOut()
      setState({ held: false })
      void flush()
    },
    restore(before) {
      put(before, 'done')
      void flush()
    },
    select: (selected) => setState({ selected }),
    lookAt: (lookedAt) => setState({ lookedAt }),
    reportUnread: (field, next) =>
      setState(({ unread }) => {
        const { [field]: _, ...others } = unread
        return { unread: next ? { ...others, [field]: next } : others }
      }),
    start() {
      const end = saver.start()
      // what undo, redo or another window brings is shown at once
      const stop = saver.store.subscribe(({ held, turns }, before) => {
        if (putting || held === before.held) return
        const next = heldWork(held, nextWalls)
        if (sameWork(next, getState().now)) return
        // a step puts aside what could not be read; what another window saved leaves it in its field
        const unread = turns === before.turns ? getState().unread : {}
        setState({ now: next, shown: next, trails: false, lookedAt: null, unread })
      })
      return () => {
        carryOut()
        stop()
        if (following) clearTimeout(following)
        end()
      }
    },
  }
}
