import { isCut } from '~/core/marks/marked'
import { atMinute } from '~/core/sequence/dates'
import { orderOfWork } from '~/core/sequence/orderOfWork'
import { planWork, type WorkPlan } from '~/core/sequence/planWork'
import { type RoomOfWork, taskId } from '~/core/sequence/roomMaker'
import { workState } from '~/core/sequence/workState'
import {
  cautionText,
  checkText,
  durationText,
  orderText,
  paperText,
  type Places,
  taskName,
  whenText,
} from '~/messages'
import type { WorkAct } from '~/model'
import type { Flow } from '../pdf/flow'
import { type PaperJob, pacedWork } from '../paperJob'

/** The job's work as it is planned at the moment it is printed; ends when `over` says so. */
export function paperWork(job: PaperJob, rooms: readonly RoomOfWork[], over: () => boolean): WorkPlan {
  const now = Math.floor(job.made / 60_000) + job.clock
  // a wall that is cut is cut, whoever ticked it where
  const cut = job.walls
    .filter(({ acts }) => isCut(acts))
    .map(({ id }): WorkAct => ({
      id: `cut ${id}`,
      doneAt: 0,
      kind: 'taskDone',
      task: taskId('wall', id, 'cut'),
      at: atMinute(now),
      member: null,
    }))
  const { work } = pacedWork(job)
  return planWork(orderOfWork(rooms, work), work, workState([...job.workActs, ...cut]), now, over, 'untold')
}

export function placesOf({ rooms, walls }: PaperJob): Places {
  return {
    rooms: new Map(rooms.map(({ id, name }) => [id, name])),
    walls: new Map(walls.map(({ id, name }) => [id, name])),
  }
}

/** Every task in its order, when, how long, what is looked at; cautions of all of them once. */
export function workSheet(flow: Flow, job: PaperJob, plan: WorkPlan): void {
  const places = placesOf(job)
  flow.page(paperText.parts.work, job.name)
  const open = plan.tasks.filter(({ done }) => done === null)
  if (plan.tasks.length === 0) return flow.para(paperText.noWork)
  if (plan.end !== null && open.length > 0)
    flow.para(
      `${orderText.done(whenText(plan.end))}. ${
        plan.proven || plan.bound === null ? orderText.proven : orderText.bounded(whenText(plan.bound))
      }`,
      { weight: 'bold' },
    )
  else if (open.length === 0) flow.para(orderText.allDone)
  else flow.para(orderText.noPlan)
  const { byLogs } = pacedWork(job)
  if (byLogs.length > 0) flow.para(paperText.byLogs(byLogs), { size: 8.5, color: '#333333' })
  flow.para(paperText.dried, { size: 8.5, color: '#333333' })
  flow.table(
    paperText.workColumns.map((name, i) => ({
      name,
      share: [0.3, 1.7, 3, 0.9, 3.4][i] ?? 1,
      bold: i === 2,
      tick: i === 0,
    })),
    open.map(({ task, minutes, sessions }) => [
      ' ',
      sessions.map(({ start }) => whenText(start)).join('; '),
      taskName(task, places),
      task.people === 0 ? paperText.trade : durationText(minutes),
      task.checks.map(checkText).join(' '),
    ]),
  )
  const cautions = [...new Set(open.flatMap(({ task }) => task.cautions))]
  if (cautions.length > 0) flow.heading(paperText.cautions)
  for (const caution of cautions) flow.para(cautionText(caution))
}
