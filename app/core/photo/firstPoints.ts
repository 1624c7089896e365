import type { PhotoMarks, Survey } from '~/model'
import type { Plan } from '../computePlan'
import { knownPlaces } from './photoScene'

/** Where the corners of a wall usually are on a picture of it, in parts of its width and height. */
const USUAL = [
  { x: 0.12, y: 0.85 },
  { x: 0.88, y: 0.85 },
  { x: 0.88, y: 0.15 },
  { x: 0.12, y: 0.15 },
]

/** What is put on a photograph, with the wall's four corners on it where no point is there yet. */
export function withFirstPoints(marks: PhotoMarks, plan: Plan, survey: Survey): PhotoMarks {
  if (marks.points.length > 0) return marks
  const points = knownPlaces(plan, survey)
    .filter(({ of }) => of === 'wall')
    .slice(0, USUAL.length)
    .map(({ at: wall }, i) => ({
      // two windows that open it first put the same points there
      id: `corner-${i + 1}`,
      at: USUAL[i] ?? { x: 0.5, y: 0.5 },
      wall: { x: Math.round(wall.x), y: Math.round(wall.y) },
    }))
  return { ...marks, points }
}
