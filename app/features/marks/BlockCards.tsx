import { styled } from 'styled-components'
import { blockCards } from '~/core/marks/blocks'
import { useWallEditor } from '~/editor/WallEditor'
import { blockDatumText, blocksText as text, blockText, capital } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { space, type } from '~/ui/theme'
import { Reading } from './Reading'

const Cards = styled.section`
  display: grid;
  gap: ${space.s};
`

/** It stands in the narrow column beside the wall. */
const Narrow = styled(Table)`
  & th {
    white-space: normal;
  }
  & th > small {
    display: block;
    font-size: ${type.small};
    font-weight: 400;
  }
`

/** The blocks that hold heights and margins, a card for each thing they stand on. */
export function BlockCards() {
  const { plan, workpiece, wording } = useWallEditor()
  const cards = blockCards(plan.layout, workpiece.settings.tape)
  const floorComes = workpiece.wall.survey.floorToCome !== null
  return (
    <Cards aria-label={text.title}>
      <h2>{text.title}</h2>
      <Soft>{cards.length === 0 ? text.none : text.lead}</Soft>
      {cards.map(({ datum, blocks }) => (
        <Narrow key={datum.kind === 'band' ? datum.bandId : datum.kind} data-block-card={datum.kind}>
          <caption>{blockDatumText(datum, floorComes, wording)}</caption>
          <tbody>
            {blocks.map((block) => (
              <tr key={block.id} data-block={block.kind}>
                <th scope="row">
                  {capital(blockText(block, wording))}
                  {block.falls > workpiece.settings.fit ? (
                    <Soft as="small">
                      <Fractions text={text.falls(block.falls, wording)} />
                    </Soft>
                  ) : null}
                </th>
                <td>
                  <Reading reading={block.length} />
                </td>
              </tr>
            ))}
          </tbody>
        </Narrow>
      ))}
    </Cards>
  )
}
