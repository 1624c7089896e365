import { lineGroups } from '~/core/cutting/lineGroups'
import { useWallEditor } from '~/editor/WallEditor'
import { groupText, linesText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'

/** Which slants are one batch, which are measured, which are held up and marked; nothing where nothing is struck. */
export function LineGroups() {
  const { plan, workpiece, wording } = useWallEditor()
  const groups = lineGroups(plan.layout, plan.pieces, workpiece.settings.fit)
  if (groups.length === 0) return null
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
    </section>
  )
}
