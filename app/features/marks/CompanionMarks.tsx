import { styled } from 'styled-components'
import { placeArch } from '~/core/companions/arch'
import { placeRow } from '~/core/companions/itemRow'
import { useWallEditor } from '~/editor/WallEditor'
import { readOnTape } from '~/length'
import { archText, companionsText as text, rowKindName, rowText } from '~/messages'
import { inForce } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { space } from '~/ui/theme'
import { Reading } from './Reading'

const Section = styled.section`
  display: grid;
  gap: ${space.s};
`

/** How arches are struck on this wall, and where the items of a row hang. */
export function CompanionMarks() {
  const { plan, workpiece, wording } = useWallEditor()
  const { arches, rows } = inForce(workpiece.wall.design).companions
  const { tape } = workpiece.settings
  const { layout, pieces } = plan
  return (
    <>
      {arches.map((arch, i) => {
        const placed = placeArch(arch, layout)
        return placed ? (
          <Section key={arch.id} aria-label={text.arch(i + 1)}>
            <h2>{text.arch(i + 1)}</h2>
            <p>
              <Fractions text={archText(placed, wording)} />
            </p>
            <Table>
              <caption>{text.offsets}</caption>
              <thead>
                <tr>
                  <th scope="col">{text.fromMiddle}</th>
                  <th scope="col">{text.overSpring}</th>
                </tr>
              </thead>
              <tbody>
                {placed.offsets.map(({ from, height }) => (
                  <tr key={from}>
                    <th scope="row">
                      <Reading reading={readOnTape(from, tape)} />
                    </th>
                    <td>
                      <Reading reading={readOnTape(height, tape)} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
            <Soft>{text.strike}</Soft>
          </Section>
        ) : null
      })}
      {rows.map((row, i) => {
        const placed = placeRow(row, layout, pieces, (id) => layout.materials.get(id)?.thickness ?? 0)
        return placed ? (
          <Section key={row.id} aria-label={text.row(i + 1)}>
            <h2>{text.row(i + 1)}</h2>
            <p>
              <Fractions text={rowText(placed, wording)} />
            </p>
            <Table>
              <caption>{text.lefts(rowKindName(row.kind))}</caption>
              <tbody>
                {placed.items.map(({ name, left, width, lies }, k) => (
                  <tr key={k}>
                    <th scope="row">{name}</th>
                    <td>
                      <Reading reading={readOnTape(left, tape)} />
                    </td>
                    <td>
                      <Reading reading={readOnTape(left + width, tape)} />
                    </td>
                    <td>{lies === 'bridges' ? text.packed : ''}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </Section>
        ) : null
      })}
    </>
  )
}
