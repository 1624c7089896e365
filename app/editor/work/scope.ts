import type { RoomOfWork } from '~/core/sequence/roomMaker'

/** What is planned together: the job, a room (room:id) or a wall (wall:id). */
export function inScope(rooms: readonly RoomOfWork[], scope: string): RoomOfWork[] {
  if (scope === 'job') return [...rooms]
  return rooms.flatMap((room): RoomOfWork[] => {
    if (scope === `room:${room.id}`) return [room]
    const walls = room.walls.filter(({ wall }) => scope === `wall:${wall}`)
    return walls.length > 0 ? [{ ...room, walls }] : []
  })
}

/** The scope an address asks for, if the job has it. */
export function scopeOf(
  asked: string | null,
  job: {
    readonly rooms: readonly { readonly id: string }[]
    readonly walls: readonly { readonly id: string }[]
  },
): string {
  const known = [...job.rooms.map(({ id }) => `room:${id}`), ...job.walls.map(({ id }) => `wall:${id}`)]
  return asked !== null && known.includes(asked) ? asked : 'job'
}
