import { asRooms } from '~/core/room/beside'
import { useMemo } from 'react'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import type { RoomOfWork } from '~/core/sequence/roomMaker'
import type { WallToTake } from '~/core/takeoff/jobFacts'
import type { Bodies, Settings } from '~/model'
import { findFacts } from '~/workers/workClient'

/** A wall as a job's pages have it. */
export interface WallBodies {
  readonly id: string
  readonly name: string
  readonly room: string
  readonly survey: { readonly body: Bodies['survey'] }
  readonly design: { readonly body: Bodies['design'] }
}

const NONE: readonly RoomOfWork[] = []

/** What the walls of a job take, worked out in a worker; worked out anew only where what it rests on changes. */
export function useJobFacts(walls: readonly WallBodies[], settings: Settings) {
  const { spread, fitOrder } = settings.work
  // how and when the work is done changes nothing of what walls take
  const rests = JSON.stringify([
    spread,
    fitOrder,
    settings.paints,
    settings.materials,
    settings.shop,
    settings.fit,
  ])
  const asked = useMemo(
    () =>
      asRooms(
        walls.map(({ id, name, room, survey, design }): WallToTake => ({
          id,
          name,
          room,
          workpiece: { wall: { survey: survey.body, design: design.body }, settings },
        })),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- of the settings only what facts rest on
    [walls, rests],
  )
  const { answer, failed, searching } = useWorkerAnswer(asked, findFacts, asked.length > 0)
  const known = asked.length === 0 || (answer !== null && !failed)
  // those of which nothing came back can't be planned
  const planned = new Set((answer ?? NONE).flatMap((room) => room.walls.map(({ wall }) => wall)))
  const leftOut = answer && !searching ? walls.flatMap(({ id, name }) => (planned.has(id) ? [] : [name])) : []
  return { rooms: answer ?? NONE, known, searching, failed, leftOut }
}
