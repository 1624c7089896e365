import { useState } from 'react'
import { wishOf } from '~/core/judgement/candidates'
import { cellChoices } from '~/core/patterns/cellShape'
import { useWallEditor } from '~/editor/WallEditor'
import { nearestNanometer } from '~/length'
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
  const { design } = workpiece.wall
  const { layout } = plan
  const [shape, setShape] = useState<Shape>('1')
  const border = design.border !== 'none'
  const { least, most } = wishOf(design, layout)
  const choices = cellChoices(
    nearestNanometer(layout.right - layout.left),
    nearestNanometer(layout.uprightHead - layout.uprightFoot),
    layout.stripWidth,
    border,
    Number(shape),
    { least, most },
  )
    .filter(({ columns }) => border || columns > 1)
    .slice(0, 4)
  return (
    <>
      <Sentence>
        Cells nearest to{' '}
        <Choice<Shape> word label="Shape of the cells" value={shape} options={SHAPES} onChange={setShape} />:
      </Sentence>
      <Row>
        {choices.map(({ columns, rows, width, height }) => (
          <EditButton
            key={`${columns} ${rows}`}
            edits={[
              {
                type: 'patchDesign',
                patch: {
                  rows: Array<number>(rows).fill(1),
                  spacing: {
                    school: 'equalByCount',
                    strips: border ? columns + 1 : columns - 1,
                    ends: border ? 'strip' : 'gap',
                  },
                },
              },
            ]}
          >
            <Fractions text={`${columns} by ${rows}, ${say(width, wording)} × ${say(height, wording)}`} />
          </EditButton>
        ))}
      </Row>
    </>
  )
}
