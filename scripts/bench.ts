import { benchPaper } from './benchPaper'
import { benchWall } from './benchWall'
import { benchWork } from './benchWork'
import { readFileSync } from 'node:fs'
import highs from 'highs'
import { readingsThatMatter } from '~/core/asbuilt/matters'
import { usualMisses } from '~/core/survey/usualMisses'
import { freezeList, isAsReleased } from '~/core/asbuilt/freeze'
import { releasedRows, releaseOf } from '~/core/asbuilt/release'
import { computePlan } from '~/core/computePlan'
import { setupOrder, type SetupJob } from '~/core/cutting/setupOrder'
import { toRelease } from '~/core/cutting/toRelease'
import { usualThing } from '~/core/survey/usualThings'
import { planSheets } from '~/core/sheets/stripSheets'
import { proposalCards } from '~/core/judgement/cards'
import { heightProposals } from '~/core/judgement/heights'
import { propose } from '~/core/judgement/propose'
import { readJobFile } from '~/core/files/readJobFile'
import { benchAgree } from './benchAgree'
import { benchBoards } from './benchBoards'
import { saidOfWall } from '~/core/planWall'
import { boardsAsked } from '~/core/cutting/leftToCut'
import { planBoards, planBoardsQuickly } from '~/core/stock'
import { inches } from '~/length'
import {
  type Act,
  blankSurvey,
  ENDS,
  STARTING_JUDGEMENT,
  STARTING_LINES,
  startingDesign,
  startingSettings,
  usualSheets,
  type Workpiece,
  withDesign,
} from '~/model'
import { highsSolver } from '~/workers/highsSolver'

function median(times: readonly number[]): number {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? NaN
}

async function measure(name: string, runs: number, work: () => unknown) {
  for (let i = 0; i < Math.min(runs, 20); i++) await work()
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const start = process.hrtime.bigint()
    await work()
    times.push(Number(process.hrtime.bigint() - start) / 1e6)
  }
  const worst = Math.max(...times)
  console.log(
    `${name.padEnd(58)} median ${median(times).toFixed(3)} ms   worst ${worst.toFixed(3)} ms   ${runs} runs`,
  )
}

const settings = startingSettings('inches', '1/16')
const sixty: Workpiece = {
  wall: {
    survey: { ...blankSurvey(), width: inches(731.5), height: inches(97) },
    design: withDesign(startingDesign(), { spacing: { school: 'equalByCount', strips: 60, ends: 'gap' } }),
  },
  settings,
}
await benchWall(measure)
await benchPaper(measure)
await measure('whole plan without boards, 60 battens', 400, () => computePlan(sixty))
const outlets = Array.from({ length: 100 }, (_, i) => ({
  ...usualThing('outlet', blankSurvey(), `outlet-${i}`),
  left: inches(10 + i * 14.3),
  bottom: inches(12 + (i % 5) * 14),
}))
const manySlats: Workpiece = {
  wall: {
    survey: { ...blankSurvey(), width: inches(1500), height: inches(96), things: outlets },
    design: withDesign(startingDesign(), {
      pattern: 'slats',
      battenMaterial: 'pine-1x2',
      spacing: { school: 'equalByCount', strips: 400, ends: 'gap' },
      height: { rule: 'full' },
      topRail: null,
      foot: { kind: 'floor' },
    }),
  },
  settings,
}
await measure('whole plan without boards, 400 slats, 100 plates', 40, () => computePlan(manySlats))
await benchAgree(measure, sixty)
await benchWork(measure)

// a floor that falls under a low wainscot: every batten has its own length
const falling: Workpiece = {
  wall: {
    survey: {
      ...blankSurvey(),
      width: inches(400),
      readings: [
        {
          id: 'fall',
          kind: 'floorFall',
          place: inches(400),
          value: inches(3),
          method: 'laser',
          takenAt: '2026-10-05T08:10:00Z',
        },
      ],
    },
    design: withDesign(startingDesign(), {
      foot: { kind: 'floor' },
      topRail: null,
      height: { rule: 'typed', value: inches(21) },
      spacing: { school: 'equalByCount', strips: 35, ends: 'gap' },
    }),
  },
  settings,
}
const lengths = boardsAsked(computePlan(falling), falling)
await measure('first board plan, 35 battens of 35 lengths', 20, () => lengths.map(planBoardsQuickly))

// the full limits of the search: 24 ft, ten plates, every end condition, shifts of 3 in, bays that may differ by 1 in
const plates = Array.from({ length: 10 }, (_, i) => ({
  id: `outlet-${i}`,
  kind: 'outlet' as const,
  left: inches(14 + i * 27.25 + (i % 3) * 2),
  bottom: inches(12 + (i % 2) * 30),
  width: inches(2.75),
  height: inches(4.5),
  thickness: inches(0.25),
  casing: inches(0),
  fate: 'keep' as const,
  clear: null,
  slope: null,
  fromRight: null,
  fromTop: null,
}))
const searched: Workpiece = {
  wall: {
    survey: { ...blankSurvey(), width: inches(288), height: inches(96), things: plates },
    design: withDesign(startingDesign(), {
      judgement: { ...STARTING_JUDGEMENT, ends: [...ENDS], baysDiffer: inches(1) },
    }),
  },
  settings,
}
console.log(`layouts tried in the search below: ${propose(searched).tried}`)
await measure('proposal search, 24 ft, ten plates, full limits', 60, () => propose(searched))
await measure('the same with five drawings and their boards', 30, () => proposalCards(searched))
await measure('heights with what each wastes, the same wall', 20, () => heightProposals(searched))

// two hundred bands between ten uprights in a frame, one figure of the move changed each time
const bands = (rise: number): Workpiece => ({
  wall: {
    survey: { ...blankSurvey(), width: inches(210), height: inches(100) },
    design: withDesign(startingDesign(), {
      pattern: 'lines',
      battenMaterial: 'pine-1x2',
      border: 'miter',
      topRail: null,
      foot: { kind: 'floor' },
      height: { rule: 'full' },
      through: 'uprights',
      spacing: { school: 'equalByCount', strips: 13, ends: 'strip' },
      lines: {
        ...STARTING_LINES,
        uprights: true,
        moves: [
          {
            id: 'm1',
            on: true,
            material: null,
            kind: 'chevron',
            slope: { by: 'rise', rise: inches(rise) },
            clear: inches(3.75),
            hand: 'alternating',
            first: 'up',
            start: 'edge',
            bands: null,
          },
        ],
      },
    }),
  },
  settings,
})
let turn = 0
console.log(`strips struck below: ${computePlan(bands(11)).layout.moves?.moves[0]?.stripIds.length}`)
await measure('200 lines, one move changed: plan and findings', 200, () =>
  computePlan(bands(11 + (turn++ % 16) / 16)),
)

await benchBoards()

const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
if (!file.ok) throw new Error('the demo file is broken')
const solve = highsSolver(() => highs())
// a large wall whole as npm run plan says it: what takes longer than a second is left with its bound, or counted as not asked
const sampler = readJobFile(readFileSync('examples/lines-sampler.regla.json', 'utf8'))
const herringbone = sampler.ok
  ? sampler.value.rooms.flatMap((room) => room.walls).find(({ name }) => name === 'Herringbone')
  : undefined
if (sampler.ok && herringbone) {
  const survey = { ...herringbone.survey, width: inches(480), readings: [] }
  const large: Workpiece = { wall: { ...herringbone, survey }, settings: sampler.value.settings }
  const { units, tape } = large.settings
  await measure(`all a plan file says of ${computePlan(large).pieces.length} lines`, 3, () => {
    const end = performance.now() + 1_000
    return saidOfWall(large, computePlan(large), { units, tape }, () => performance.now() > end)
  })
}

for (const wall of file.value.rooms.flatMap((room) => room.walls)) {
  const workpiece: Workpiece = { wall, settings: file.value.settings }
  await measure(`whole plan without boards, ${wall.name}`, 100, () => computePlan(workpiece))
  await measure(`what a miss of each reading spoils, ${wall.name}`, 5, () =>
    readingsThatMatter(workpiece, usualMisses('inches')),
  )
  const requests = boardsAsked(computePlan(workpiece), workpiece)
  await measure(`first board plan, ${wall.name}`, 50, () => requests.map(planBoardsQuickly))
  await measure(`proven board plan, ${wall.name}`, 20, async () => {
    for (const request of requests) await planBoards(request, solve)
  })
}
console.log(`memory after all: ${(process.memoryUsage().rss / 2 ** 20).toFixed(0)} MiB resident`)

// 200 pieces of 24 lengths at 9 settings, each with a first and a second end
const cuts: SetupJob[] = Array.from({ length: 200 }, (_, i) => {
  const [start, end, stop] = [i % 9, (i * 5) % 9, (i * 7) % 24]
  return [
    { setting: `s${start}`, stop: null, after: [] },
    { setting: `s${end}`, stop: String(stop), after: [2 * i] },
  ] satisfies SetupJob[]
}).flat()
await measure('order of set-ups, 200 pieces', 10, () => setupOrder(cuts))
const ordered = setupOrder(cuts)
console.log(`  ${ordered.count} set-ups, none below ${ordered.bound}${ordered.proven ? ', proven' : ''}`)

const sheet = usualSheets(inches(3 / 4))[0]
const ripped = (pieces: number) =>
  [1.5, 2.5, 3.5].map((width, k) => ({
    materialId: `strip-${width}`,
    width: inches(width),
    pieces: Array.from({ length: pieces }, (_, i) => i)
      .filter((i) => i % 3 === k)
      .map((i) => ({ id: `${i}`, label: `${i}`, length: inches(12 + ((i * 37) % 131) / 2) })),
  }))
if (sheet)
  for (const pieces of [40, 200]) {
    const made = await planSheets(sheet, ripped(pieces), settings.shop, solve)
    await measure(`strips from sheets, ${pieces} pieces`, 5, () =>
      planSheets(sheet, ripped(pieces), settings.shop, solve),
    )
    if (made.ok)
      console.log(
        `  ${made.value.sheets.length} sheets, none below ${made.value.bound}${made.value.proven ? ', proven' : ''}`,
      )
  }

// a press on a cut card where 300 pieces were released: what happened is folded anew
const wide = (strips: number): Workpiece => ({
  ...sixty,
  wall: {
    survey: { ...sixty.wall.survey, width: inches(2_400) },
    design: withDesign(startingDesign(), { spacing: { school: 'equalByCount', strips, ends: 'gap' } }),
  },
})
const many = wide(296)
const manyPlan = computePlan(many)
const list: Act = {
  id: 'bench-list',
  kind: 'released',
  doneAt: 1,
  revisions: [1, 1, 1],
  pieces: freezeList(toRelease(manyPlan, many), []),
}
const ticks = list.pieces.slice(0, 150).map(({ name }, i): Act => ({
  id: `bench-tick-${i}`,
  kind: 'pieceCut',
  release: list.id,
  piece: name,
  doneAt: 2 + i,
}))
await measure(`a tick on a list of ${list.pieces.length} pieces`, 40, () => {
  const release = releaseOf([list, ...ticks])
  return release && releasedRows(release)
})
await measure('a list of 300 pieces against its plan', 20, () => {
  const release = releaseOf([list, ...ticks])
  return release && isAsReleased(release, toRelease(manyPlan, many))
})
