import { useRef } from 'react'
import { type JoinedRun, jointRows, moveJoint } from '~/core/cutting/joints'
import { DragHandle } from '~/drawing/interaction/DragHandle'
import type { Frame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'
import { useWallNow } from '~/editor/WallEditor'
import type { Pace } from '~/editor/wallStore'
import { formatLengthWithUnit, readOnTape, tickOf, toInches } from '~/length'
import { jointText, pieceName } from '~/messages'

/** The grips on the joints of level runs: dragged along, the boards follow. */
export function JointHandles({ frame }: { frame: Frame }) {
  const { plan, workpiece, wording, pull, hold, release } = useWallNow()
  const gripped = useRef(0)
  const tick = tickOf(workpiece.settings.tape)
  const runs = jointRows(workpiece, plan.layout, plan.pieces).filter(
    (row): row is JoinedRun => row.kind === 'run',
  )
  const move = (run: JoinedRun, index: number, to: number, pace: Pace) =>
    pull(moveJoint(run, index, readOnTape(to, workpiece.settings.tape).tick, workpiece), pace)
  return (
    <>
      {runs.flatMap((run) =>
        run.joints.map((joint, i) => (
          <DragHandle
            key={`${run.run} ${i}`}
            label={`${jointText.drag} ${i + 1} of ${pieceName({ stripId: run.stripId, part: { side: run.side, number: null } }, wording)}`}
            valueText={`${formatLengthWithUnit(joint.at, wording.format)} ${jointText.at}`}
            value={toInches(joint.at)}
            least={toInches(joint.least)}
            most={toInches(joint.most)}
            x={frame.toX(joint.point.x)}
            y={frame.toY(joint.point.y)}
            axis="x"
            palette={SCREEN}
            onGrip={() => {
              gripped.current = joint.at
              hold()
            }}
            onMove={(moved) => {
              if ('to' in moved) return move(run, i, moved.to === 'least' ? joint.least : joint.most, 'typed')
              if ('steps' in moved) return move(run, i, joint.at + moved.steps * tick, 'typed')
              move(run, i, gripped.current + moved.pixels / frame.scale, 'live')
            }}
            onRelease={release}
          />
        )),
      )}
    </>
  )
}
