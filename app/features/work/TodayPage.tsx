import { styled } from 'styled-components'
import { DAY } from '~/core/sequence/dates'
import type { PlannedTask } from '~/core/sequence/planWork'
import { useAwake } from '~/editor/useAwake'
import { JobFrame } from '~/editor/work/JobFrame'
import { checkText, dayLong, durationText, orderText, taskName, timeText, toolText } from '~/messages'
import { PageMain, Row, Sheet, Soft } from '~/ui/page'
import { type } from '~/ui/theme'
import { TaskClock } from './TaskClock'
import { Cautions, TaskTick } from './TaskPanel'
import { useWork, type WorkData } from '~/editor/work/useWork'

const Big = styled.h2`
  font-size: ${type.lead};
`

/** What is done today, one after the other, with what is looked at and what to be careful of. */
export function TodayPage({ job, now: serverNow }: { readonly job: WorkData; readonly now: number }) {
  const inHand = useWork(job, serverNow)
  const { plan, places, now, saver, searching, waiting } = inHand
  useAwake()
  const today = Math.floor(now / DAY)
  const begins = (plan?.tasks ?? []).flatMap(({ done: at, sessions }) =>
    at === null ? sessions.map(({ start }) => start) : [],
  )
  // where nothing is left of today the next day that has something is shown
  const first = Math.min(...begins)
  const day = Number.isFinite(first) ? Math.max(today, Math.floor(first / DAY)) : today
  const on = (minute: number) => Math.floor(minute / DAY) === day
  const open = (plan?.tasks ?? []).filter(
    ({ done: at, sessions }) => at === null && sessions.some(({ start }) => on(start)),
  )
  const done = (plan?.tasks ?? []).filter(
    (each) => each.done !== null && Math.floor(each.done / DAY) === today,
  )
  const until = Math.max(
    0,
    ...open.flatMap(({ sessions }) => sessions.filter(({ start }) => on(start)).map(({ end }) => end)),
  )
  const known = plan !== null && !searching
  return (
    <JobFrame job={job} here="work/today" saver={saver}>
      <PageMain>
        <h1>{dayLong(known ? day * DAY : now)}</h1>
        <p role="status" data-testid="today" data-state={known ? 'known' : 'working'}>
          {!known
            ? orderText.working
            : `${day === today && open.length > 0 ? '' : `${orderText.nothingToday} `}${open.length > 0 ? orderText.todayUntil(timeText(until)) : ''}`}
        </p>
        {waiting > 0 ? <Soft>{orderText.waiting(waiting)}</Soft> : null}
        {open.map((planned) => (
          <TodayTask key={planned.task.id} planned={planned} inHand={inHand} />
        ))}
        {done.length > 0 ? (
          <section aria-label={orderText.doneToday}>
            <h2>{orderText.doneToday}</h2>
            {done.map((planned) => (
              <Row key={planned.task.id}>
                <TaskTick planned={planned} inHand={inHand} />
                <span>{taskName(planned.task, places)}</span>
              </Row>
            ))}
          </section>
        ) : null}
      </PageMain>
    </JobFrame>
  )
}

function TodayTask({
  planned,
  inHand,
}: {
  readonly planned: PlannedTask
  readonly inHand: ReturnType<typeof useWork>
}) {
  const { task, sessions, minutes } = planned
  const name = taskName(task, inHand.places)
  return (
    <Sheet aria-label={name} data-task={task.id}>
      <Row>
        <TaskTick planned={planned} inHand={inHand} />
        <div>
          <Big>{name}</Big>
          <Soft>
            {sessions[0] ? `${timeText(sessions[0].start)}, ` : ''}
            {durationText(minutes)}
            {task.people === 2 ? `, ${orderText.people(2)}` : ''}
          </Soft>
        </div>
      </Row>
      <Cautions planned={planned} inHand={inHand} />
      <TaskClock task={task} inHand={inHand} />
      {task.checks.length > 0 ? (
        <ul>
          {task.checks.map((check) => (
            <li key={check}>{checkText(check)}</li>
          ))}
        </ul>
      ) : null}
      {task.tools.length > 0 ? <Soft>{task.tools.map(toolText).join(', ')}</Soft> : null}
    </Sheet>
  )
}
