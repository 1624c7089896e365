import fc from 'fast-check'
import { parseBody, type Workpiece } from '~/model'
import { LONGEST } from '~/length'
import { anyMeetingWall } from './anyWall'

type Path = readonly (string | number)[]

/** Every number of a document, by the way that leads to it. */
function numbersIn(value: unknown, path: Path = []): Path[] {
  if (typeof value === 'number') return [path]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, each]) => numbersIn(each, [...path, key]))
}

function withNumber(value: unknown, [key, ...rest]: Path, to: number): unknown {
  if (key === undefined) return to
  if (Array.isArray(value))
    return value.map((each, i) => (i === Number(key) ? withNumber(each, rest, to) : each))
  const fields = value as Record<string, unknown>
  return { ...fields, [key]: withNumber(fields[key], rest, to) }
}

/** The farthest that numbers of a document may be, and what lies beside it. */
const FAR = [0, 1, -1, 2, 3, 8, 20, 40, 200, 340, 400, 1000, 25_400_000, 1e9, LONGEST - 1, LONGEST, -LONGEST]

const farNumber = fc.oneof(fc.constantFrom(...FAR), fc.integer({ min: -LONGEST, max: LONGEST }))

/** Walls whose numbers are as far as documents may hold them: nobody’s wall, and still nothing may break on it. */
export const anyExtremeWall: fc.Arbitrary<Workpiece> = fc
  .tuple(anyMeetingWall, fc.array(fc.tuple(fc.nat(), farNumber), { minLength: 1, maxLength: 14 }))
  .map(([workpiece, changes]) =>
    changes.reduce((now, [at, to]) => {
      const paths = numbersIn(now)
      const path = paths[at % paths.length] ?? []
      const next = withNumber(now, path, to) as Workpiece
      const read = [
        parseBody('survey', next.wall.survey),
        parseBody('design', next.wall.design),
        parseBody('settings', next.settings),
      ]
      return read.every(({ success }) => success) ? next : now
    }, workpiece),
  )
