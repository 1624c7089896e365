import { colorsOf } from '~/core/agree/wallColors'
import { optionFigures } from '~/core/agree/optionFigures'
import { fitFrame } from '~/drawing/view/frame'
import { PRINT } from '~/drawing/view/palette'
import { paintedPalette } from '~/drawing/view/painted'
import { SceneView } from '~/drawing/view/SceneView'
import { agreeText, figureText, layoutTitle, paperText, wallSizeText } from '~/messages'
import { inForce } from '~/model'
import type { Flow } from '../pdf/flow'
import { drawPicture } from '../pdf/picture'
import { type PaperJob, pacedWork, type PlannedWall } from '../paperJob'

const NONE: ReadonlySet<string> = new Set()
const HIGHEST = 225

/** What a client looks at: each wall in its colors, what it becomes in a few words, and what it comes to. */
export function clientSheet(flow: Flow, walls: readonly PlannedWall[], job: PaperJob): void {
  const { work } = pacedWork(job)
  flow.page(job.name, '')
  flow.para(paperText.clientLead(job.client))
  for (const { plan, scene, wall, workpiece, wording } of walls) {
    const { width } = flow
    const height = Math.min(HIGHEST, (width * scene.height) / Math.max(1, scene.width)) + 12
    flow.room(height + 70)
    flow.heading(wall.name)
    flow.draw(height, (x, y) => {
      const frame = fitFrame({ width, height }, scene, { left: 4, right: 4, top: 4, bottom: 4 })
      const palette = paintedPalette(PRINT, colorsOf(inForce(workpiece.wall.design), workpiece.settings))
      drawPicture(
        flow.pdf,
        { width, height },
        x,
        y,
        <SceneView scene={scene} frame={frame} palette={palette} selected={null} flagged={NONE} />,
      )
    })
    const { survey } = wall
    flow.para(`${layoutTitle(plan, wording)}. ${wallSizeText(survey, wording)}.`)
    const figures = optionFigures({ ...workpiece, settings: { ...workpiece.settings, work } }, plan)
    flow.para(
      [
        `${agreeText.figures.cost}: ${figureText('cost', figures, wording)}`,
        `${agreeText.figures.supplies}: ${figureText('supplies', figures, wording)}`,
        `${agreeText.figures.hours}: ${figureText('hours', figures, wording)}`,
      ].join(' · '),
    )
  }
  flow.para(paperText.clientNote, { size: 8.5, color: '#333333' })
}
