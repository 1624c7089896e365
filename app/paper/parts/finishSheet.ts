import { pulledOff } from '~/core/asbuilt/pulledOff'
import { finishList } from '~/core/finish/finishList'
import { finishDone } from '~/core/finish/finishState'
import { finishHow, finishText, finishWords, paperText } from '~/messages'
import type { Flow } from '../pdf/flow'
import type { PlannedWall } from '../paperJob'

/** What finishes a wall, in order, with what dries first; what was ticked already has no box. */
export function finishSheet(flow: Flow, { plan, workpiece, wording, wall, roomName }: PlannedWall): void {
  flow.page(paperText.headOf(wall.name, paperText.parts.finish), roomName)
  const items = finishList(workpiece, plan, pulledOff(wall.acts))
  if (items.length === 0) return flow.para(finishWords.none)
  const done = finishDone(wall.acts)
  const { paints } = workpiece.settings
  const textOf = (id: string) => {
    const item = items.find((each) => each.id === id)
    return item ? finishText(item.what, wording, paints) : id
  }
  flow.para(finishWords.caution, { size: 8.5 })
  flow.table(
    paperText.finishColumns.map((name, i) => ({
      name,
      share: [0.3, 4, 3][i] ?? 1,
      tick: i === 0,
    })),
    items.map(({ id, what, told, after }) => {
      const how = finishHow(what)
      return [
        told || done.has(id) ? '' : ' ',
        `${textOf(id)}${how ? ` ${how}` : ''}`,
        after
          ? after.wait > 0
            ? paperText.wait(after.wait, textOf(after.id))
            : paperText.after(textOf(after.id))
          : '',
      ]
    }),
  )
}
