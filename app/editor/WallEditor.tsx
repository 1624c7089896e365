import { createContext, useContext, useDeferredValue, useMemo, useState } from 'react'
import { computePlan, type Plan } from '~/core/computePlan'
import { applyEdits } from '~/core/edits/applyEdit'
import type { Wording } from '~/messages'
import type { Edit, WallDocument, Workpiece } from '~/model'
import type { SavedState } from './saveClient'
import { useAtRest } from './useAtRest'
import { type Boards, useBoards } from './useBoards'
import { type Pace, type Unread, useHands } from './useHands'
import type { Saving } from './useSaving'

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
  /** The walls beside it round the room, as they were when this page was opened. */
  readonly beside: { readonly left: WallBeside | null; readonly right: WallBeside | null }
}

export interface WallEditor {
  readonly identity: WallIdentity
  readonly workpiece: Workpiece
  readonly plan: Plan
  readonly wording: Wording
  readonly boards: Boards
  /** Saves what is not saved yet, without the usual pause. */
  readonly saveNow: () => Promise<void>
  /** A handle is in hand: nothing is saved and no boards are planned until it is let go. */
  readonly hold: () => void
  readonly release: () => void
  /** Takes back what was typed since: the wall as it was then. */
  readonly restore: (before: Workpiece) => void
  /** The strip lit everywhere. */
  readonly selected: string | null
  readonly select: (stripId: string | null) => void
  readonly edit: (edits: readonly Edit[], pace: Pace) => void
  readonly lookAt: (edits: readonly Edit[] | null) => void
  readonly unread: Readonly<Record<string, Unread>>
  readonly reportUnread: (field: string, unread: Unread | null) => void
}

// apart, so that what changes often redraws only what shows it: sums and stages may follow behind the hand
const EditorContext = createContext<WallEditor | null>(null)
const BehindContext = createContext<WallEditor | null>(null)
const SavingContext = createContext<Saving | null>(null)
const PreviewContext = createContext<Plan | null>(null)

/** How saving stands. Only inside WallEditorProvider. */
export function useSavingOfWall(): Saving {
  const saving = useContext(SavingContext)
  if (!saving) throw new Error('useSavingOfWall outside of WallEditorProvider')
  return saving
}

/** The plan a way out would make, while it is looked at. */
export function usePreview(): Plan | null {
  return useContext(PreviewContext)
}

/** The wall on the page. Only inside WallEditorProvider. */
export function useWallEditor(): WallEditor {
  const editor = useContext(EditorContext)
  if (!editor) throw new Error('useWallEditor outside of WallEditorProvider')
  return editor
}

/**
 * The wall as it was some frames ago, while a handle is pulled: for sums and stages that only show it. What edits the wall
 * reads it as it is, or the next edit would be made from a wall that is gone. Only inside WallEditorProvider.
 */
export function useWallBehind(): WallEditor {
  const editor = useContext(BehindContext)
  if (!editor) throw new Error('useWallBehind outside of WallEditorProvider')
  return editor
}

export interface WallEditorProviderProps {
  readonly identity: WallIdentity
  readonly saved: SavedState
  readonly children: React.ReactNode
}

/** Holds a wall while it is worked on: the plan follows every change, saving goes on behind it. */
export function WallEditorProvider({ identity, saved, children }: WallEditorProviderProps) {
  const [lookedAt, setLookedAt] = useState<readonly Edit[] | null>(null)
  const [selected, select] = useState<string | null>(null)
  const { workpiece, unread, held, saving, ...hands } = useHands(
    `/jobs/${identity.job.id}/walls/${identity.id}/document`,
    saved,
    setLookedAt,
  )
  const plan = useMemo(() => computePlan(workpiece), [workpiece])
  const preview = useMemo(
    () => (lookedAt ? computePlan(applyEdits(workpiece, lookedAt)) : null),
    [lookedAt, workpiece],
  )
  const cut = useAtRest(plan.cutList, held)
  const found = useBoards(cut, workpiece.settings)
  // boards that rest are those of the wall before the pull: they must not pass for this one's
  const rests = cut !== plan.cutList
  const boards = useMemo(() => (rests ? { ...found, searching: true, rests: true } : found), [found, rests])

  const { units, tape, materials, currency } = workpiece.settings
  const wording = useMemo(
    () => ({ format: { units, tape }, materials, currency }),
    [units, tape, materials, currency],
  )
  const { edit, saveNow, hold, release, restore, reportUnread } = hands
  const editor = useMemo(
    (): WallEditor => ({
      identity,
      workpiece,
      plan,
      wording,
      boards,
      saveNow,
      hold,
      release,
      restore,
      selected,
      select,
      edit,
      lookAt: setLookedAt,
      unread,
      reportUnread,
    }),
    [
      identity,
      workpiece,
      plan,
      wording,
      boards,
      saveNow,
      hold,
      release,
      restore,
      selected,
      edit,
      unread,
      reportUnread,
    ],
  )
  return (
    <EditorContext value={editor}>
      <BehindContext value={useDeferredValue(editor)}>
        <SavingContext value={saving}>
          <PreviewContext value={preview}>{children}</PreviewContext>
        </SavingContext>
      </BehindContext>
    </EditorContext>
  )
}
