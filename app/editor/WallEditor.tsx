import { createContext, useCallback, useContext, useMemo, useState } from 'react'
import { computePlan, type Plan } from '~/core/computePlan'
import { applyEdits } from '~/core/edits/applyEdit'
import type { Wording } from '~/messages'
import type { Edit, WallDocument, Workpiece } from '~/model'
import type { SavedState } from './saveClient'
import { type Boards, useBoards } from './useBoards'
import { type Saving, useSaving } from './useSaving'

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

/** Text in a field that can't be used as typed: kept while its stage is away. */
export interface Unread {
  readonly text: string
  readonly problem: string
}

export interface WallEditor {
  readonly identity: WallIdentity
  readonly workpiece: Workpiece
  readonly plan: Plan
  readonly wording: Wording
  readonly boards: Boards
  /** Saves what is not saved yet, without the usual pause. */
  readonly saveNow: () => Promise<void>
  /** The strip lit everywhere. */
  readonly selected: string | null
  readonly select: (stripId: string | null) => void
  /** `live` while typing or dragging; `done` when the hand lets go. */
  readonly edit: (edits: readonly Edit[], pace: 'live' | 'done') => void
  readonly lookAt: (edits: readonly Edit[] | null) => void
  readonly unread: Readonly<Record<string, Unread>>
  readonly reportUnread: (field: string, unread: Unread | null) => void
}

// apart, so that what changes often redraws only what shows it
const EditorContext = createContext<WallEditor | null>(null)
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

const PAUSE = { live: 900, done: 150 } as const

export interface WallEditorProviderProps {
  readonly identity: WallIdentity
  readonly saved: SavedState
  readonly children: React.ReactNode
}

/** Holds a wall while it is worked on: the plan follows every change, saving goes on behind it. */
export function WallEditorProvider({ identity, saved, children }: WallEditorProviderProps) {
  const [workpiece, setWorkpiece] = useState<Workpiece>({ wall: saved.wall, settings: saved.settings })
  const [lookedAt, setLookedAt] = useState<readonly Edit[] | null>(null)
  const [selected, select] = useState<string | null>(null)
  const [unread, setUnread] = useState<Readonly<Record<string, Unread>>>({})

  const replace = useCallback((state: SavedState) => {
    setWorkpiece({ wall: state.wall, settings: state.settings })
    setLookedAt(null)
    setUnread({})
  }, [])
  const saving = useSaving(`/jobs/${identity.job.id}/walls/${identity.id}/document`, saved, replace)

  const plan = useMemo(() => computePlan(workpiece), [workpiece])
  const preview = useMemo(
    () => (lookedAt ? computePlan(applyEdits(workpiece, lookedAt)) : null),
    [lookedAt, workpiece],
  )
  const boards = useBoards(plan.cutList, workpiece.settings)

  const { saveSoon, saveNow } = saving
  const edit = useCallback(
    (edits: readonly Edit[], pace: 'live' | 'done') => {
      const next = applyEdits(workpiece, edits)
      setWorkpiece(next)
      setLookedAt(null)
      saveSoon(next, PAUSE[pace])
    },
    [saveSoon, workpiece],
  )
  const reportUnread = useCallback((field: string, next: Unread | null) => {
    setUnread((now) => {
      const { [field]: _, ...others } = now
      return next ? { ...others, [field]: next } : others
    })
  }, [])

  const { units, tape, materials, currency } = workpiece.settings
  const wording = useMemo(
    () => ({ format: { units, tape }, materials, currency }),
    [units, tape, materials, currency],
  )
  const editor = useMemo(
    (): WallEditor => ({
      identity,
      workpiece,
      plan,
      wording,
      boards,
      saveNow,
      selected,
      select,
      edit,
      lookAt: setLookedAt,
      unread,
      reportUnread,
    }),
    [identity, workpiece, plan, wording, boards, saveNow, selected, edit, unread, reportUnread],
  )
  return (
    <EditorContext value={editor}>
      <SavingContext value={saving}>
        <PreviewContext value={preview}>{children}</PreviewContext>
      </SavingContext>
    </EditorContext>
  )
}
