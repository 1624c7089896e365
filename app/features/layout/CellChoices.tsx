import { useState } from 'react'
import { cellWays } from '~/core/judgement/choices'
import { useWallEditor } from '~/editor/WallEditor'
import { say } from '~/messages'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { Sentence } from '~/ui/Sentence'
import { EditButton } from './EditButton'

const SHAPES = [
  { id: '1', text: 'square' },
  { id: '0.6667', text: 'upright, 2 to 3' },
  { id: '0.618', text: 'upright, the golden section' },
  { id: '0.5', text: 'upright, 1 to 2' },
  { id: '1.5', text: 'lying, 3 to 2' },
  { id: '2', text: 'lying, 2 to 1' },
] as const
type Shape = (typeof SHAPES)[number]['id']

/** Counts of columns and rows whose cells come nearest to a shape. */
export function CellChoices() {
  const { workpiece, plan, wording } = useWallEditor()
  const [shape, setShape] = useState<Shape>('1')
  const choices = cellWays(workpiece, plan.layout, Number(shape), 4)
  return (
    <>
      <Sentence>
        Cells nearest to{' '}
        <Choice<Shape> word label="Shape of the cells" value={shape} options={SHAPES} onChange={setShape} />:
      </Sentence>
      <Row>
        {choices.map(({ columns, rows, width, height, edits }) => (
          <EditButton key={`${columns} ${rows}`} edits={edits}>
            <Fractions text={`${columns} by ${rows}, ${say(width, wording)} × ${say(height, wording)}`} />
          </EditButton>
        ))}
      </Row>
    </>
  )
}
