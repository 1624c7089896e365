import {
  copeAllRound,
  fittingOrder,
  type Joint,
  JOINTS,
  jointOf,
  jointsOf,
  type RoomWall,
} from '~/core/room/fittingOrder'
import { cornerOf } from '~/core/layout/corners'
import { cornerAngleText, fittingStepText, jointName, jointTroubleText, stuckText } from '~/messages'
import type { Design } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Alert, Row, Sheet, Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import type { Room } from './useRoom'

/** How the horizontals meet in each corner of the room, and what goes on first. */
export function CornersPanel({ room }: { room: Room }) {
  const walls = room.walls.map(({ id, workpiece }): RoomWall => ({ id, ...workpiece.wall.design.corners }))
  const joints = jointsOf(walls)
  const { steps, stuck } = fittingOrder(walls)
  const nameOf = (id: string) => room.walls.find((wall) => wall.id === id)?.name ?? id
  const wallOf = (id: string) => room.walls.find((wall) => wall.id === id)
  const put = (changes: readonly { id: string; corners: Partial<Design['corners']> }[]) => {
    const edits = new Map<string, { type: 'patchDesign'; patch: Partial<Design> }[]>()
    for (const { id, corners } of changes) {
      const now = edits.get(id)?.[0]?.patch.corners ?? wallOf(id)?.workpiece.wall.design.corners
      if (now) edits.set(id, [{ type: 'patchDesign', patch: { corners: { ...now, ...corners } } }])
    }
    void room.edit(edits)
  }
  const copeAll = () =>
    put(copeAllRound(walls.length).flatMap((corners, i) => (walls[i] ? [{ id: walls[i].id, corners }] : [])))
  if (joints.length === 0)
    return <Soft>A corner needs two walls. Add the wall beside this one to the room.</Soft>
  return (
    <Sheet aria-label="Corners">
      <h2>Corners, and what goes on first</h2>
      <Row>
        <Button onPress={copeAll}>Cope all round</Button>
        <Button
          onPress={() => put(walls.map(({ id }) => ({ id, corners: { left: 'miter', right: 'miter' } })))}
        >
          Mitre all round
        </Button>
      </Row>
      <Table>
        <thead>
          <tr>
            <th scope="col">Corner</th>
            <th scope="col">Read</th>
            <th scope="col">Horizontals there</th>
          </tr>
        </thead>
        <tbody>
          {joints.map(({ leftWall, rightWall, ends, trouble }) => {
            const survey = wallOf(leftWall)?.workpiece.wall.survey
            const other = wallOf(rightWall)?.workpiece.wall.survey
            const read = survey ? cornerOf(survey, 'right') : null
            const fromOther = other ? cornerOf(other, 'left') : null
            const corner = read?.measured ? read : (fromOther ?? read)
            const joint = jointOf(ends)
            return (
              <tr key={`${leftWall} ${rightWall}`}>
                <th scope="row">
                  {nameOf(leftWall)} | {nameOf(rightWall)}
                </th>
                <td>{corner ? cornerAngleText(corner) : ''}</td>
                <td>
                  <Choice<Joint | 'own'>
                    label={`${nameOf(leftWall)} and ${nameOf(rightWall)} meet`}
                    value={joint ?? 'own'}
                    options={[
                      ...(joint === null ? [{ id: 'own' as const, text: 'not settled' }] : []),
                      ...(Object.keys(JOINTS) as Joint[]).map((id) => ({
                        id,
                        text: jointName(id, nameOf(leftWall), nameOf(rightWall)),
                      })),
                    ]}
                    onChange={(id) => {
                      if (id === 'own') return
                      put([
                        { id: leftWall, corners: { right: JOINTS[id][0] } },
                        { id: rightWall, corners: { left: JOINTS[id][1] } },
                      ])
                    }}
                  />
                  {trouble ? <Soft>{jointTroubleText(trouble)}</Soft> : null}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Table>
      {stuck.length > 0 ? (
        <Alert role="alert">
          {stuckText(stuck.map(nameOf))}
          <span>
            <Button onPress={copeAll}>Let {nameOf(walls[0]?.id ?? '')} run at both ends</Button>
          </span>
        </Alert>
      ) : (
        <ol aria-label="Order of fitting">
          {steps.map((step, i) => (
            <li key={step.wallId}>{fittingStepText(step, i, walls, nameOf)}</li>
          ))}
        </ol>
      )}
    </Sheet>
  )
}
