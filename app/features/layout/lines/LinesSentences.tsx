import { useState } from 'react'
import { styled } from 'styled-components'
import { addMove, newMove } from '~/core/edits/lineMoves'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { fullText, linesText as text, materialName, moveName } from '~/messages'
import { type Design, inForce, LIMITS, MOVE_KINDS } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Row, Soft } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { space } from '~/ui/theme'
import { searchMoveCosts } from '~/workers/proposalsClient'
import { SpacingSentence } from '../SpacingSentence'
import { MoveClause } from './MoveClause'
import { useMoves } from './useMoves'
import { useAskedOfWall } from '../useAskedOfWall'

const List = styled.ol`
  display: grid;
  gap: ${space.m};
  list-style: none;
  padding: 0;
  margin: ${space.s} 0;
`

/** The frame, and the uprights in it: what stands before the first move. */
function FrameWords() {
  const { workpiece, wording, edit, lines, patch } = useMoves()
  const design = inForce(workpiece.wall.design)
  const change = (next: Partial<Design>) => edit([{ type: 'patchDesign', patch: next }], 'done')
  return (
    <>
      <Sentence>
        Inside{' '}
        <Choice
          word
          label="Frame"
          value={design.border}
          options={[
            { id: 'miter', text: 'a frame mitered at the corners' },
            { id: 'butt', text: 'a frame butted at the corners' },
            { id: 'threeSided', text: 'a frame on three sides, butted', hint: 'none at the foot' },
            {
              id: 'threeSidedMiter',
              text: 'a frame on three sides, its head mitered',
              hint: 'none at the foot',
            },
            { id: 'none', text: 'no frame', hint: 'the wall bounds the lines' },
          ]}
          onChange={(border) => change({ border })}
        />
        {lines.uprights ? null : (
          <>
            {' '}
            of{' '}
            <Choice
              word
              label="Material of the frame"
              value={design.battenMaterial}
              options={workpiece.settings.materials.map(({ id }) => ({
                id,
                text: materialName(id, wording),
              }))}
              onChange={(battenMaterial) => change({ battenMaterial })}
            />
          </>
        )}
        , with{' '}
        <Choice
          word
          label="Uprights"
          value={lines.uprights ? 'some' : 'none'}
          options={[
            { id: 'none', text: 'no uprights' },
            { id: 'some', text: 'uprights that make bays' },
          ]}
          onChange={(id) => patch({ uprights: id === 'some' })}
        />
        .
      </Sentence>
      {lines.uprights ? <SpacingSentence /> : null}
    </>
  )
}

/** A design in lines as it is run: frame and uprights, then one clause for each move. */
export function LinesSentences() {
  const { workpiece, edit, lines } = useMoves()
  // what each move costs is worked out once somebody wants to know
  const [asked, setAsked] = useState(false)
  const { answer: costs } = useWorkerAnswer(
    useAskedOfWall(),
    searchMoveCosts,
    asked && lines.moves.length > 0,
  )
  const full = lines.moves.length >= LIMITS.moves
  return (
    <>
      <FrameWords />
      <h3>{text.title}</h3>
      {lines.moves.length === 0 ? <Soft>{text.none}</Soft> : null}
      <List aria-label={text.title}>
        {lines.moves.map((move, i) => (
          <MoveClause
            key={move.id}
            move={move}
            nth={i + 1}
            cost={costs?.find(({ moveId }) => moveId === move.id) ?? null}
          />
        ))}
      </List>
      <Row>
        <Choice
          label={text.add}
          value=""
          shown={text.add}
          options={full ? [] : MOVE_KINDS.map((kind) => ({ id: kind as string, text: moveName(kind) }))}
          onChange={(id) => {
            const kind = MOVE_KINDS.find((each) => each === id)
            if (kind) edit(addMove(workpiece, newMove(kind, lines)), 'done')
          }}
        />
        {asked || lines.moves.length === 0 ? null : (
          <Button onPress={() => setAsked(true)}>What does each move cost?</Button>
        )}
      </Row>
      {full ? <Soft>{fullText('moves')}</Soft> : null}
    </>
  )
}
