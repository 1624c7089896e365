import { styled } from 'styled-components'
import { lineChecks, lineMarks } from '~/core/marks/lineMarks'
import { useWallEditor } from '~/editor/WallEditor'
import { lineMarkText as text, linesText, markedOnText, sayWithUnit, stripName } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { Table } from '~/ui/Table'
import { space } from '~/ui/theme'
import { Reading } from './Reading'

const Section = styled.section`
  display: grid;
  gap: ${space.s};
`

/** It stands in the narrow column beside the wall: what the tape shows besides the tick stands below the figure. */
const Narrow = styled(Table)`
  & td small {
    display: block;
  }
`

/** The two marks of each struck strip, on whatever it lands on, running from one datum; the blocks between; what to check. */
export function LineMarks() {
  const { plan, workpiece, wording, select } = useWallEditor()
  const { tape } = workpiece.settings
  const groups = lineMarks(plan.layout, plan.pieces, tape)
  if (groups.length === 0) return null
  const checks = lineChecks(plan.layout, plan.pieces, tape)
  const straight = checks.filter(({ straightedge }) => straightedge)
  const square = checks.filter(({ squareTo }) => squareTo !== null)
  return (
    <Section aria-label={text.title}>
      <h2>{text.title}</h2>
      <Soft>{text.lead}</Soft>
      {groups.map(({ on, marks, spacer }) => {
        const key =
          on.kind === 'side' ? on.side : on.kind === 'middle' ? 'middle' : `${on.stripId} ${on.face}`
        return (
          <div key={key} data-marks-on={key}>
            <Narrow>
              <caption>{markedOnText(on, wording)}</caption>
              <thead>
                <tr>
                  <th scope="col">{text.line}</th>
                  <th scope="col">{text.from}</th>
                  <th scope="col">{text.to}</th>
                </tr>
              </thead>
              <tbody>
                {marks.map(({ pieceId, stripId, end, near, far }) => (
                  <tr key={`${pieceId} ${end} ${near.exact}`} onClick={() => select(stripId)}>
                    <th scope="row">{stripName(stripId, wording)}</th>
                    <td>
                      <Reading reading={near} />
                    </td>
                    <td>
                      <Reading reading={far} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </Narrow>
            {spacer ? (
              <p>
                <Fractions
                  text={text.spacer(
                    sayWithUnit(spacer.along.tick, wording),
                    sayWithUnit(spacer.square.tick, wording),
                  )}
                />
              </p>
            ) : null}
          </div>
        )
      })}
      <Soft>{linesText.paint}</Soft>
      <Fold title={text.checks} aside={String(checks.length)}>
        <ul>
          {checks.map(({ pieceId, stripId, diagonal }) => (
            <li key={pieceId}>
              <Fractions
                text={text.diagonal(stripName(stripId, wording), sayWithUnit(diagonal.tick, wording))}
              />
            </li>
          ))}
        </ul>
        {straight.length > 0 ? (
          <p>{text.straightedge([...new Set(straight.map(({ stripId }) => stripName(stripId, wording)))])}</p>
        ) : null}
        {square.length > 0 ? (
          <p>
            {text.square(
              square.map(({ stripId, squareTo }) => [
                stripName(stripId, wording),
                stripName(squareTo ?? '', wording).toLowerCase(),
              ]),
            )}
          </p>
        ) : null}
      </Fold>
    </Section>
  )
}
