import { useMemo } from 'react'
import { type FlatAdvice, flatAdvice } from '~/core/cutting/flat'
import { rowFixings } from '~/core/cutting/fixing'
import type { CutCard } from '~/core/cutting/cutCards'
import { isSmall, type Piece } from '~/core/pieces'
import { useWallEditor } from '~/editor/WallEditor'
import {
  batchText,
  capital,
  creepText,
  edgesText,
  endCutName,
  endSettingText,
  fixingText,
  flatAdviceText,
  lapTexts,
  notchText,
  otherWayText,
  ripText,
  SMALL_PIECE_CAUTION,
  taperText,
  workText,
  rowNames,
} from '~/messages'
import type { Workpiece } from '~/model'
import { Fractions } from '~/ui/Fractions'
import { Small } from './Small'

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

/** How a card is cut, in lines: its two ends on the saw's scale, how else where the saw does not reach, what is done to it besides. */
export function CardCuts({ card }: { card: CutCard }) {
  const { wording } = useWallEditor()
  const { row, start, end } = card
  const edges = edgesText(row, wording)
  const others = [...start, ...end].flatMap(({ other }) => (other ? [other] : []))
  return (
    <>
      {card.rip ? (
        <Small data-rip>
          <Fractions text={ripText(card.rip, wording)} />
        </Small>
      ) : null}
      <Small data-ends>
        <Fractions
          text={`${capital(endCutName(row.start, row.faceWidth, wording))}; ${endCutName(row.end, row.faceWidth, wording)}`}
        />
      </Small>
      <Small data-saw>
        On the saw, start: <b>{endSettingText(start)}</b>, end: <b>{endSettingText(end)}</b>.
      </Small>
      {edges ? (
        <Small data-edges>
          <Fractions text={`${capital(edges)}.`} />
        </Small>
      ) : null}
      {others.length > 0 ? (
        <Small data-other-way>
          <Fractions text={`${capital(otherWayText(others[0] ?? { way: 'mate' }))}.`} />
        </Small>
      ) : null}
      {lapTexts(row.laps, row.directionDeg, wording).map((text) => (
        <Small key={text} data-lap>
          <Fractions text={text} />
        </Small>
      ))}
      {row.taper ? (
        <Small data-taper>
          <Fractions text={taperText(row.taper, wording)} />
        </Small>
      ) : null}
      {isSmall(row) ? <Small data-small>{SMALL_PIECE_CAUTION}</Small> : null}
      {row.notches.map((notch, i) => (
        <Small key={i} data-notch>
          <Fractions text={notchText(notch, row.directionDeg, wording)} />
        </Small>
      ))}
      {card.work
        .filter(({ work }) => work !== 'rip')
        .map((work) => (
          <Small key={work.work} data-work={work.work}>
            {workText(work)}.
          </Small>
        ))}
    </>
  )
}

/** What a card says besides its cuts: batch or measure and why, what the wall behind asks for, how the pieces go on. */
export function CardHow({ card, pieces }: { card: CutCard; pieces: readonly Piece[] }) {
  const { workpiece, wording } = useWallEditor()
  const batch = batchText(card.advice, wording)
  const fixings = rowFixings({ pieceIds: pieces.map(({ id }) => id) }, pieces, workpiece)
  const alike = useMemo(() => flatAlike(pieces, workpiece), [pieces, workpiece])
  return (
    <>
      <Small>
        <b>{capital(batch.name)}</b>: <Fractions text={batch.why} />.{' '}
        {card.creep === null ? null : <Fractions text={creepText(card.creep, wording)} />}
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
    </>
  )
}
