import fc from 'fast-check'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import type { Workpiece } from '~/model'
import { choosePattern } from '~/core/edits/choosePattern'
import { applyEdits } from '~/core/edits/applyEdit'
import { anyPlainMeeting } from './anyWall'
import { keptPlan } from './keptPlans'

/**
 * Walls drawn at random, on which everything stands at once, and a short mark of each part of their plans as last looked
 * at: what nobody would think of to write down. `KEEP=1 npx jest tests/drawnPlans` writes the marks anew; a change of
 * the generator changes them all.
 */
const PATH = 'tests/kept/drawn.json'
const EACH = 14
/** Fixed, as each has a seed by its place: a pattern that comes later is held by laws of its own. */
const DRAWN = ['battens', 'grid', 'boxes', 'slats', 'rails'] as const
const drawn = DRAWN.flatMap((pattern, i) =>
  Array.from({ length: EACH }, (_, n) => ({ name: `${pattern} ${n + 1}`, pattern, seed: 7_300 + i, n })),
)

/** Drawn where it is tried, so that whatever takes part is seen to. */
function wallDrawn({ pattern, seed, n }: (typeof drawn)[number]): Workpiece {
  const workpiece = fc.sample(anyPlainMeeting, { seed, numRuns: EACH })[n]
  if (!workpiece) throw new Error(`no wall ${n}`)
  return workpiece.wall.design.pattern === pattern
    ? workpiece
    : applyEdits(workpiece, choosePattern(workpiece, pattern))
}

/** FNV-1a. */
function mark(value: unknown): string {
  let hash = 0x811c9dc5
  for (const letter of JSON.stringify(value) ?? '') hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
  return (hash >>> 0).toString(16)
}

type Marks = Readonly<Record<string, string>>
const kept: Record<string, Marks> = existsSync(PATH) ? JSON.parse(readFileSync(PATH, 'utf8')) : {}
describe('the plans of walls drawn at random are what they were when they were last looked at', () => {
  test.each(drawn)('$name', (wall) => {
    const { name } = wall
    const plan = keptPlan(wallDrawn(wall)) as Record<string, unknown>
    const now = Object.fromEntries(Object.entries(plan).map(([part, value]) => [part, mark(value)]))
    if (process.env.KEEP) kept[name] = now
    expect(now).toEqual(kept[name])
  })

  afterAll(() => {
    if (process.env.KEEP) writeFileSync(PATH, `${JSON.stringify(kept, null, 1)}\n`)
  })
})
