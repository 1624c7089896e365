import { readFileSync } from 'node:fs'
import { readJobFile } from '~/core/files/readJobFile'
import type { RoomOfWork } from '~/core/sequence/roomMaker'
import { jobFacts } from '~/core/takeoff/jobFacts'

const read = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
if (!read.ok) throw new Error('the demo job is broken')
const { rooms: demoRooms, settings } = read.value
export { settings as demoSettings }
/** What the walls of one room of the demo job take. */
export const factsOf = (room: string): RoomOfWork[] =>
  jobFacts(
    demoRooms
      .filter(({ id }) => id === room)
      .flatMap(({ id, walls }) =>
        walls.map(({ id: wall, name, survey, design }) => ({
          id: wall,
          name,
          room: id,
          workpiece: { wall: { survey, design }, settings },
        })),
      ),
  )
