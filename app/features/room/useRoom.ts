import { useMemo, useState } from 'react'
import { computePlan, type Plan } from '~/core/computePlan'
import { applyEdits } from '~/core/edits/applyEdit'
import type { Edit, Settings, WallDocument, Workpiece } from '~/model'

/** A wall of the room as the page has it. */
export interface RoomWall {
  readonly id: string
  readonly name: string
  readonly wall: WallDocument
  readonly revision: number
}

export interface RoomState {
  readonly walls: readonly RoomWall[]
  readonly settings: Settings
  readonly history: { readonly canUndo: boolean; readonly canRedo: boolean }
}

export interface RoomData extends RoomState {
  readonly id: string
  readonly name: string
  readonly job: { readonly id: string; readonly name: string }
}

type Answer =
  | { readonly kind: 'saved' | 'conflict'; readonly state: RoomState }
  | { readonly kind: 'refused'; readonly problems: readonly string[] }

export interface PlannedWall {
  readonly id: string
  readonly name: string
  readonly workpiece: Workpiece
  readonly plan: Plan
}

/** Edits of several walls, by the wall's id. */
export type RoomEdits = ReadonlyMap<string, readonly Edit[]>

async function post(url: string, body: unknown): Promise<Answer> {
  const response = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (response.status >= 500) throw new Error(`the server answered ${response.status}`)
  return (await response.json()) as Answer
}

/** The walls of a room while they are worked on together: each change is saved at once, as one step to undo. */
export function useRoom(room: RoomData) {
  const [state, setState] = useState<RoomState>(room)
  const [lookedAt, lookAt] = useState<RoomEdits | null>(null)
  const [status, setStatus] = useState<{ kind: 'saved' | 'saving' | 'failed'; why: string }>({
    kind: 'saved',
    why: '',
  })
  const url = `/jobs/${room.job.id}/rooms/${room.id}/document`
  const planned = useMemo(
    () =>
      state.walls.map(({ id, name, wall }): PlannedWall => {
        const workpiece = { wall, settings: state.settings }
        return { id, name, workpiece, plan: computePlan(workpiece) }
      }),
    [state],
  )
  const previews = useMemo(
    () =>
      new Map(
        planned.flatMap(({ id, workpiece }) => {
          const edits = lookedAt?.get(id)
          return edits ? [[id, computePlan(applyEdits(workpiece, edits))] as const] : []
        }),
      ),
    [planned, lookedAt],
  )
  const send = async (body: unknown) => {
    setStatus({ kind: 'saving', why: '' })
    try {
      const answer = await post(url, body)
      if (answer.kind === 'refused') return setStatus({ kind: 'failed', why: answer.problems.join(' ') })
      setState(answer.state)
      setStatus(
        answer.kind === 'saved'
          ? { kind: 'saved', why: '' }
          : {
              kind: 'failed',
              why: 'A wall was changed in another window; this is its newest state. Do it again if it still fits.',
            },
      )
    } catch {
      setStatus({ kind: 'failed', why: 'The server can’t be reached. Nothing was changed.' })
    }
  }
  const edit = (edits: RoomEdits) => {
    lookAt(null)
    const walls = state.walls.flatMap(({ id, wall, revision }) => {
      const own = edits.get(id)
      return own
        ? [{ id, base: revision, wall: applyEdits({ wall, settings: state.settings }, own).wall }]
        : []
    })
    return send({ intent: 'save', walls })
  }
  return {
    walls: planned,
    settings: state.settings,
    history: state.history,
    status,
    previews,
    lookAt,
    edit,
    step: (way: 'undo' | 'redo') => send({ intent: way }),
  }
}

export type Room = ReturnType<typeof useRoom>
