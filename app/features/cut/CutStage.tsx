import { styled } from 'styled-components'
import { batchAdvice } from '~/core/cutting/batch'
import { rowFixings } from '~/core/cutting/fixing'
import { BoardRows } from '~/editor/BoardRows'
import { ReadyToCut } from '~/editor/ReadyToCut'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Column, Heading, Side, Split } from '~/editor/Workbench'
import { isUpright, type Piece } from '~/core/pieces'
import { PiecePicture } from '~/drawing/view/PiecePicture'
import {
  batchText,
  capital,
  count,
  endCutName,
  fixingText,
  materialName,
  lapTexts,
  notchText,
  pieceName,
  say,
  WORK_CAUTIONS,
  type Wording,
} from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Soft } from '~/ui/page'
import { RowButton, Table } from '~/ui/Table'
import { narrow } from '~/ui/theme'
import { FixingChoice } from './FixingChoice'

const Wide = styled.div.attrs({ tabIndex: 0 })`
  overflow-x: auto;
  ${narrow} {
    & td:nth-last-child(-n + 2) {
      min-width: 220px;
    }
  }
`

/** Batten 1 to 11; or the names of the pieces in a row. */
function rowNames(pieces: readonly Piece[], w: Wording): string {
  const [first] = pieces
  const last = pieces[pieces.length - 1]
  if (!first || !last) return ''
  const inRow = pieces.every(({ number }, i) => number === first.number + i)
  const alike = pieces.every(({ role }) => role === first.role) && isUpright(first.role)
  if (pieces.length > 2 && inRow && alike) return `${capital(first.role)}s ${first.number} to ${last.number}`
  return pieces.map((piece) => pieceName(piece, w)).join(', ')
}

/** Stage: what to cut. */
export function CutStage() {
  const { plan, boards, wording, workpiece, select } = useWallEditor()
  const selected = useSelected()
  const longest = Math.max(1, ...plan.cutList.map(({ cutLength }) => cutLength))
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
  const several = boards.materials.length > 1
  return (
    <Split>
      <Column aria-label="Cut list">
        <ReadyToCut />
        <WallStage height="250px" />
        <Heading>
          <h1>Cut list, {count(plan.pieces.length, 'piece')}</h1>
          <p>Longest first. 0° on the saw is a square cut.</p>
        </Heading>
        <Wide>
          <Table>
            <thead>
              <tr>
                <th scope="col">Mark</th>
                <th scope="col">Piece</th>
                <th scope="col">Length</th>
                <th scope="col">How many</th>
                <th scope="col">Of</th>
                <th scope="col">Ends</th>
                <th scope="col">At the saw</th>
                <th scope="col">Fixing</th>
              </tr>
            </thead>
            <tbody>
              {plan.cutList.map((row) => {
                const pieces = row.pieceIds.flatMap((id) => byId.get(id) ?? [])
                const lit = pieces.some(({ stripId }) => stripId === selected)
                const [first] = pieces
                const batch = batchAdvice(row, plan.pieces, workpiece)
                const fixings = rowFixings(row, pieces, workpiece)
                return (
                  <tr
                    key={row.label}
                    data-pick
                    data-row={row.label}
                    data-pieces={row.pieceIds.join(' ')}
                    data-lit={lit || undefined}
                    onClick={() => select(first?.stripId ?? null)}
                  >
                    <th scope="row">
                      <RowButton
                        onPress={() => select(first?.stripId ?? null)}
                        aria-label={`Row ${row.label}`}
                      >
                        {row.label}
                      </RowButton>
                    </th>
                    <td>
                      <PiecePicture card={row} longest={longest} width={170} />
                      <br />
                      <small>{rowNames(pieces, wording)}</small>
                      {lapTexts(row.laps, row.directionDeg, wording).map((text) => (
                        <p key={text} data-lap>
                          <small>
                            <Fractions text={text} />
                          </small>
                        </p>
                      ))}
                      {row.notches.map((notch, i) => (
                        <p key={i} data-notch>
                          <small>
                            <Fractions text={notchText(notch, row.directionDeg, wording)} />
                          </small>
                        </p>
                      ))}
                    </td>
                    <td className="number">
                      <Fractions text={say(row.cutLength, wording)} />
                    </td>
                    <td className="number">× {row.pieceIds.length}</td>
                    <td>
                      <Fractions text={materialName(row.materialId, wording)} />
                    </td>
                    <td>
                      <small>
                        {row.start.kind === 'square' && row.end.kind === 'square'
                          ? 'both square, 0°'
                          : `${endCutName(row.start, row.faceWidth, wording)}; ${endCutName(row.end, row.faceWidth, wording)}`}
                      </small>
                    </td>
                    <td data-batch={batch.advice}>
                      <b>{batchText(batch, wording).name}</b>
                      <br />
                      <small>
                        <Fractions text={batchText(batch, wording).why} />
                      </small>
                    </td>
                    <td>
                      {fixings.map((fixing) => (
                        <p key={fixing.pieceIds[0]} data-fixing={fixing.advice.fixing}>
                          <small>
                            {fixings.length > 1 ? (
                              <b>
                                {rowNames(
                                  pieces.filter(({ id }) => fixing.pieceIds.includes(id)),
                                  wording,
                                )}
                                :{' '}
                              </b>
                            ) : null}
                            <Fractions text={fixingText(fixing, wording)} />
                          </small>
                        </p>
                      ))}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </Table>
        </Wide>
        <ul aria-label="Cautions">
          {WORK_CAUTIONS.map((caution) => (
            <li key={caution}>
              <Soft>{caution}</Soft>
            </li>
          ))}
        </ul>
      </Column>
      <Side aria-label="Boards">
        <FixingChoice />
        <h2>From which board</h2>
        {boards.materials.map(({ request, result }) =>
          result.ok ? (
            <section key={request.materialId}>
              {several ? <h3>{materialName(request.materialId, wording)}</h3> : null}
              <BoardRows plan={result.value} />
            </section>
          ) : null,
        )}
        {boards.materials.length === 0 ? <Soft>No pieces yet.</Soft> : null}
      </Side>
    </Split>
  )
}
