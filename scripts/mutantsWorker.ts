// Runs a group's tests in one process, again and again, each time with another change of the code awake.
import { resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { expect } from 'expect'

interface Tried {
  readonly id: string
  readonly run: () => unknown
  took: number
}
interface Namespace {
  activeMutant?: string | undefined
  currentTestId?: string | undefined
  hitCount?: number | undefined
  hitLimit?: number | undefined
  mutantCoverage?: { static: Record<string, number>; perTest: Record<string, Record<string, number>> }
}
const world = globalThis as unknown as Record<string, unknown> & { __stryker__?: Namespace }
const stryker: Namespace = (world.__stryker__ ??= {})
const tests: Tried[] = []

/** Of Jest's own words those that the core's tests use. */
const test = (_name: string, run: () => unknown) => void tests.push({ id: `t${tests.length}`, run, took: 0 })
world.expect = expect
world.describe = (_name: string, body: () => void) => body()
world.afterAll = () => undefined
world.it = world.test = Object.assign(test, {
  each: (rows: readonly unknown[]) => (name: string, run: (...row: unknown[]) => unknown) =>
    rows.forEach((row) => test(name, () => run(...(Array.isArray(row) ? row : [row])))),
})

async function load(files: readonly string[]) {
  await import(pathToFileURL(resolve('tests/steady.ts')).href)
  for (const file of files) await import(pathToFileURL(resolve(file)).href)
}

/** Which changes each test comes by, and which only loading the code does. */
async function learn() {
  for (const each of tests) {
    stryker.currentTestId = each.id
    const start = performance.now()
    await each.run()
    each.took = performance.now() - start
  }
  stryker.currentTestId = undefined
  const { static: loaded, perTest } = stryker.mutantCoverage ?? { static: {}, perTest: {} }
  return {
    static: Object.keys(loaded),
    covered: [...new Set(Object.values(perTest).flatMap((of) => Object.keys(of)))],
  }
}

/** Quick tests first; the first that fails says that the change was noticed. */
async function noticed(list: readonly Tried[]): Promise<boolean> {
  for (const each of [...list].sort((a, b) => a.took - b.took))
    try {
      await each.run()
    } catch {
      return true
    }
  return false
}

async function tryOut(id: string): Promise<string> {
  const perTest = stryker.mutantCoverage?.perTest ?? {}
  const covering = tests.filter((each) => perTest[each.id]?.[id] !== undefined)
  const hits = covering.reduce((sum, each) => sum + (perTest[each.id]?.[id] ?? 0), 0)
  stryker.activeMutant = id
  stryker.hitCount = 0
  // a loop that does not end comes by its change too often
  stryker.hitLimit = hits * 100 + 10_000
  const found = await noticed(covering)
  const endless = (stryker.hitCount ?? 0) > stryker.hitLimit
  stryker.activeMutant = undefined
  return endless ? 'Timeout' : found ? 'Killed' : 'Survived'
}

const ready = load(process.argv.slice(2)).then(
  () => null,
  (problem: unknown) => String(problem),
)
process.on('message', (question: { type: 'learn' | 'all' | 'try'; id: string }) => {
  void (async () => {
    const problem = await ready
    const answer = async () => {
      if (problem) return question.type === 'learn' ? { problem } : { status: 'Killed' }
      if (question.type === 'learn') return learn()
      if (question.type === 'all') return { status: (await noticed(tests)) ? 'Killed' : 'Survived' }
      return { status: await tryOut(question.id) }
    }
    process.send?.(await answer().catch((thrown: unknown) => ({ status: 'Killed', problem: String(thrown) })))
  })()
})
