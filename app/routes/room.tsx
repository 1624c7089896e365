import { data } from 'react-router'
import type { Route } from './+types/room'
import { RoomPage } from '~/features/room/RoomPage'
import { memberContext } from '~/server/crew/entry.server'
import { onDatabase } from '~/server/database.server'
import { fullText, mendingText } from '~/messages'
import { formOf, textOf } from '~/server/forms.server'
import { FullError } from '~/server/full.server'
import { chooseInRoom, copyInRoom, roomOptions } from '~/server/roomOptions.server'
import { troublesOf } from '~/server/mending.server'
import { pageOfRoom } from '~/server/pages.server'
import { roomPage } from '~/server/rooms.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Room'} · Regla` },
]

const MISSING = 'There is no such room in this job.'

export function loader({ params }: Route.LoaderArgs) {
  return onDatabase((db) => {
    const page = pageOfRoom(db, params)
    if (!page) throw data(MISSING, { status: 404 })
    const problems = troublesOf(db, page)
    if (problems.length > 0) throw data([mendingText.inRoom, ...problems].join('\n'), { status: 409 })
    const room = roomPage(db, params)
    if (!room) throw data(MISSING, { status: 404 })
    return { ...room, options: roomOptions(db, room.walls) }
  })
}

/** POST: makes an option of every wall of the room, or chooses one wherever a wall has it. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const member = context.get(memberContext)?.id ?? null
  const form = await formOf(request)
  const [intent, name] = [textOf(form, 'intent'), textOf(form, 'name').trim().slice(0, 80)]
  return onDatabase((db) => {
    const room = roomPage(db, params)
    if (!room) throw data(MISSING, { status: 404 })
    try {
      if (intent === 'copy') copyInRoom(db, params.jobId, room.walls, name)
      else if (intent === 'choose') chooseInRoom(db, params, room.walls, name, member)
      else throw data('Nobody knows how to do that with a room.', { status: 400 })
      return { said: null }
    } catch (error) {
      if (error instanceof FullError) return { said: fullText(error.what) }
      throw error
    }
  })
}

export default function Room({ loaderData }: Route.ComponentProps) {
  // where another option of a wall is chosen its documents are others
  const key = [loaderData.id, ...loaderData.walls.map(({ designId }) => designId)].join()
  return <RoomPage key={key} room={loaderData} />
}
