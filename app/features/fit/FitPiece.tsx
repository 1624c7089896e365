import { styled } from 'styled-components'
import { useWallEditor } from '~/editor/WallEditor'
import type { Length } from '~/length'
import { useState } from 'react'
import { fitCheckText, fitText, fixingText, heldText, say, sayWithUnit } from '~/messages'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row } from '~/ui/page'
import { space, type } from '~/ui/theme'
import type { Fit, FitStop } from './useFit'

const Part = styled.div`
  display: grid;
  gap: ${space.xs};
  & h3 {
    font-size: ${type.small};
    font-weight: 600;
    color: var(--ink-soft);
  }
  & ul {
    display: grid;
    gap: ${space.xs};
  }
`
const Ground = styled.div`
  display: grid;
  gap: ${space.m};
  padding: ${space.m};
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
`

/** The true length of an opening, read on the wall before its piece is cut. */
function OpeningField({ stop, fit }: { readonly stop: FitStop; readonly fit: Fit }) {
  const { wording } = useWallEditor()
  const [value, setValue] = useState<Length | null>(stop.state?.read ?? null)
  return (
    <LengthField
      label={fitText.opening}
      value={value}
      format={wording.format}
      least={1_000_000 as Length}
      onChange={setValue}
      onCommit={() => {
        if (value !== null && value > 0 && value !== (stop.state?.read ?? null))
          fit.record(stop, { kind: 'readTrue', length: value })
      }}
      note={fitText.read}
    />
  )
}

/** How a piece goes up: its opening where that is read, how it is fixed, what is looked at, how one alone holds it. */
export function FitPiece({ stop, fit }: { readonly stop: FitStop; readonly fit: Fit }) {
  const { wording } = useWallEditor()
  const { card, state } = stop
  const waits = card.after.flatMap((id) => {
    const other = fit.stops.find((each) => each.card.pieceId === id)
    return stop.inPlace && other && fit.isOpen(other) ? [other.name] : []
  })
  const nothing = state?.upAt ?? null
  return (
    <Ground data-fit-piece={stop.name}>
      {card.half === 2 ? <p>{fitText.halfWhy}</p> : null}
      {waits.length > 0 ? <p>{fitText.waits(waits)}</p> : null}
      {stop.inPlace && nothing === null && (state?.cutAt ?? null) === null ? (
        <Part>
          <OpeningField key={card.pieceId} stop={stop} fit={fit} />
          {state && state.read !== null ? (
            <Row>
              <SteadyButton onPress={() => fit.record(stop, { kind: 'pieceCut' })}>
                <Fractions text={`${fitText.cutAt(sayWithUnit(state.read, wording))}. ${fitText.cutNow}`} />
              </SteadyButton>
            </Row>
          ) : null}
        </Part>
      ) : null}
      <Part>
        <h3>{fitText.fix}</h3>
        <p data-testid="fit-fixing">
          <Fractions
            text={fixingText({ advice: card.fixing, studs: [card.fixing.studs, card.fixing.studs] }, wording)}
          />
        </p>
        {card.studs.length > 0 && card.fixing.nail !== null ? (
          <p>
            <Fractions
              text={fitText.studs(
                card.studs.map(({ tick }) => say(tick, wording)),
                card.studsFrom,
              )}
            />
          </p>
        ) : null}
      </Part>
      {card.checks.length > 0 ? (
        <Part>
          <h3>{fitText.check}</h3>
          <ul>
            {card.checks.map((check, i) => (
              <li key={i} data-check={check.kind}>
                <Fractions text={fitCheckText(check, wording)} />
              </li>
            ))}
          </ul>
        </Part>
      ) : null}
      <Part>
        <h3>{fitText.alone}</h3>
        <p>{heldText(card.held)}</p>
      </Part>
    </Ground>
  )
}
