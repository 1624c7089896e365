import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { keptPlan } from './keptPlans'
import { KEPT_WALLS } from './keptWalls'
import { MEETING_WALLS } from './keptWallsMeet'
import { MORE_KEPT_WALLS } from './keptWallsMore'

/**
 * Kept plans are no worked answers: they say what the core said when they were last looked at, so that no figure changes
 * unseen. `KEEP=1 npx jest tests/keptPlans; npx prettier --write tests/kept` writes them anew; what changed is then read in the diff.
 */
const WALLS = { ...KEPT_WALLS, ...MORE_KEPT_WALLS, ...MEETING_WALLS }
const folder = 'tests/kept'

describe('the plan of every kept wall is what it was when it was last looked at', () => {
  test.each(Object.keys(WALLS))('%s', (name) => {
    const workpiece = WALLS[name]
    if (!workpiece) throw new Error(`no wall ${name}`)
    const now = keptPlan(workpiece)
    const path = `${folder}/${name}.json`
    if (process.env.KEEP) {
      mkdirSync(folder, { recursive: true })
      writeFileSync(path, `${JSON.stringify(now, null, 1)}\n`)
    }
    if (!existsSync(path)) throw new Error(`${path} was never kept: look at the plan, then run with KEEP=1`)
    const kept = JSON.parse(readFileSync(path, 'utf8'))
    expect(now).toEqual(kept)
  })
})
