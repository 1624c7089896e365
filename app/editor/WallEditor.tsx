import { createContext, useCallback, useContext, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { useStore } from 'zustand'
import { type CutElsewhere, cutFacts, type CutFacts, NOTHING_ELSEWHERE } from '~/core/asbuilt/cutFacts'
import type { Remark } from '~/core/agree/clientWord'
import type { HouseEntry } from '~/core/agree/house'
import type { Plan } from '~/core/computePlan'
import type { Learned } from '~/core/evenness/learnErrors'
import type { Proved } from '~/core/evenness/tools'
import type { LearnedRate } from '~/core/log/rates'
import { leftToCut } from '~/core/cutting/leftToCut'
import { toRelease } from '~/core/cutting/toRelease'
import { applyEdits } from '~/core/edits/applyEdit'
import type { Wording } from '~/messages'
import type {
  Act,
  BookLayout,
  DesignDocument,
  Edit,
  OptionChange,
  PageHistory,
  Settings,
  SignedWall,
  StoredDocument,
  WallDocument,
  WallOption,
  Workpiece,
} from '~/model'
import { planOf, wordingOf } from './planOf'
import { browserOutbox, browserSaver } from './saving/browserSaver'
import type { Outbox } from './saving/outbox'
import type { Saver } from './saving/saver'
import { useAtRest } from './useAtRest'
import { type Boards, useBoards } from './useBoards'
import { changeOption, useFollowChoice, useNamedOptions } from './wallOptions'
import { createWallStore, type Pace, type Unread, type WallState, type WallStore } from './wallStore'

/** A wall of the same room. */
export interface WallBeside {
  readonly name: string
  readonly wall: WallDocument
}

/** Which wall is on the page. */
export interface WallIdentity {
  readonly job: { readonly id: string; readonly name: string }
  readonly room: { readonly id: string; readonly name: string }
  readonly id: string
  readonly name: string
  /** The option that is worked on, and all the wall has; the chosen one marks, cuts and buys. */
  readonly option: { readonly id: string; readonly name: string; readonly chosen: boolean }
  readonly options: readonly (WallOption & { readonly design: DesignDocument | null })[]
  /** What the client asks for on this wall and what was signed of it. */
  readonly asked: {
    readonly remarks: readonly Remark[]
    readonly signed: {
      readonly name: string
      readonly signedAt: number
      readonly wall: SignedWall
      readonly settings: Settings
    } | null
  }
  /** The crew's pattern book, and what this house has already. */
  readonly book: readonly (BookLayout & { readonly id: string; readonly name: string })[]
  readonly house: readonly (HouseEntry & { readonly id: string })[]
  /** What the crew's logs tell of its pace, its errors and its tools; and what its people are called. */
  readonly crew: {
    readonly rates: readonly Pick<LearnedRate, 'rate' | 'median' | 'low' | 'high' | 'jobs'>[]
    readonly errors: Learned
    readonly proved: readonly Proved[]
    readonly names: Readonly<Record<string, string>>
    /** Who is signed in here; null where nobody signs in. */
    readonly me: string | null
  }
  /** Where the wall's pages are, and those of the option that is worked on. */
  readonly wallPath: string
  readonly path: string
  /** What of the wall was cut on the job's boards, as it was when this page was opened. */
  readonly elsewhere: CutElsewhere
  /** The walls beside it round the room, as they were when this page was opened. */
  readonly beside: { readonly left: WallBeside | null; readonly right: WallBeside | null }
}

/** The wall as panels and sums show it, and what edits it. */
export interface WallEditor extends Pick<
  WallStore,
  'saveNow' | 'restore' | 'select' | 'lookAt' | 'reportUnread'
> {
  readonly identity: WallIdentity
  /** Carries edits out that were made from this workpiece, on the wall as it is by then. */
  readonly edit: (edits: readonly Edit[], pace: Pace) => void
  readonly workpiece: Workpiece
  readonly plan: Plan
  readonly wording: Wording
  readonly boards: Boards
}

const StoreContext = createContext<WallStore | null>(null)
const OutboxContext = createContext<Outbox | null>(null)
const EditorContext = createContext<WallEditor | null>(null)

function useWallStore(): WallStore {
  const store = useContext(StoreContext)
  if (!store) throw new Error('no WallEditorProvider above')
  return store
}

function useWallState<T>(pick: (state: WallState) => T): T {
  return useStore(useWallStore().store, pick)
}

/**
 * The wall on the page. While a handle is pulled or a length typed it follows when the hand rests; an edit made from it
 * leaves alone what it does not speak of. Only inside WallEditorProvider.
 */
export function useWallEditor(): WallEditor {
  const editor = useContext(EditorContext)
  if (!editor) throw new Error('useWallEditor outside of WallEditorProvider')
  return editor
}

/** The wall as it is, redrawn every frame of a pull: for the drawing and its handles. Only inside WallEditorProvider. */
export function useWallNow() {
  const { store, pull, hold, release } = useWallStore()
  const workpiece = useWallState(({ now }) => now)
  /** The wall as it is by now, whatever has been drawn of it. */
  const latest = () => store.getState().now
  return { workpiece, plan: planOf(workpiece), wording: wordingOf(workpiece), pull, hold, release, latest }
}

/** The strip lit everywhere, by its id. */
export function useSelected(): string | null {
  return useWallState(({ selected }) => selected)
}

/** Text in fields that can't be used as typed, by the field's name. */
export function useUnread(): Readonly<Record<string, Unread>> {
  return useWallState(({ unread }) => unread)
}

/** Brings what others saved of this wall, once nothing is in hand; false where it can't be yet. */
export function useBringWall(): () => Promise<boolean> {
  const { store, saver } = useWallStore()
  return useCallback(async () => !store.getState().held && (await saver.check()), [store, saver])
}

/** What keeps the wall saved: how it stands, undo and redo. Only inside WallEditorProvider. */
export function useSaver(): Saver {
  return useWallStore().saver
}

/** Changes one of the wall's options as a whole. Only inside WallEditorProvider. */
export function useChangeOption(): (optionId: string, change: OptionChange) => void {
  const saver = useSaver()
  return useCallback((optionId, change) => changeOption(saver, optionId, change), [saver])
}

/** What was done at the wall: acts outside the documents, which undo leaves alone. Only inside WallEditorProvider. */
export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext)
  if (!outbox) throw new Error('useOutbox outside of WallEditorProvider')
  return outbox
}

/** Acts of this wall, each with who did it: what is not sent yet was done by whoever is here. */
export function useActs(): readonly Act[] {
  const acts = useStore(useOutbox().store, (state) => state.acts)
  const { me } = useWallEditor().identity.crew
  return useMemo(() => acts.map((act): Act => ('member' in act ? act : { ...act, member: me })), [acts, me])
}

/** The plan a way out would make, while it is looked at. */
export function usePreview(): Plan | null {
  const lookedAt = useWallState((state) => state.lookedAt)
  const shown = useWallState((state) => state.shown)
  return useMemo(
    () => (lookedAt ? planOf(applyEdits(shown, lookedAt as readonly Edit[])) : null),
    [lookedAt, shown],
  )
}

/** What of the wall is cut, by its acts and by what was cut on the job's boards. */
export function useCutFacts(): CutFacts {
  const acts = useStore(useOutbox().store, (state) => state.acts)
  const { elsewhere } = useContext(EditorContext)?.identity ?? { elsewhere: NOTHING_ELSEWHERE }
  return useMemo(() => cutFacts(acts, elsewhere), [acts, elsewhere])
}

/** What is left to cut of a wall as it rests, and the boards for it. */
function useBoardsLeft(
  resting: { readonly plan: Plan; readonly workpiece: Workpiece },
  elsewhere: CutElsewhere,
): Boards {
  const { plan, workpiece } = resting
  const acts = useStore(useOutbox().store, (state) => state.acts)
  const list = useMemo(() => toRelease(plan, workpiece), [plan, workpiece])
  const left = useMemo(
    () => leftToCut(list, workpiece, cutFacts(acts, elsewhere)),
    [list, workpiece, acts, elsewhere],
  )
  return useBoards(left, acts, plan, workpiece)
}

/** What panels see: one value a change, plan and boards with it. */
function ShownProvider({ given, children }: { given: WallIdentity; children: React.ReactNode }) {
  const { edit, saveNow, restore, select, lookAt, reportUnread, saver } = useWallStore()
  const identity = useNamedOptions(given, saver)
  useFollowChoice(given, saver)
  const shown = useWallState((state) => state.shown)
  const trails = useWallState((state) => state.trails)
  // what trails the hand is drawn between its frames; what was pressed is there at once
  const trailing = useDeferredValue(shown)
  const workpiece = trails ? trailing : shown
  const held = useWallState((state) => state.held)
  const plan = planOf(workpiece)
  const now = useMemo(() => ({ plan, workpiece }), [plan, workpiece])
  const resting = useAtRest(now, held)
  const found = useBoardsLeft(resting, identity.elsewhere)
  // boards that rest are those of the wall before the pull: they must not pass for this one's
  const rests = resting !== now
  const boards = useMemo(() => (rests ? { ...found, searching: true, rests: true } : found), [found, rests])
  const editor = useMemo((): WallEditor => {
    const wording = wordingOf(workpiece)
    const does = { saveNow, restore, select, lookAt, reportUnread }
    return {
      identity,
      workpiece,
      plan,
      wording,
      boards,
      edit: (edits, pace) => edit(workpiece, edits, pace),
      ...does,
    }
  }, [identity, workpiece, plan, boards, edit, saveNow, restore, select, lookAt, reportUnread])
  return <EditorContext value={editor}>{children}</EditorContext>
}

export interface WallEditorProviderProps {
  readonly identity: WallIdentity
  readonly documents: readonly StoredDocument[]
  readonly history: PageHistory
  readonly acts: readonly Act[]
  readonly children: React.ReactNode
}

/** Holds a wall while it is worked on: the plan follows every change, saving goes on behind it. */
export function WallEditorProvider({
  identity,
  documents,
  history,
  acts,
  children,
}: WallEditorProviderProps) {
  const [store] = useState(() => {
    const url = `${identity.wallPath}/document?option=${identity.option.id}`
    const { left, right } = identity.beside
    const next = { left: left?.wall ?? null, right: right?.wall ?? null }
    return createWallStore(browserSaver(url, `wall/${identity.option.id}`, documents, history), next)
  })
  const [outbox] = useState(() => browserOutbox(`${identity.wallPath}/acts`, identity.id, acts))
  useEffect(() => store.start(), [store])
  useEffect(() => outbox.start(), [outbox])
  return (
    <StoreContext value={store}>
      <OutboxContext value={outbox}>
        <ShownProvider given={identity}>{children}</ShownProvider>
      </OutboxContext>
    </StoreContext>
  )
}

export type { Pace, Unread }
