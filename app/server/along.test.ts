import { openDatabase } from './db/database.server'
import { createJob } from './jobs.server'
import { placesOfJob } from './pages.server'
import { archiveWall, createWall } from './walls.server'

// before, only the walls that the job's page listed were kept: the first sixty
test('a job is taken along whole: more walls than its page lists, in their order, those archived left out', () => {
  const db = openDatabase(':memory:')
  const jobId = createJob(db, { name: 'Weir end', client: '', units: 'inches', tape: '1/16' })
  expect(placesOfJob(db, jobId)).toEqual({ rooms: [], walls: [] })
  const walls = Array.from({ length: 70 }, (_, i) =>
    createWall(db, { jobId, roomName: i % 2 === 0 ? 'Study' : 'Hall', name: `Wall ${i}` }),
  )
  const gone = walls[4] ?? ''
  archiveWall(db, gone, true)
  const places = placesOfJob(db, jobId)
  expect(places.rooms).toHaveLength(2)
  expect(places.walls).toHaveLength(69)
  expect(new Set(places.walls)).toEqual(new Set(walls.filter((id) => id !== gone)))
  expect(places.walls[1]).toBe(walls[2])
})
