import { readFileSync } from 'node:fs'
import { computePlan } from '~/core/computePlan'
import { readJobFile } from '~/core/files/readJobFile'
import { bestSchedule } from '~/core/sequence/bestSchedule'
import { minuteOf } from '~/core/sequence/dates'
import { orderOfWork } from '~/core/sequence/orderOfWork'
import { planWork } from '~/core/sequence/planWork'
import type { Job } from '~/core/sequence/schedule'
import { workHours } from '~/core/sequence/workHours'
import { workState } from '~/core/sequence/workState'
import { jobFacts } from '~/core/takeoff/jobFacts'
import { takeOff } from '~/core/takeoff/supplies'
import { wallFacts } from '~/core/takeoff/wallFacts'
import { USUAL_WORK } from '~/model'

type Measure = (name: string, runs: number, work: () => unknown) => Promise<void>

const MONDAY = minuteOf('2027-03-01T00:00') ?? 0

/** The take-off of the demo job from its plans; a plan of forty tasks, waits, fourteen days and two people. */
export async function benchWork(measure: Measure): Promise<void> {
  const file = readJobFile(readFileSync('examples/tern-cottage.regla.json', 'utf8'))
  if (!file.ok) throw new Error('the demo job can’t be read')
  const { settings, rooms } = file.value
  const walls = rooms.flatMap(({ id: room, walls: own }) =>
    own.map(({ id, name, survey, design }) => ({
      id,
      name,
      room,
      workpiece: { wall: { survey, design }, settings },
    })),
  )
  const plans = walls.map((wall) => ({ wall, plan: computePlan(wall.workpiece) }))
  const counts = { boards: 5, setUps: 2, inPlace: 0 }
  await measure(`the take-off of the demo job, ${walls.length} walls, from their plans`, 60, () =>
    takeOff(
      plans.map(({ wall, plan }) => wallFacts(wall, wall.workpiece, counts, plan)),
      settings,
    ),
  )

  const days = {
    ...USUAL_WORK.days,
    week: [...USUAL_WORK.days.week.slice(0, 5), { from: 540, to: 1_020 }, null],
  }
  const jobs = Array.from({ length: 40 }, (_, i): Job => ({
    id: `t${i}`,
    minutes: 15 + ((i * 37) % 11) * 10,
    people: i % 9 === 4 ? 2 : 1,
    noisy: i % 3 === 0,
    notBefore: i % 13 === 6 ? MONDAY + 2 * 1_440 : 0,
    after: [i - 2, i - 5].flatMap((first, n) =>
      first >= 0 && (i + n) % 3 > 0 ? [{ id: `t${first}`, wait: ((i * 7) % 5) * 120 }] : [],
    ),
  }))
  const problem = { jobs, people: 2, from: MONDAY, hours: workHours(days, MONDAY, 60) }
  await measure('forty tasks, waits, two people', 6, () => bestSchedule(problem))
  const best = bestSchedule(problem)
  if (best)
    console.log(
      `  ends after ${((best.end - MONDAY) / 1_440).toFixed(2)} days, none before ${((best.bound - MONDAY) / 1_440).toFixed(2)}${best.proven ? ', proven' : ''}`,
    )

  const facts = jobFacts(walls)
  for (const room of facts) {
    const order = orderOfWork([room], settings.work)
    const plan = planWork(order, settings.work, workState([]), MONDAY)
    await measure(`${room.id}: ${order.tasks.length} tasks${plan.proven ? ', proven' : ''}`, 3, () =>
      planWork(order, settings.work, workState([]), MONDAY),
    )
  }
}
