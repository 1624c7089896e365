import { useState } from 'react'
import { lengthNow } from '~/core/asbuilt/release'
import { lengthOnWall } from '~/core/fit/fitWalk'
import { useWallEditor } from '~/editor/WallEditor'
import type { Length } from '~/length'
import { builtText, fitText, sayWithUnit, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import type { Fit } from './useFit'

/** How long the piece in hand truly is: trimmed in place, short, or right. */
export function LengthPart({ fit }: { readonly fit: Fit }) {
  const { workpiece, wording } = useWallEditor()
  const { stop, record } = fit
  const [value, setValue] = useState<Length | null>(stop?.state?.built ?? null)
  if (!stop) return null
  const { state } = stop
  const wanted = state ? lengthNow(state).longLength : null
  const found =
    state?.built != null && wanted !== null ? lengthOnWall(state.built, wanted, workpiece.settings.fit) : null
  const by = found ? sayWithUnit(Math.abs(found.by), wording) : ''
  return (
    <>
      <p>
        <b>{stop.name}</b>
      </p>
      <LengthField
        label={builtText.lengthReads}
        value={value}
        format={wording.format}
        least={1_000_000 as Length}
        onChange={setValue}
        {...(wanted === null ? {} : { note: builtText.planned(sayWithUnit(wanted, wording)) })}
      />
      <Row>
        <Button
          $kind="main"
          isDisabled={value === null}
          why={whyNot.length}
          onPress={() => value !== null && record(stop, { kind: 'builtLength', length: value })}
        >
          {builtText.keep}
        </Button>
      </Row>
      {found ? (
        <p role="status" data-length={found.is}>
          <Fractions
            text={
              found.is === 'fits'
                ? builtText.fits
                : found.is === 'trim'
                  ? `${builtText.trim(by)} ${builtText.trimWhy}`
                  : builtText.short(by)
            }
          />
        </p>
      ) : null}
      {found?.is === 'short' ? (
        <Row>
          <Button onPress={() => record(stop, { kind: 'spoiled', from: 'board' })}>{fitText.spoiled}</Button>
        </Row>
      ) : null}
      {state?.upAt ? <Soft>{builtText.pullWhy}</Soft> : null}
    </>
  )
}
