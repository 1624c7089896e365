import { Pause, Play } from 'lucide-react'
import { useMemo } from 'react'
import { countedOf } from '~/core/log/counted'
import { running, workedOnJob } from '~/core/log/worked'
import type { Task } from '~/core/sequence/task'
import type { WorkInHand } from '~/editor/work/useWork'
import { logText } from '~/messages'
import { Button } from '~/ui/Button'
import { NumberBox } from '~/ui/NumberBox'
import { Row } from '~/ui/page'

/** Starts and stops the clock of a task; or the time it took, typed afterwards. */
export function TaskClock({ task, inHand }: { readonly task: Task; readonly inHand: WorkInHand }) {
  const { acts, member, record, rooms, work } = inHand
  const runs = useMemo(() => running(workedOnJob(acts), task.id, member), [acts, task.id, member])
  const counted = () => countedOf(task, rooms, work)
  const Icon = runs ? Pause : Play
  return (
    <Row data-task-clock={task.id}>
      <Button
        onPress={() =>
          record(
            runs
              ? { kind: 'taskEnded', task: task.id, counted: counted() }
              : { kind: 'taskBegan', task: task.id },
          )
        }
      >
        <Icon size={18} aria-hidden /> {runs ? logText.stopTask : logText.startTask}
      </Button>
      <NumberBox
        label={logText.timeIt}
        value={null}
        most={6_000}
        onDone={(minutes) => {
          if (!minutes || minutes <= 0) return
          const to = Date.now()
          record({ kind: 'timed', task: task.id, from: to - minutes * 60_000, to, counted: counted() })
        }}
      />
    </Row>
  )
}
