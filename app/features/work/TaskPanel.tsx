import { Check, X } from 'lucide-react'
import { Link as RouterLink } from 'react-router'
import { styled } from 'styled-components'
import { countedOf } from '~/core/log/counted'
import type { PlannedTask } from '~/core/sequence/planWork'
import { unseen } from '~/core/sequence/workState'
import {
  CAUTION_ALWAYS,
  cautionText,
  checkText,
  durationText,
  orderText,
  productName,
  spanText,
  stepsText,
  taskName,
  toolText,
  waitName,
  whenText,
  whyText,
} from '~/messages'
import { Button } from '~/ui/Button'
import { NumberBox } from '~/ui/NumberBox'
import { Row, Sheet, Soft } from '~/ui/page'
import { Toggle } from '~/ui/Toggle'
import { space, type } from '~/ui/theme'
import { TaskClock } from './TaskClock'
import type { WorkInHand } from '~/editor/work/useWork'

const Head = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: ${space.m};
  align-items: center;
`
const Name = styled.h2`
  font-size: ${type.lead};
`
/** What is ticked one by one on the finish list of each wall. */
const FINISHING: readonly string[] = [
  'fill',
  'sandFill',
  'dust',
  'caulk',
  'aboveCoat',
  'fieldCoat',
  'trimCoat',
  'varnish',
  'paper',
  'plates',
  'touchUp',
]
const Link = styled(RouterLink)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
`
const Lines = styled.dl`
  display: grid;
  gap: ${space.s};
  & dt {
    font-size: ${type.small};
    font-weight: 600;
    color: var(--ink-soft);
  }
`
export const Caution = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border-left: 4px solid var(--rod-edge);
  background: var(--rod);
  color: var(--rod-ink);
  & p {
    font-size: ${type.body};
  }
`

/** Cautions of a task, each to be seen once by each of the crew on a job, before the task is ticked. */
export function Cautions({
  planned,
  inHand,
}: {
  readonly planned: PlannedTask
  readonly inHand: WorkInHand
}) {
  const { cautions } = planned.task
  const { state, record, member } = inHand
  if (cautions.length === 0) return null
  const open = unseen(state, cautions, member)
  return (
    <Caution role="note" aria-label={orderText.cautions} data-unseen={open.length}>
      {cautions.map((caution) => (
        <p key={caution}>{cautionText(caution)}</p>
      ))}
      <p>{CAUTION_ALWAYS}</p>
      {open.length > 0 ? (
        <Button
          $kind="main"
          onPress={() => open.forEach((caution) => record({ kind: 'cautionSeen', caution }))}
        >
          {orderText.seen}
        </Button>
      ) : null}
    </Caution>
  )
}

/** A task's tick; not before its cautions were seen. */
export function TaskTick({
  planned,
  inHand,
}: {
  readonly planned: PlannedTask
  readonly inHand: WorkInHand
}) {
  const { task, done } = planned
  const { state, record, member, places, at, rooms, work } = inHand
  const name = taskName(task, places)
  const isBarred = done === null && unseen(state, task.cautions, member).length > 0
  return (
    <Toggle
      aria-label={done === null ? orderText.tick(name) : orderText.untick(name)}
      isSelected={done !== null}
      isDisabled={isBarred}
      onChange={(is) =>
        record(
          is
            ? { kind: 'taskDone', task: task.id, at: at(), counted: countedOf(task, rooms, work) }
            : { kind: 'taskOpen', task: task.id },
        )
      }
    >
      {done === null ? null : <Check size={26} aria-hidden />}
    </Toggle>
  )
}

/** One task whole: when, how long, after what, with what, and what is to be looked at. */
export function TaskPanel({
  planned,
  inHand,
  onMove,
  onClose,
}: {
  readonly planned: PlannedTask
  readonly inHand: WorkInHand
  readonly onMove: (side: 'before' | 'after') => void
  readonly onClose: () => void
}) {
  const { task, done, sessions, minutes, critical } = planned
  const { work, change, record, state, member, places, plan, rooms } = inHand
  const name = taskName(task, places)
  const nameOf = (id: string) => {
    const found = plan?.tasks.find((each) => each.task.id === id)?.task
    return found ? taskName(found, places) : id
  }
  const isBarred = done === null && unseen(state, task.cautions, member).length > 0
  const facts = rooms.flatMap(({ walls }) => walls).find(({ wall }) => wall === task.wall)
  return (
    <Sheet aria-label={name} data-testid="task">
      <Head>
        <TaskTick planned={planned} inHand={inHand} />
        <Name>{name}</Name>
        <Button $kind="quiet" aria-label={orderText.closeTask} onPress={onClose}>
          <X size={20} aria-hidden />
        </Button>
      </Head>
      {isBarred ? <Soft>{orderText.seenFirst}</Soft> : null}
      {done === null ? <TaskClock task={task} inHand={inHand} /> : null}
      <Cautions planned={planned} inHand={inHand} />
      {done === null ? (
        <div>
          {sessions.map(({ id, start, end }, i) => (
            <p key={id}>
              {whenText(start)} – {durationText(end - start)}
              {sessions.length > 1 ? `, ${orderText.parts(i + 1, sessions.length)}` : ''}
            </p>
          ))}
          {critical ? <Soft>{orderText.tightNote}</Soft> : null}
        </div>
      ) : null}
      {done === null ? (
        <Row>
          <NumberBox
            label={orderText.takes}
            value={minutes}
            most={100_000}
            step={5}
            lay="above"
            onDone={(next) => record({ kind: 'takesLonger', task: task.id, minutes: next ?? task.minutes })}
          />
          <Soft>{orderText.planned(durationText(task.minutes))}</Soft>
        </Row>
      ) : null}
      {done === null ? (
        <Row>
          <Button onPress={() => onMove('before')}>{orderText.earlier}</Button>
          <Button onPress={() => onMove('after')}>{orderText.later}</Button>
          {task.kind === 'own' ? null : (
            <Button
              $kind="quiet"
              onPress={() => change({ own: { ...work.own, [task.id]: { minutes: null, skip: true } } })}
            >
              {orderText.skip}
            </Button>
          )}
        </Row>
      ) : null}
      {FINISHING.includes(task.kind) ? (
        <Row>
          {rooms
            .filter(({ id }) => id === task.room)
            .flatMap(({ walls }) => walls)
            .filter(({ pieces }) => pieces > 0)
            .map(({ wall, name: of }) => (
              <Link key={wall} to={`/jobs/${inHand.job}/walls/${wall}/finish`}>
                {orderText.finishOf(of)}
              </Link>
            ))}
        </Row>
      ) : null}
      <Lines>
        {facts && task.kind === 'fit' ? (
          <div>
            <dt>{orderText.steps}</dt>
            <dd>{stepsText(facts.steps)}</dd>
          </div>
        ) : null}
        {task.checks.length > 0 ? (
          <div>
            <dt>{orderText.checks}</dt>
            {task.checks.map((check) => (
              <dd key={check}>{checkText(check)}</dd>
            ))}
          </div>
        ) : null}
        {task.comes ? (
          <div>
            <dt>{orderText.deliveries}</dt>
            <dd>{orderText.comes(task.comes.name, task.comes.on)}</dd>
          </div>
        ) : null}
        {task.after.length > 0 ? (
          <div>
            <dt>{orderText.after}</dt>
            {task.after.map((before) => (
              <dd key={before.id}>
                {nameOf(before.id)}
                {before.wait > 0
                  ? `, ${spanText(before.wait * 60)}${before.for ? ` for ${waitName(before.for)}` : ''}`
                  : ''}
                : {whyText(before.why)}
              </dd>
            ))}
          </div>
        ) : null}
        {task.tools.length > 0 ? (
          <div>
            <dt>{orderText.tools}</dt>
            <dd>{task.tools.map(toolText).join(', ')}</dd>
          </div>
        ) : null}
        {task.supplies.length > 0 ? (
          <div>
            <dt>{orderText.supplies}</dt>
            <dd>{task.supplies.map(productName).join(', ').toLowerCase()}</dd>
          </div>
        ) : null}
      </Lines>
    </Sheet>
  )
}
