import { useMemo } from 'react'
import { styled } from 'styled-components'
import { batchAdvice } from '~/core/cutting/batch'
import { rowFixings } from '~/core/cutting/fixing'
import { flatAdvice, type FlatAdvice } from '~/core/cutting/flat'
import { type CutRow as Row, isUpright, type Piece } from '~/core/pieces'
import { PiecePicture } from '~/drawing/view/PiecePicture'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import {
  batchText,
  capital,
  endCutName,
  fixingName,
  fixingText,
  flatAdviceText,
  lapTexts,
  materialName,
  notchText,
  pieceName,
  say,
  type Wording,
} from '~/messages'
import type { Workpiece } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { RowButton } from '~/ui/Table'
import { narrow, space, type } from '~/ui/theme'

/** On a phone a row is a card of a few lines: what it is and how long, its ends; the rest opens with a press. */
const Line = styled.tr`
  ${narrow} {
    && {
      display: grid;
      grid-template-columns: 48px minmax(0, 1fr) auto auto;
      align-items: center;
      gap: 2px ${space.s};
      padding: ${space.s} 0;
      border-bottom: 1px solid var(--line);
      font-size: ${type.body};
    }
    && > td,
    && > th {
      padding: 0;
      border: 0;
      white-space: normal;
      font-size: ${type.body};
    }
    && > td.number {
      font-size: ${type.title};
      font-weight: 750;
    }
    & > [data-part='piece'] {
      grid-column: 2;
    }
    & > [data-part='ends'],
    & > [data-part='how'] {
      grid-column: 2 / -1;
    }
    &:not([data-lit]) [data-more] {
      display: none;
    }
  }
`
const How = styled.td`
  & > [data-brief] {
    display: none;
    ${narrow} {
      display: inline;
    }
  }
`
const Small = styled.p`
  font-size: ${type.body};
  line-height: 1.35;
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

/** What is done about pieces that do not lie flat, those of one way together, told by the worst of them. */
function flatAlike(pieces: readonly Piece[], workpiece: Workpiece) {
  const groups = new Map<string, { advice: FlatAdvice; ids: string[] }>()
  for (const advice of flatAdvice(pieces, workpiece)) {
    const key = `${advice.behind.shape} ${advice.way} ${advice.tooFar}`
    const known = groups.get(key)
    const worst = known && known.advice.behind.depth >= advice.behind.depth ? known.advice : advice
    groups.set(key, { advice: worst, ids: [...(known?.ids ?? []), advice.pieceId] })
  }
  return [...groups.values()]
}

/** Equal pieces in one row: what they are, how long, how many, how their ends are cut, how they are measured and fixed. */
export function CutRow({
  row,
  pieces,
  longest,
}: {
  row: Row
  /** The pieces of this row. */
  pieces: readonly Piece[]
  longest: number
}) {
  const { plan, wording, workpiece, select } = useWallEditor()
  const selected = useSelected()
  const lit = pieces.some(({ stripId }) => stripId === selected)
  const [first] = pieces
  const batched = batchAdvice(row, plan.pieces, workpiece)
  const batch = batchText(batched, wording)
  const fixings = rowFixings(row, pieces, workpiece)
  const alike = useMemo(() => flatAlike(pieces, workpiece), [pieces, workpiece])
  const ways = [...new Set(fixings.map(({ advice }) => fixingName(advice.fixing)))]
  const pick = () => select(lit ? null : (first?.stripId ?? null))
  const square = row.start.kind === 'square' && row.end.kind === 'square'
  return (
    <Line
      role="row"
      data-pick
      data-row={row.label}
      data-pieces={row.pieceIds.join(' ')}
      data-lit={lit || undefined}
      onClick={pick}
    >
      <th role="rowheader" scope="row">
        <RowButton onPress={pick} aria-expanded={lit} aria-label={`Row ${row.label}`}>
          {row.label}
        </RowButton>
      </th>
      <td role="cell" data-part="piece">
        <PiecePicture card={row} longest={longest} width={150} />
        <Small>{rowNames(pieces, wording)}</Small>
        <Small>
          <Fractions text={materialName(row.materialId, wording)} />
        </Small>
      </td>
      <td role="cell" className="number">
        <Fractions text={say(row.cutLength, wording)} />
      </td>
      <td role="cell" className="number">
        × {row.pieceIds.length}
      </td>
      <td role="cell" data-part="ends">
        <Small>
          <Fractions
            text={
              square
                ? 'both square, 0°'
                : `${endCutName(row.start, row.faceWidth, wording)}; ${endCutName(row.end, row.faceWidth, wording)}`
            }
          />
        </Small>
        {lapTexts(row.laps, row.directionDeg, wording).map((text) => (
          <Small key={text} data-lap>
            <Fractions text={text} />
          </Small>
        ))}
        {row.notches.map((notch, i) => (
          <Small key={i} data-notch>
            <Fractions text={notchText(notch, row.directionDeg, wording)} />
          </Small>
        ))}
      </td>
      <How role="cell" data-part="how" data-batch={batched.advice}>
        <b>{batch.name}</b>
        <span data-brief> · {ways.join(' or ')}</span>
        <div data-more>
          <Small>
            <Fractions text={capital(batch.why)} />.
          </Small>
          {alike.map(({ advice, ids }) => (
            <Small key={ids[0]} data-flat-way={advice.way}>
              {ids.length < pieces.length ? (
                <b>
                  {rowNames(
                    pieces.filter(({ id }) => ids.includes(id)),
                    wording,
                  )}
                  :{' '}
                </b>
              ) : null}
              <Fractions text={flatAdviceText(advice, wording)} />
            </Small>
          ))}
          {fixings.map((fixing) => (
            <Small key={fixing.pieceIds[0]} data-fixing={fixing.advice.fixing}>
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
            </Small>
          ))}
        </div>
      </How>
    </Line>
  )
}
