// A process of its own beside the server: plans one wall after the other, says what each is and draws it small.
import { colorsOf } from '~/core/agree/wallColors'
import { computePlan } from '~/core/computePlan'
import { blocking } from '~/core/findings/surveyFindings'
import { buildScene } from '~/core/scene/buildScene'
import { pictureSvg } from '~/core/scene/pictureSvg'
import { layoutTitle } from '~/messages'
import { inForce, type Workpiece } from '~/model'
import { UP, type WallSaid } from './layoutWords.server'

function said(workpiece: Workpiece): WallSaid {
  const { units, tape, materials, fit } = workpiece.settings
  const { survey } = workpiece.wall
  const plan = computePlan(workpiece)
  return {
    words: layoutTitle(plan, { format: { units, tape }, materials }),
    picture: pictureSvg(
      buildScene(plan, survey),
      colorsOf(inForce(workpiece.wall.design), workpiece.settings),
    ),
    wrong: plan.findings.filter(({ stage, severity }) => stage === 'layout' && severity === 'wrong').length,
    open: blocking(plan.findings, survey, fit).length,
  }
}

process.on('message', ({ ticket, workpiece }: { ticket: number; workpiece: Workpiece }) => {
  try {
    process.send?.({ ticket, said: said(workpiece) })
  } catch {
    process.send?.({ ticket, said: null })
  }
})
// what it is asked counts from here on: to start takes its time on a machine that has much to do
process.send?.({ ticket: UP, said: null })
// a server that is gone, however it went, leaves nothing running
process.on('disconnect', () => process.exit())
