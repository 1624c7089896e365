import { colorsOf, isPainted } from '~/core/agree/wallColors'
import { PRINT } from '~/drawing/view/palette'
import { WallDrawing } from '~/drawing/view/WallDrawing'
import { capital, closingText, layoutTitle, paperText, thingCalled, thingPlace } from '~/messages'
import { inForce } from '~/model'
import type { Flow } from '../pdf/flow'
import { drawPicture } from '../pdf/picture'
import type { PlannedWall } from '../paperJob'

const SIZE = 9
/** A drawing lower than this can't be read: it goes on a page of its own. */
const LEAST = 260
/** More things than this are listed on the next sheet. */
const MOST_BESIDE = 7

/** The wall on a sheet turned on its side: the drawing with its dimensions, what it closes on, what is on the wall and how it is painted. */
export function wallSheet(flow: Flow, planned: PlannedWall): void {
  const { plan, scene, dimensions, wording, wall, workpiece } = planned
  flow.page(paperText.headOf(wall.name, paperText.parts.wall), layoutTitle(plan, wording), true)
  const { width } = flow
  // what is said under it, and a short list of what is on the wall, stand on the same sheet
  const things = Math.min(wall.survey.things.length, MOST_BESIDE)
  const height = Math.max(LEAST, flow.left() - 74 - (things > 0 ? 48 + things * 16 : 0))
  flow.draw(height, (x, y) =>
    drawPicture(
      flow.pdf,
      { width, height },
      x,
      y,
      <WallDrawing
        scene={scene}
        dimensions={dimensions}
        palette={PRINT}
        width={width}
        height={height}
        size={SIZE}
        behind
      />,
    ),
  )
  flow.para(paperText.dimensionsNote(planned.marking.datum), { size: 8.5, color: '#333333' })
  flow.para(closingText(plan, wording))
  const colors = colorsOf(inForce(workpiece.wall.design), workpiece.settings)
  if (isPainted(colors))
    flow.para(
      paperText.painted(
        (['trim', 'field', 'above', 'plates'] as const).flatMap((use) => {
          const paint = colors[use]
          return paint ? [{ use, name: paint.name }] : []
        }),
      ),
    )
  if (wall.survey.things.length > 0)
    flow.table(
      paperText.thingColumns.map((name, i) => ({ name, share: i === 0 ? 1 : 3, bold: i === 0 })),
      wall.survey.things.map((thing) => [
        capital(thingCalled(wording, thing.id, thing.kind)),
        thingPlace(thing, wording),
      ]),
      paperText.things,
    )
}
