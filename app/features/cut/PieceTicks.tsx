import { useState } from 'react'
import { styled } from 'styled-components'
import type { ReleasedState } from '~/core/asbuilt/release'
import { useWallEditor } from '~/editor/WallEditor'
import { sawText, say, sayWithUnit, spoiledText } from '~/messages'
import type { Length } from '~/length'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { spoilCost } from './spoilCost'
import { useCutActs } from './CutActs'

const List = styled.ul`
  display: grid;
  gap: ${space.s};
  width: 100%;
`

/** Where the true length read at the wall is written; what is written counts. */
export function ReadTrue({ state, autoFocus }: { state: ReleasedState; autoFocus?: boolean }) {
  const { wording } = useWallEditor()
  const { record } = useCutActs()
  const [value, setValue] = useState<Length | null>(state.read)
  const keep = () => {
    if (value !== null && value > 0 && value !== state.read)
      record([state.piece.name], { kind: 'readTrue', length: value })
  }
  return (
    <Row>
      <LengthField
        label={sawText.readLabel}
        value={value}
        format={wording.format}
        least={1_000_000 as Length}
        onChange={setValue}
        onCommit={keep}
        {...(autoFocus ? { autoFocus } : {})}
        note={`${sawText.readWhy} ${sawText.planned(sayWithUnit(state.piece.longLength, wording))}`}
      />
      {state.read === null ? null : (
        <SteadyButton
          onPress={() => {
            setValue(null)
            record([state.piece.name], { kind: 'readTrue', length: null })
          }}
        >
          Go by the plan again
        </SteadyButton>
      )}
    </Row>
  )
}

/** Of one released row each piece by name: cut or not, up or not, spoiled, and its true length where it is measured in place. */
export function PieceTicks({
  details,
  onCut,
}: {
  details: readonly ReleasedState[]
  onCut: (names: readonly string[]) => void
}) {
  const { boards, wording } = useWallEditor()
  const { record } = useCutActs()
  return (
    <List aria-label="Pieces of this row">
      {details.map((state) => {
        const { piece, cutAt, upAt, read, spoiled } = state
        const last = spoiled.at(-1)
        const cost = spoilCost(state, boards, wording)
        return (
          <li key={piece.name} data-piece={piece.name}>
            <Row>
              <b>{piece.name}</b>
              {cutAt === null ? (
                <SteadyButton onPress={() => onCut([piece.name])}>{sawText.cut}</SteadyButton>
              ) : (
                <>
                  <Soft as="span">
                    ✓ cut {new Date(cutAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
                  </Soft>
                  <SteadyButton $kind="quiet" onPress={() => record([piece.name], { kind: 'pieceUncut' })}>
                    {sawText.uncut}
                  </SteadyButton>
                  <SteadyButton
                    $kind="quiet"
                    onPress={() => record([piece.name], { kind: upAt === null ? 'pieceUp' : 'pieceDown' })}
                  >
                    {upAt === null ? sawText.up : sawText.down}
                  </SteadyButton>
                  <SteadyButton
                    $kind="quiet"
                    onPress={() => record([piece.name], { kind: 'spoiled', from: cost.from })}
                  >
                    {sawText.spoiled}
                  </SteadyButton>
                </>
              )}
            </Row>
            {cutAt === null ? null : (
              <Soft>
                <Fractions text={sawText.ifSpoiled(cost.says)} />
              </Soft>
            )}
            {last ? (
              <Soft data-spoiled>
                {spoiledText(spoiled.length, last.from)}{' '}
                <SteadyButton
                  $kind="quiet"
                  onPress={() => record([piece.name], { kind: 'unspoiled', spoiled: last.actId })}
                >
                  It was not, after all
                </SteadyButton>
              </Soft>
            ) : null}
            {piece.advice.advice === 'batch' && read === null ? null : <ReadTrue state={state} />}
            {read !== null ? (
              <Soft>
                <Fractions text={`Read at ${say(read, wording)}.`} />
              </Soft>
            ) : null}
          </li>
        )
      })}
    </List>
  )
}
