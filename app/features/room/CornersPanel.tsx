import {
  copeAllRound,
  cornerPlaces,
  fittingOrder,
  type Joint,
  JOINTS,
  jointOf,
  jointsOf,
  wallsAsMet,
} from '~/core/room/fittingOrder'
import { cornerOf } from '~/core/layout/corners'
import {
  cornerAngleText,
  fittingStepText,
  jointName,
  jointTroubleText,
  roomNotes,
  stuckText,
  turnName,
} from '~/messages'
import { type Design, type Turn, TURNS } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Alert, Row, Sheet, Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { narrow } from '~/ui/theme'
import { styled } from 'styled-components'
import type { Room } from './useRoom'

/** On a phone each corner is a few lines. */
const Corners = styled(Table)`
  ${narrow} {
    & thead {
      display: none;
    }
    &,
    & tbody,
    & tr,
    & th,
    & td {
      display: block;
      padding-inline: 0;
      white-space: normal;
    }
  }
`

const SQUARE_ROOM = { left: 'inside', right: 'inside' } as const

/** How the horizontals meet in each corner of the room, and what goes on first. */
export function CornersPanel({ room }: { room: Room }) {
  const walls = wallsAsMet(room.walls)
  const places = cornerPlaces(walls)
  const joints = jointsOf(walls)
  const { steps, stuck } = fittingOrder(walls)
  const nameOf = (id: string) => room.walls.find((wall) => wall.id === id)?.name ?? id
  const wallOf = (id: string) => room.walls.find((wall) => wall.id === id)
  const put = (changes: readonly { id: string; corners: Partial<Design['corners']> }[]) => {
    const edits = new Map<string, { type: 'patchDesign'; patch: Partial<Design> }[]>()
    for (const { id, corners } of changes) {
      const now = edits.get(id)?.[0]?.patch.corners ?? wallOf(id)?.workpiece.wall.design.own.corners
      if (now) edits.set(id, [{ type: 'patchDesign', patch: { corners: { ...now, ...corners } } }])
    }
    void room.edit(edits)
  }
  const copeAll = () =>
    put(copeAllRound(walls.length).flatMap((corners, i) => (walls[i] ? [{ id: walls[i].id, corners }] : [])))
  const turn = (leftWall: string, rightWall: string, to: Turn) =>
    void room.edit(
      new Map(
        [
          { id: leftWall, side: 'right' as const },
          { id: rightWall, side: 'left' as const },
        ].map(({ id, side }) => [
          id,
          [
            {
              type: 'patchSurvey' as const,
              patch: {
                turns: { ...(wallOf(id)?.workpiece.wall.survey.turns ?? SQUARE_ROOM), [side]: to },
                // an angle read for another turn is none for this one
                readings: (wallOf(id)?.workpiece.wall.survey.readings ?? []).filter(
                  (reading) =>
                    reading.kind !== (side === 'left' ? 'cornerLeft' : 'cornerRight') || reading.turn === to,
                ),
              },
            },
          ],
        ]),
      ),
    )
  if (walls.length < 2) return <Soft>{roomNotes.oneWall}</Soft>
  return (
    <Sheet aria-label="Corners">
      <h2>Corners, and what goes on first</h2>
      <Row>
        <Button onPress={copeAll}>Cope all round</Button>
        <Button
          onPress={() => put(walls.map(({ id }) => ({ id, corners: { left: 'miter', right: 'miter' } })))}
        >
          Miter all round
        </Button>
      </Row>
      <Corners>
        <thead>
          <tr>
            <th scope="col">Corner</th>
            <th scope="col">Turns</th>
            <th scope="col">Horizontals there</th>
          </tr>
        </thead>
        <tbody>
          {places.map(({ leftWall, rightWall, turn: turned }) => {
            const met = joints.find((each) => each.leftWall === leftWall && each.rightWall === rightWall)
            const survey = wallOf(leftWall)?.workpiece.wall.survey
            const other = wallOf(rightWall)?.workpiece.wall.survey
            const read = survey ? cornerOf(survey, 'right') : null
            const fromOther = other ? cornerOf(other, 'left') : null
            const corner = read?.measured ? read : (fromOther ?? read)
            const joint = met ? jointOf(met.ends) : null
            return (
              <tr key={`${leftWall} ${rightWall}`}>
                <th scope="row">
                  {nameOf(leftWall)} | {nameOf(rightWall)}
                </th>
                <td>
                  <Choice<Turn>
                    label={`${nameOf(leftWall)} and ${nameOf(rightWall)} turn`}
                    value={turned}
                    options={TURNS.map((id) => ({ id, text: turnName(id) }))}
                    onChange={(to) => turn(leftWall, rightWall, to)}
                  />
                  {corner && met ? <Soft>{cornerAngleText({ ...corner, turn: turned })}</Soft> : null}
                </td>
                <td>
                  {met ? (
                    <Choice<Joint | 'own'>
                      label={`${nameOf(leftWall)} and ${nameOf(rightWall)} meet`}
                      value={joint ?? 'own'}
                      options={[
                        ...(joint === null ? [{ id: 'own' as const, text: 'not settled' }] : []),
                        ...(Object.keys(JOINTS) as Joint[])
                          .filter((id) => turned === 'inside' || !JOINTS[id].includes('cope' as never))
                          .map((id) => ({
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
                  ) : (
                    <Soft>{roomNotes.nothingRuns}</Soft>
                  )}
                  {met?.trouble ? <Soft>{jointTroubleText(met.trouble)}</Soft> : null}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Corners>
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
