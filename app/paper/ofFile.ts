import type { JobFile } from '~/model'
import type { PaperJob } from './paperJob'

/** A job file as it goes on paper: what happened at its walls is not in it. `made` in milliseconds since 1970, `clock` in minutes off UTC. */
export function paperJobOf(file: JobFile, made: number, clock: number): PaperJob {
  return {
    id: 'job',
    name: file.name,
    client: file.client,
    settings: file.settings,
    rooms: file.rooms.map(({ id, name }) => ({ id, name })),
    walls: file.rooms.flatMap((room) =>
      room.walls.map(({ id, name, survey, design }) => ({
        id,
        name,
        room: room.id,
        survey,
        design,
        acts: [],
      })),
    ),
    stock: { lengths: [], suppliers: [] },
    yardActs: [],
    workActs: [],
    // a file has no logs: its own rates tell
    learned: [],
    revision: 1,
    made,
    clock,
  }
}
