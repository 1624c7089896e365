import { useCallback, useEffect, useMemo, useRef } from 'react'
import { useStore } from 'zustand'
import { freezeList, standingIn, type ToRelease } from '~/core/asbuilt/freeze'
import { type Release, releaseOf } from '~/core/asbuilt/release'
import type { CutFacts } from '~/core/asbuilt/cutFacts'
import { boardOf, leftToCut } from '~/core/cutting/leftToCut'
import { toRelease } from '~/core/cutting/toRelease'
import { type Act, type CutFrom, madeFrom, type Released, type Workpiece } from '~/model'
import { newToken } from './saving/browserSaver'
import { planOf } from './planOf'
import type { Boards } from './useBoards'
import { useCutFacts, useOutbox, useSaver, useWallEditor, useWallNow } from './WallEditor'

type Happened = Extract<Act, { release: string; piece: string }>
/** What is done to one piece, without what the hook adds. */
export type PieceAct = Happened extends infer Each
  ? Each extends Happened
    ? Omit<Each, 'id' | 'doneAt' | 'release' | 'piece' | 'member' | 'keptAt'>
    : never
  : never

/** What ticks go by: the plan and its boards as they were drawn. */
interface Planned {
  readonly plan: ToRelease
  readonly workpiece: Workpiece
  readonly boards: Boards
  readonly facts: CutFacts
}

/** The board that a piece of the list is cut from, as the boards were planned when it was ticked; nothing where none is known. */
function boardFor(
  name: string,
  release: Release,
  { plan, workpiece, boards: { materials }, facts }: Planned,
): CutFrom | undefined {
  const { standing } = standingIn(release, plan)
  const wanted = [...standing].find(([, { piece }]) => piece.name === name)?.[0]
  const plans = materials.flatMap(({ result }) => (result.ok ? [result.value] : []))
  const board = wanted === undefined ? null : boardOf(plans, wanted)
  if (board) return board
  const itself = leftToCut(plan, workpiece, facts).fromThemselves.find(({ id }) => id === wanted)
  return itself && { length: itself.length, of: itself.of }
}

/** The list at the saw, what happened to its pieces, and what is done to one. */
export function useRelease() {
  const { workpiece, plan: wallPlan, boards } = useWallEditor()
  const { latest } = useWallNow()
  const outbox = useOutbox()
  const saver = useSaver()
  const plan = useMemo(() => toRelease(wallPlan, workpiece), [wallPlan, workpiece])
  // what is ticked says from which board it was cut; a change of boards changes no tick
  const facts = useCutFacts()
  const asPlanned = useRef<Planned>({ plan, workpiece, boards, facts })
  useEffect(() => {
    asPlanned.current = { plan, workpiece, boards, facts }
  })
  const acts = useStore(outbox.store, (state) => state.acts)
  const release = useMemo(() => releaseOf(acts), [acts])
  /** Lets the list go to the saw as the wall is by now; its id. */
  const freeze = useCallback(
    (despite?: Released['despite']): string => {
      const now = latest()
      const id = newToken()
      outbox.record({
        id,
        kind: 'released',
        revisions: madeFrom(saver.store.getState().held),
        pieces: freezeList(toRelease(planOf(now), now), outbox.store.getState().acts),
        ...(despite ? { despite } : {}),
        doneAt: Date.now(),
      })
      return id
    },
    [outbox, saver, latest],
  )
  const record = useCallback(
    (names: readonly string[], act: PieceAct) => {
      const list = releaseOf(outbox.store.getState().acts)
      if (!list) return
      const doneAt = Date.now()
      const planned = asPlanned.current
      names.forEach((piece, i) => {
        const isCut = list.pieces.find(({ piece: { name } }) => name === piece)?.cutAt !== null
        const cuts = act.kind === 'pieceCut' || act.kind === 'pieceUp'
        const board = cuts && !isCut && !planned.boards.rests ? boardFor(piece, list, planned) : undefined
        const done = { id: newToken(), release: list.id, piece, doneAt: doneAt + i }
        outbox.record({ ...act, ...done, ...(board ? { board } : {}) } as Act)
      })
    },
    [outbox],
  )
  return { plan, release, freeze, record }
}
