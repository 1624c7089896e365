import { freezeList } from '~/core/asbuilt/freeze'
import { releaseOf } from '~/core/asbuilt/release'
import { waysOn } from '~/core/asbuilt/waysOut'
import { computePlan } from '~/core/computePlan'
import { toRelease } from '~/core/cutting/toRelease'
import { MADE_UP, simulate } from '~/core/evenness/simulate'
import { fitWalk } from '~/core/fit/fitWalk'
import { learnRates, type Sample, samplesOf } from '~/core/log/rates'
import { workedOnWall } from '~/core/log/worked'
import { markWalk } from '~/core/marks/markWalk'
import { inches } from '~/length'
import { type Act, blankSurvey, startingDesign, startingSettings, type Workpiece, withDesign } from '~/model'

type Measure = (name: string, runs: number, work: () => unknown) => Promise<void>

function wide(strips: number): Workpiece {
  return {
    wall: {
      survey: { ...blankSurvey(), width: inches(731.5), height: inches(97) },
      design: withDesign(startingDesign(), {
        pattern: 'grid',
        spacing: { school: 'equalByCount', strips, ends: 'strip' },
        rows: [1, 1],
        border: 'butt',
        through: 'uprights',
        height: { rule: 'full' },
      }),
    },
    settings: startingSettings('inches', '1/16'),
  }
}

/** Sixty strips half fitted, all cut, and one of them read half an inch off. */
function halfFitted(workpiece: Workpiece): Act[] {
  const plan = computePlan(workpiece)
  const pieces = freezeList(toRelease(plan, workpiece), [])
  const half = new Set(plan.layout.uprights.slice(0, 30).map(({ id }) => id as string))
  const last = plan.layout.uprights[29]
  let n = 0
  const done = () => ({ id: `bench-${String(++n).padStart(6, '0')}`, doneAt: n })
  const release = 'bench-list-1'
  return [
    { ...done(), id: release, kind: 'released', revisions: [], pieces },
    ...pieces.map(({ name }) => ({ ...done(), kind: 'pieceCut' as const, release, piece: name })),
    ...pieces
      .filter(({ stripId }) => half.has(stripId))
      .map(({ name }) => ({ ...done(), kind: 'pieceUp' as const, release, piece: name, left: null })),
    {
      ...done(),
      kind: 'builtAt',
      strip: last?.id ?? '',
      edge: 'left',
      place: inches(0.5 + (last?.left ?? 0) / 25_400_000),
      planned: inches((last?.left ?? 0) / 25_400_000),
      with: 'tape',
    },
  ]
}

/** What a wall's stages and the log take. */
export async function benchWall(measure: Measure): Promise<void> {
  const sixty = wide(60)
  const plan = computePlan(sixty)
  const acts = halfFitted(sixty)
  const release = releaseOf(acts)
  await measure('ways on after a reading, 60 strips half fitted', 20, () =>
    waysOn(sixty, plan, acts, release),
  )
  await measure('the fitting of 60 strips, card by card', 20, () =>
    fitWalk(sixty, plan, { datum: 'left', hook: 'foot', inPlace: new Set() }),
  )
  await measure('all there is to mark on 60 strips', 20, () =>
    markWalk(plan, sixty, { datum: 'left', hook: 'foot', laser: null }),
  )
  await measure('10 000 walls of 20 bays, four ways of marking', 10, () =>
    simulate({ bays: 20, walls: 10_000, seed: 1, errors: MADE_UP, gap: inches(18) }),
  )
  const logs = Array.from({ length: 200 }, (_, job) => {
    let n = 0
    const act = (kind: string, minutes: number, more: object) =>
      ({ id: `log-${job}-${String(++n).padStart(5, '0')}`, kind, doneAt: minutes * 60_000, ...more }) as Act
    return [
      act('began', 0, { stage: 'fit' }),
      ...Array.from({ length: 25 }, (__, i) => act('pieceUp', 4 + i * 5, { release: 'l', piece: `A${i}` })),
      act('ended', 131, { stage: 'fit', counted: null }),
      ...Array.from({ length: 25 }, (__, i) => act('marked', 200 + i, { strip: `s${i}`, left: 1 })),
    ]
  })
  await measure('rates from 200 jobs’ logs, 10 400 acts', 20, () => {
    const samples = logs.flatMap((own, i): Sample[] => samplesOf(`job${i}`, 'wall/w', workedOnWall(own), 1e9))
    return learnRates(samples, 1e9)
  })
}
