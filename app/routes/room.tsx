import { data } from 'react-router'
import type { Route } from './+types/room'
import { RoomPage } from '~/features/room/RoomPage'
import { onDatabase } from '~/server/database.server'
import { mendingText } from '~/messages'
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
    return room
  })
}

export default function Room({ loaderData }: Route.ComponentProps) {
  return <RoomPage key={loaderData.id} room={loaderData} />
}
