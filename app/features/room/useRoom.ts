import { asRooms } from '~/core/room/beside'
import { useEffect, useMemo, useState } from 'react'
import { useStore } from 'zustand'
import type { Plan } from '~/core/computePlan'
import { applyEdits } from '~/core/edits/applyEdit'
import { planOf } from '~/editor/planOf'
import { browserSaver } from '~/editor/saving/browserSaver'
import type { Held } from '~/editor/saving/heldDocuments'
import { listenToNews } from '~/offline/news'
import type { Bodies, DocumentKind, Edit, PageHistory, StoredDocument, Workpiece } from '~/model'

export interface RoomData {
  readonly id: string
  readonly name: string
  readonly job: { readonly id: string; readonly name: string }
  readonly walls: readonly {
    readonly id: string
    readonly name: string
    readonly surveyId: string
    readonly designId: string
  }[]
  readonly documents: readonly StoredDocument[]
  readonly history: PageHistory
}

export interface PlannedWall {
  readonly id: string
  readonly name: string
  readonly workpiece: Workpiece
  readonly plan: Plan
}

/** Edits of several walls, by the wall's id. */
export type RoomEdits = ReadonlyMap<string, readonly Edit[]>

function bodyIn<K extends DocumentKind>(held: Held, kind: K, id?: string): Bodies[K] {
  const found = held.find((document) => document.kind === kind && (id === undefined || document.id === id))
  if (!found) throw new Error(`the room has no ${kind} '${id ?? ''}'`)
  return found.body as Bodies[K]
}

/** The walls of a room while they are worked on together: each change is saved as one step to undo. */
export function useRoom(room: RoomData) {
  const [saver] = useState(() =>
    browserSaver(
      `/jobs/${room.job.id}/rooms/${room.id}/document`,
      `room/${room.id}`,
      room.documents,
      room.history,
    ),
  )
  useEffect(() => saver.start(), [saver])
  const path = `/jobs/${room.job.id}/rooms/${room.id}`
  useEffect(() => listenToNews(saver.check, { wall: path }), [saver, path])
  const held = useStore(saver.store, (state) => state.held)
  const [lookedAt, lookAt] = useState<RoomEdits | null>(null)
  const settings = bodyIn(held, 'settings')
  const planned = useMemo(
    () =>
      asRooms(
        room.walls.map(({ id, name, surveyId, designId }) => {
          const wall = { survey: bodyIn(held, 'survey', surveyId), design: bodyIn(held, 'design', designId) }
          return { id, name, workpiece: { wall, settings: bodyIn(held, 'settings') } as Workpiece }
        }),
      ).map(({ id, name, workpiece }): PlannedWall => ({ id, name, workpiece, plan: planOf(workpiece) })),
    [held, room.walls],
  )
  const previews = useMemo(
    () =>
      new Map(
        planned.flatMap(({ id, workpiece }) => {
          const edits = lookedAt?.get(id)
          return edits ? [[id, planOf(applyEdits(workpiece, edits))] as const] : []
        }),
      ),
    [planned, lookedAt],
  )
  const edit = (edits: RoomEdits) => {
    lookAt(null)
    const bodies = planned.flatMap(({ id, workpiece }) => {
      const [own, row] = [edits.get(id), room.walls.find((wall) => wall.id === id)]
      if (!own || !row) return []
      const { survey, design } = applyEdits(workpiece, own).wall
      return [[row.surveyId, survey] as const, [row.designId, design] as const]
    })
    saver.put(new Map<string, Bodies[DocumentKind]>(bodies), 0)
  }
  return { walls: planned, settings, saver, previews, lookAt, edit }
}

export type Room = ReturnType<typeof useRoom>
