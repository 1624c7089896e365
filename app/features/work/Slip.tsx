import { useMemo } from 'react'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { orderText, taskName, whenText } from '~/messages'
import { Soft } from '~/ui/page'
import { findPlan } from '~/workers/workClient'
import type { WorkInHand } from '~/editor/work/useWork'

/** What the last task that takes longer does to the end: the same plan without it stands beside it. */
export function Slip({ inHand }: { readonly inHand: WorkInHand }) {
  const { asked, acts, plan, searching, places } = inHand
  const last = [...acts].sort((a, b) => a.doneAt - b.doneAt).findLast((act) => act.kind === 'takesLonger')
  const question = useMemo(
    () => ({ ...asked, acts: asked.acts.filter(({ id }) => id !== last?.id) }),
    [asked, last?.id],
  )
  const task = plan?.tasks.find((each) => last?.kind === 'takesLonger' && each.task.id === last.task)
  const isOpen = task !== undefined && task.done === null
  const { answer, searching: looking } = useWorkerAnswer(question, findPlan, isOpen && !searching)
  if (!task || !isOpen || looking || searching || !answer || answer.end === null || plan?.end == null)
    return null
  const name = taskName(task.task, places)
  return (
    <Soft role="status" data-testid="slip">
      {name}:{' '}
      {plan.end === answer.end
        ? orderText.slipSame(whenText(plan.end))
        : orderText.slipEnd(whenText(plan.end), whenText(answer.end))}
    </Soft>
  )
}
