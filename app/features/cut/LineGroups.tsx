import { useMemo } from 'react'
import { sawAdvice } from '~/core/cutting/batch'
import { lineOrder } from '~/core/cutting/lineOrder'
import { lineMarks } from '~/core/marks/lineMarks'
import { useWallEditor } from '~/editor/WallEditor'
import { groupText, linesText, stripName } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'

/** Which slants are one batch, which are measured, which are held up and marked; nothing where nothing is struck. */
export function LineGroups() {
  const { plan, workpiece, wording } = useWallEditor()
  const groups = useMemo(() => sawAdvice(plan, workpiece).groups(), [plan, workpiece])
  if (groups.length === 0) return null
  const order = lineOrder(
    plan.layout,
    plan.pieces,
    lineMarks(plan.layout, plan.pieces, workpiece.settings.tape),
  )
  return (
    <section aria-label={linesText.groups}>
      <h2>{linesText.groups}</h2>
      <ul>
        {groups.map((group) => (
          <li key={group.moveId}>
            <Fractions text={groupText(group, wording)} />
          </li>
        ))}
      </ul>
      <Soft>{linesText.direct}</Soft>
      <Fold title={linesText.order} aside={String(order.length)}>
        <Soft>{linesText.orderWhy}</Soft>
        <ol aria-label={linesText.order}>
          {order.map((id) => (
            <li key={id}>{stripName(id, wording)}</li>
          ))}
        </ol>
      </Fold>
    </section>
  )
}
