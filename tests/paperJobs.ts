import { readFileSync } from 'node:fs'
import highs from 'highs'
import { readJobFile } from '~/core/files/readJobFile'
import type { Workpiece } from '~/model'
import { paperJobOf } from '~/paper/ofFile'
import { type PaperJob, type PlannedWall, plannedWall } from '~/paper/paperJob'
import { highsSolver } from '~/workers/highsSolver'

export const MADE = Date.UTC(2031, 3, 2, 9)

/** A job of the examples as it goes on paper. */
export function paperExample(name: 'tern-cottage' | 'metric-study' | 'lines-sampler'): PaperJob {
  const file = readJobFile(readFileSync(`examples/${name}.regla.json`, 'utf8'))
  if (!file.ok) throw new Error('the example is broken')
  return paperJobOf(file.value, MADE, 0)
}

/** One of its walls, planned. */
export function paperWall(job: PaperJob, name: string, datum: 'left' | 'right' = 'left'): PlannedWall {
  const wall = job.walls.find((each) => each.name === name)
  if (!wall) throw new Error(`no wall is called ${name}`)
  return plannedWall(wall, job, datum)
}

/** Any wall as it goes on paper. */
export function onPaper({ wall, settings }: Workpiece, datum: 'left' | 'right' = 'left'): PlannedWall {
  const { survey, design } = wall
  return plannedWall(
    { id: 'w', name: 'Any wall', room: 'r', survey, design, acts: [] },
    { settings, rooms: [{ id: 'r', name: 'Any room' }] },
    datum,
  )
}

export const SHORT_PATIENCE = { solve: highsSolver(() => highs()), boardsMs: 300, workMs: 100 }
