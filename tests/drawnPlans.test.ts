import fc from 'fast-check'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { PATTERNS } from '~/model'
import { choosePattern } from '~/core/edits/choosePattern'
import { applyEdits } from '~/core/edits/applyEdit'
import { anyMeetingWall } from './anyWall'
import { keptPlan } from './keptPlans'

/**
 * Walls drawn at random, on which everything stands at once, and a short mark of each part of their plans as last looked
 * at: what nobody would think of to write down. `KEEP=1 npx jest tests/drawnPlans` writes the marks anew; a change of
 * the generator changes them all.
 */
const PATH = 'tests/kept/drawn.json'
const EACH = 14
const drawn = PATTERNS.flatMap((pattern, i) =>
  fc.sample(anyMeetingWall, { seed: 7_300 + i, numRuns: EACH }).map((workpiece, n) => {
    const { design } = workpiece.wall
    const turned =
      design.pattern === pattern ? workpiece : applyEdits(workpiece, choosePattern(workpiece, pattern))
    return { name: `${pattern} ${n + 1}`, pattern, workpiece: turned }
  }),
)

/** FNV-1a. */
function mark(value: unknown): string {
  let hash = 0x811c9dc5
  for (const letter of JSON.stringify(value) ?? '') hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
  return (hash >>> 0).toString(16)
}

type Marks = Readonly<Record<string, string>>
const kept: Record<string, Marks> = existsSync(PATH) ? JSON.parse(readFileSync(PATH, 'utf8')) : {}
describe('the plans of walls drawn at random are what they were when they were last looked at', () => {
  test.each(drawn)('$name', ({ name, workpiece }) => {
    const plan = keptPlan(workpiece) as Record<string, unknown>
    const now = Object.fromEntries(Object.entries(plan).map(([part, value]) => [part, mark(value)]))
    if (process.env.KEEP) kept[name] = now
    expect(now).toEqual(kept[name])
  })

  afterAll(() => {
    if (process.env.KEEP) writeFileSync(PATH, `${JSON.stringify(kept, null, 1)}\n`)
  })
})
