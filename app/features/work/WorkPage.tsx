import { lazy, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import type { WorkIssue } from '~/core/sequence/planWork'
import { moveTask } from '~/core/sequence/orderOfWork'
import { withWay } from '~/core/sequence/bringForward'
import { JobFrame } from '~/editor/work/JobFrame'
import { LeftOut } from '~/editor/work/LeftOut'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import {
  forwardEnd,
  forwardText,
  orderText,
  taskIdName,
  taskName,
  whenText,
  whyText,
  workIssueText,
  whyNot,
} from '~/messages'
import { Button } from '~/ui/Button'
import { Charted } from '~/ui/Charted'
import { Choice } from '~/ui/Choice'
import { Alert, Row, Sheet, SideMain, Soft, Spread } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { findForward } from '~/workers/workClient'
import { saveCalendar } from './saveCalendar'
import { chartRows } from './chartRows'
import { squeeze } from './squeeze'
import { DaysPart } from './DaysPart'
import { OwnPart } from './OwnPart'
import { RatesPart } from './RatesPart'
import { Slip } from './Slip'
import { TaskList, type TaskRow } from './TaskList'
import { taskRows } from './taskRows'
import { TaskPanel } from './TaskPanel'
import { useWork, type WorkData, type WorkInHand } from '~/editor/work/useWork'
import { WorkSentence } from './WorkSentence'

const WorkChart = lazy(() => import('./WorkChart'))

const Head = styled.div`
  grid-column: 1 / -1;
  display: grid;
  gap: ${space.s};
`
const End = styled.p`
  font-size: ${type.title};
  font-weight: 700;
`
const Part = styled.div`
  display: grid;
  gap: ${space.l};
  min-width: 0;
`

/** As high as the list, so that what is held in it can go along. */
const Aside = styled.aside`
  align-self: stretch;
  display: flex;
  flex-direction: column;
  gap: ${space.l};
  min-width: 0;
`

/** The task in hand stays in view while the list goes by; on a phone it lies over the page's foot. */
const Held = styled.div`
  position: sticky;
  top: ${space.m};
  max-height: calc(100dvh - 2 * ${space.m});
  overflow-y: auto;
  ${narrow} {
    position: fixed;
    inset: auto 0 0 0;
    z-index: 5;
    max-height: 64dvh;
    box-shadow: 0 -8px 28px rgb(0 0 0 / 0.28);
  }
`

/** How many pixels a task takes on the chart, and what stands round it. */
const ROW = 21
const ROUND = 78

/** The work of a job: its tasks in an order that works, fitted into the days there are. */
export function WorkPage({ job, now }: { readonly job: WorkData; readonly now: number }) {
  const inHand = useWork(job, now)
  const { plan, searching, work, change, saver, places, scope, setScope, facts, rooms, waiting } = inHand
  const [chosen, setChosen] = useState<string | null>(null)
  const [said, setSaid] = useState('')
  const rows = useMemo(() => taskRows(plan?.tasks ?? [], places, scope), [plan, places, scope])
  const nameOf = (id: string) =>
    rows.find(({ planned }) => planned.task.id === id)?.name ?? taskIdName(id, places)
  const picked = rows.find(({ planned }) => planned.task.id === chosen)?.planned
  const move = (moved: string, side: 'before' | 'after', target: string) => {
    const order = rows.map(({ planned }) => planned.task)
    const made = moveTask(order, work.pins, moved, side, target)
    if (made.ok) {
      const [first, then] = side === 'before' ? [moved, target] : [target, moved]
      setSaid(orderText.moved(nameOf(first), nameOf(then)))
      change({ pins: made.pins })
    } else setSaid(orderText.refused(nameOf(made.first), nameOf(made.then), whyText(made.why)))
  }
  const step = (id: string, side: 'before' | 'after') => {
    const open = rows.filter(({ planned }) => planned.done === null)
    const at = open.findIndex(({ planned }) => planned.task.id === id)
    const target = open[at + (side === 'before' ? -1 : 1)]
    if (target) move(id, side, target.planned.task.id)
    else setSaid(side === 'before' ? orderText.first : orderText.last)
  }
  const scopes = [
    { id: 'job', text: orderText.whole },
    ...job.rooms.map(({ id, name }) => ({ id: `room:${id}`, text: name })),
    ...job.walls.map(({ id, name }) => ({ id: `wall:${id}`, text: name })),
  ]
  const chart = useMemo(() => chartRows(rows), [rows])
  const squeezed = useMemo(() => squeeze(chart), [chart])
  const left = Object.entries(work.own).filter(([, { skip }]) => skip)
  return (
    <JobFrame job={job} here="work" saver={saver}>
      <SideMain $side={372}>
        <Head>
          <Spread>
            <h1>{orderText.title}</h1>
            <Row>
              <Button
                isDisabled={!plan || plan.end === null}
                why={whyNot.noEnd}
                onPress={() => void saveCalendar(job, plan?.tasks ?? [], (task) => taskName(task, places))}
              >
                {orderText.calendar}
              </Button>
              <Choice<string> label={orderText.scope} value={scope} options={scopes} onChange={setScope} />
            </Row>
          </Spread>
          <WorkSentence work={work} change={change} />
          <Row role="status" data-testid="work-end" data-state={searching || !plan ? 'working' : 'known'}>
            <EndSaid inHand={inHand} />
          </Row>
          {waiting > 0 ? <Soft>{orderText.waiting(waiting)}</Soft> : null}
          <Slip inHand={inHand} />
          <Issues issues={plan?.issues ?? []} nameOf={nameOf} />
          <LeftOut names={[...job.unreadable, ...facts.leftOut]} />
        </Head>
        {/* nothing moves when the plan comes: the columns come with it */}
        {plan !== null || inHand.failed || inHand.isStopped || (facts.known && rooms.length === 0) ? (
          <>
            <Part>
              {facts.known && rooms.length === 0 ? <Soft>{orderText.none}</Soft> : null}
              {chart.length > 0 ? (
                <section aria-label={orderText.chart}>
                  <Charted height={chart.length * ROW + ROUND}>
                    <WorkChart rows={chart} squeezed={squeezed} label={orderText.chartLabel} />
                  </Charted>
                </section>
              ) : null}
              <section aria-label={orderText.order}>
                <h2>{orderText.order}</h2>
                <p role="status" data-testid="moved">
                  {said}
                </p>
                <TaskList rows={rows} chosen={chosen} onChoose={setChosen} onMove={move} />
                {left.length > 0 ? (
                  <Row>
                    <Soft>{orderText.skipped(left.map(([id]) => taskIdName(id, places)))}</Soft>
                    <Button
                      onPress={() =>
                        change({
                          own: Object.fromEntries(Object.entries(work.own).filter(([, { skip }]) => !skip)),
                        })
                      }
                    >
                      {orderText.bringBack}
                    </Button>
                  </Row>
                ) : null}
              </section>
            </Part>
            <Aside aria-label={orderText.how}>
              {picked ? (
                <Held>
                  <TaskPanel
                    planned={picked}
                    inHand={inHand}
                    onMove={(side) => step(picked.task.id, side)}
                    onClose={() => setChosen(null)}
                  />
                </Held>
              ) : (
                <Plans inHand={inHand} rows={rows} nameOf={nameOf} />
              )}
            </Aside>
          </>
        ) : null}
      </SideMain>
    </JobFrame>
  )
}

/** What the plan says of itself; tasks that are done in parts are told together. */
function Issues({
  issues,
  nameOf,
}: {
  readonly issues: readonly WorkIssue[]
  readonly nameOf: (id: string) => string
}) {
  const parts = issues.filter(({ kind }) => kind === 'inParts')
  const [first] = parts
  return (
    <>
      {first ? (
        <Soft>{parts.length === 1 ? workIssueText(first, nameOf) : orderText.inParts(parts.length)}</Soft>
      ) : null}
      {issues
        .filter(({ kind }) => kind !== 'inParts')
        .map((issue) => {
          const text = workIssueText(issue, nameOf)
          return (
            <Alert key={text} role="alert" data-issue={issue.kind}>
              {text}
            </Alert>
          )
        })}
    </>
  )
}

/** What the plan goes by: moves by hand, days, rates, tasks of one's own, and what would bring the end forward. */
function Plans({
  inHand,
  rows,
  nameOf,
}: {
  readonly inHand: WorkInHand
  readonly rows: readonly TaskRow[]
  readonly nameOf: (id: string) => string
}) {
  const { work, change } = inHand
  return (
    <>
      {work.pins.length > 0 ? (
        <Sheet aria-label={orderText.pins}>
          <h2>{orderText.pins}</h2>
          {work.pins.map((pin) => {
            const [first, then] = [nameOf(pin.first), nameOf(pin.then)]
            return (
              <Spread key={`${pin.first} ${pin.then}`}>
                <span>{orderText.pin(first, then)}</span>
                <Button
                  $kind="quiet"
                  aria-label={orderText.unpin(first, then)}
                  onPress={() => change({ pins: work.pins.filter((each) => each !== pin) })}
                >
                  ×
                </Button>
              </Spread>
            )
          })}
        </Sheet>
      ) : null}
      <ForwardPart inHand={inHand} />
      <DaysPart work={work} change={change} />
      <div>
        <RatesPart work={work} learned={inHand.learned} change={change} />
        <OwnPart
          inHand={inHand}
          tasks={rows
            .filter(({ planned }) => planned.done === null)
            .map(({ planned, name }) => ({ id: planned.task.id, name }))}
        />
      </div>
    </>
  )
}

/** When it is done, and whether it could be sooner. */
function EndSaid({ inHand }: { readonly inHand: WorkInHand }) {
  const { plan, searching, failed, stop, isStopped, facts, rooms } = inHand
  if (failed) return <span>{orderText.failed}</span>
  if (facts.known && rooms.length === 0) return null
  if (searching || !plan)
    return isStopped ? (
      <span>{orderText.stoppedLooking}</span>
    ) : (
      <>
        <End>{orderText.working}</End>
        <Button onPress={stop}>{orderText.cancel}</Button>
      </>
    )
  if (plan.tasks.length > 0 && plan.tasks.every(({ done }) => done !== null))
    return <End>{orderText.allDone}</End>
  if (plan.end === null) return <End>{orderText.noPlan}</End>
  return (
    <>
      <End data-testid="ends">{orderText.done(whenText(plan.end))}</End>
      <Soft>
        {plan.proven || plan.bound === null ? orderText.proven : orderText.bounded(whenText(plan.bound))}
      </Soft>
    </>
  )
}

/** What would bring the end forward, each tried whole before it is offered. */
function ForwardPart({ inHand }: { readonly inHand: WorkInHand }) {
  const { asked, plan, searching, work, change } = inHand
  const end = plan?.end ?? null
  const question = useMemo(() => ({ asked, end: end ?? 0 }), [asked, end])
  const wants = end !== null && !searching
  const { answer, searching: trying } = useWorkerAnswer(question, findForward, wants)
  if (end === null) return null
  return (
    <Sheet aria-label={orderText.forward}>
      <h2>{orderText.forward}</h2>
      {trying || searching ? <Soft role="status">{orderText.looking}</Soft> : null}
      {!trying && !searching && answer?.length === 0 ? <Soft>{orderText.noForward}</Soft> : null}
      {(trying || searching ? [] : (answer ?? [])).map(({ way, end: then, sooner }) => (
        <Spread key={way} data-way={way}>
          <span>
            <b>{forwardText(way)}</b>
            <br />
            {forwardEnd(then, sooner)}
          </span>
          <Button
            aria-label={`${orderText.take}: ${forwardText(way)}`}
            onPress={() => {
              const next = withWay(work, way)
              if (next) change(next)
            }}
          >
            {orderText.take}
          </Button>
        </Spread>
      ))}
    </Sheet>
  )
}
