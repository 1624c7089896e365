import { data } from 'react-router'
import type { Route } from './+types/room'
import { RoomPage } from '~/features/room/RoomPage'
import { onDatabase } from '~/server/database.server'
import { roomPage } from '~/server/rooms.server'

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Room'} · Regla` },
]

export function loader({ params }: Route.LoaderArgs) {
  const page = onDatabase((db) => roomPage(db, params))
  if (!page) throw data('There is no such room in this job.', { status: 404 })
  return page
}

export default function Room({ loaderData }: Route.ComponentProps) {
  return <RoomPage key={loaderData.id} room={loaderData} />
}
