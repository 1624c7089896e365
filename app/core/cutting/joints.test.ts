import fc from 'fast-check'
import { inches, toInches } from '~/length'
import { inForce, withDesign, type Workpiece } from '~/model'
import { anyAtSaw, atSaw } from '../../../tests/anyAtSaw'
import { anyLineWall, anyOldWall, anyPlainMeeting, met, runs } from '../../../tests/anyWall'
import { thing, wallOf } from '../../../tests/namedWalls'
import { computePlan } from '../computePlan'
import { applyEdits } from '../edits/applyEdit'
import { joinRunWith, type JoinedRun, jointRows, moveJoint } from './joints'

function runsOf(workpiece: Workpiece): JoinedRun[] {
  const { layout, pieces } = computePlan(workpiece)
  return jointRows(workpiece, layout, pieces).flatMap((row) => (row.kind === 'run' ? [row] : []))
}

const placesOf = (run: JoinedRun | undefined) => run?.joints.map(({ at }) => toInches(at)) ?? []

/** A wall of 200 with three rails, boards of 10 ft at the longest. */
function railed(
  patch: Parameters<typeof wallOf>[0] = {},
  design: Parameters<typeof wallOf>[1] = {},
): Workpiece {
  const wall = wallOf(
    { width: inches(200), height: inches(95), ...patch },
    {
      rails: [
        {
          id: 'waist',
          use: 'rail',
          material: 'pine-1x4',
          lay: 'edge',
          top: { rule: 'typed', value: inches(40) },
        },
      ],
      ...design,
    },
  )
  const offers = wall.settings.shop.offers.filter(({ length }) => length <= inches(120))
  return { ...wall, settings: { ...wall.settings, shop: { ...wall.settings.shop, offers } } }
}

describe('joints of runs', () => {
  test('rails one above another stagger their joints; each is on a stud where one is in reach', () => {
    const studs = Array.from({ length: 12 }, (_, i) => inches(15.25 + 16 * i))
    for (const behind of [[], studs]) {
      const found = runsOf(railed({ behind: { studs: behind, wallboard: inches(0.5), keepOuts: [] } }))
      expect(found.length).toBeGreaterThanOrEqual(2)
      const all = found.map((run) => placesOf(run)[0] ?? 0)
      const apart = all.flatMap((at, i) => all.slice(i + 1).map((other) => Math.abs(at - other)))
      // two studs are in reach of three rails: on a stud counts for more than apart
      if (behind.length > 0) {
        expect(found.every(({ joints }) => joints.every(({ onStud }) => onStud))).toBe(true)
        expect(new Set(all).size).toBe(2)
      } else expect(Math.min(...apart)).toBeGreaterThanOrEqual(16)
    }
  })

  test('not under a window, where the eye falls', () => {
    const before = runsOf(railed()).find(({ run }) => run === 'waist')
    const [at = 0] = placesOf(before)
    const window = thing('window', at - 8, 50, 24, 30)
    const now = runsOf(railed({ things: [window] })).find(({ run }) => run === 'waist')
    expect(now?.joints.every(({ inSight }) => !inSight)).toBe(true)
    expect(placesOf(now)).not.toEqual([at])
  })

  test('in its own way, or not at all: then the run is too long, and the way out joins it again', () => {
    const wall = railed()
    const butted = runsOf(applyEdits(wall, joinRunWith('waist', 'butt', wall))).find(
      ({ run }) => run === 'waist',
    )
    expect(butted).toMatchObject({ joint: 'butt', said: 'butt', overlap: 0 })
    const whole = applyEdits(wall, joinRunWith('waist', 'none', wall))
    const finding = computePlan(whole).findings.find(({ says }) => says.code === 'pieceLongerThanBoards')
    const [way] = finding?.waysOut ?? []
    expect(way?.says.code).toBe('joinAgain')
    expect(
      computePlan(applyEdits(whole, way?.edits ?? [])).findings.some(
        ({ says }) => says.code === 'pieceLongerThanBoards',
      ),
    ).toBe(false)
  })

  test('places that hold no more give way to the rule, and it is said; all the same a shorter board changes nothing that holds', () => {
    const wall = railed()
    const run = runsOf(wall).find((each) => each.run === 'waist')
    if (!run) throw new Error('no run')
    const moved = applyEdits(wall, moveJoint(run, 0, inches(100), wall))
    expect(placesOf(runsOf(moved).find((each) => each.run === 'waist'))).toEqual([100])
    const { design } = moved.wall
    const far = {
      ...moved,
      wall: {
        ...moved.wall,
        design: withDesign(design, { joints: { waist: { joint: 'asWall', at: [inches(30)] } } }),
      },
    }
    const gone = runsOf(far).find((each) => each.run === 'waist')
    expect(gone).toMatchObject({ gaveWay: true, placed: false })
    const told = computePlan(far).findings.find(({ says }) => says.code === 'jointGaveWay')
    const mended = applyEdits(far, told?.waysOut[0]?.edits ?? [])
    expect(computePlan(mended).findings.some(({ says }) => says.code === 'jointGaveWay')).toBe(false)
    expect(inForce(mended.wall.design).joints).toEqual({})
  })
})

describe('laws of joints', () => {
  const anySawn = fc
    .tuple(fc.oneof(anyPlainMeeting, anyOldWall, anyLineWall), anyAtSaw)
    .map(([workpiece, said]) => atSaw(workpiece, said))

  test('no joined part outgrows its board; a joint pulled anywhere in its reach comes to lie there; by rule again it is as it was', () => {
    let pulled = 0
    fc.assert(
      fc.property(anySawn, fc.double({ min: 0, max: 1, noNaN: true }), (workpiece, part) => {
        const plan = computePlan(workpiece)
        const joined = new Set(
          plan.pieces.flatMap(({ stripId, endsAt }) => (endsAt === 'joint' ? [stripId] : [])),
        )
        const tooLong = (of: typeof plan) =>
          of.pieces.filter(
            ({ stripId, materialId, cutLength }) =>
              joined.has(stripId) && cutLength > (of.layout.longest.get(materialId) ?? Infinity) + 2,
          ).length
        // what ends in two lines, or turns a corner, is told as too long and not joined further
        const before = tooLong(plan)
        for (const run of runsOf(workpiece)
          .filter(({ joints }) => joints.length > 0)
          .slice(0, 2)) {
          const i = Math.floor(part * run.joints.length * 0.999)
          const joint = run.joints[i]
          if (!joint || joint.most <= joint.least) continue
          const to = Math.round(joint.least + (joint.most - joint.least) * part)
          const now = applyEdits(workpiece, moveJoint(run, i, to, workpiece))
          const found = runsOf(now).find((each) => each.run === run.run)
          if (!found || found.joints.length !== run.joints.length || found.gaveWay) continue
          pulled++
          const there = found.joints[i]
          expect(Math.abs((there?.at ?? 0) - to)).toBeLessThan(5_000)
          expect(tooLong(computePlan(now))).toBeLessThanOrEqual(before)
          found.joints.forEach(({ at }, k) => {
            if (k !== i) expect(Math.abs(at - (run.joints[k]?.at ?? 0))).toBeLessThan(5_000)
          })
          if (inForce(workpiece.wall.design).joints[run.run] !== undefined) continue
          const back = applyEdits(now, moveJoint(found, i, null, now))
          expect(placesOf(runsOf(back).find((each) => each.run === run.run))).toEqual(placesOf(run))
        }
      }),
      { numRuns: runs(60) },
    )
    expect(pulled).toBeGreaterThan(met(10))
  })
})
