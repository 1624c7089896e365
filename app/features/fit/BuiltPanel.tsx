import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import {
  type BuiltReading,
  builtReadings,
  plannedReading,
  plannedWidth,
  readingIssue,
} from '~/core/asbuilt/built'
import { heightReadings, readableBands } from '~/core/asbuilt/builtUp'
import { driftOf } from '~/core/evenness/learnErrors'
import { useDevice } from '~/editor/useDevice'
import { useWallEditor } from '~/editor/WallEditor'
import { type Length, nearestNanometer } from '~/length'
import { builtText, driftText, say, sayWithUnit, stripName } from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Picks } from '~/ui/Picks'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { HeightPart } from './HeightPart'
import { LengthPart } from './LengthPart'
import { WaysPart, Wrong } from './WaysPart'
import { KeepReading } from './KeepReading'
import type { Fit } from './useFit'

const Part = styled.section`
  display: grid;
  gap: ${space.m};
`
type What = 'place' | 'gap' | 'wall' | 'height' | 'piece'

/** What was read of the wall as it is built, and the ways on from there. */
export function BuiltPanel({ fit }: { readonly fit: Fit }) {
  const { plan, wording } = useWallEditor()
  const { acts, built, off, offUp, readAt, readHigh, stop, tick } = fit
  // of each what lies before it in its own section: past an opening another begins
  const standing = useMemo(
    () =>
      built.flatMap(({ row }) =>
        row.standing.map((each, i) => {
          const before = row.standing[i - 1]
          return {
            ...each,
            from: before ? (before.at?.right ?? before.right) : row.left,
            gap: each.left - (before?.right ?? row.plannedLeft),
          }
        }),
      ),
    [built],
  )
  // what went up last is read; before anything is up, what is in hand
  const lastUp = fit.stops
    .filter(({ card, state }) => state?.upAt && standing.some(({ id }) => id === card.stripId))
    .sort((a, b) => (b.state?.upAt ?? 0) - (a.state?.upAt ?? 0))[0]?.card.stripId
  const inHand =
    lastUp ?? (standing.some(({ id }) => id === stop?.card.stripId) ? stop?.card.stripId : undefined)
  const [picked, setPicked] = useState<string | null>(null)
  const strip = picked ?? inHand ?? standing[0]?.id ?? ''
  const [asked, setWhat] = useState<What>('place')
  const [edge, setEdge] = useState<'left' | 'right'>('left')
  const [value, setValue] = useState<Length | null>(null)
  const [said, setSaid] = useState('')
  const [waiting, setWaiting] = useState(false)
  const laser = useDevice('laser', waiting)?.value ?? null
  const reading: Length | null = laser ?? value
  const own = standing.find(({ id }) => id === strip)
  const { left, right } = plan.layout
  const laidOut = own ? plannedReading(plan.layout, own, edge) : 0
  const width = plannedWidth(plan.layout)
  const drift = driftOf(acts, tick)
  const read = builtReadings(acts)
  const high = heightReadings(acts)
  const bands = readableBands(plan.layout)
  if (standing.length + bands.length === 0) return null
  const what = standing.length === 0 && asked !== 'piece' ? 'height' : asked
  /** A place as the tape reads it from the left corner; the wall's end as the whole of it. */
  const saidOf = ({ strip: of, edge: side, place }: BuiltReading) => {
    const found = standing.find(({ id }) => id === of)
    if (found) return nearestNanometer(plannedReading(plan.layout, found, side) + place - found[side])
    return width === null ? place : nearestNanometer(width + place - right)
  }
  const done = () => {
    setValue(null)
    setWaiting(false)
  }
  const keep = () => {
    if (reading === null) return
    if (what === 'wall') {
      if (width === null) return
      if (reading < width / 2 || reading > width * 1.5) return setSaid(builtText.offWall)
      readAt('wall-right', 'right', right + reading - width, right, waiting ? 'laser' : 'tape')
      setSaid('')
      return done()
    }
    if (!own) return
    if (what === 'gap' && reading > right - left) return setSaid(builtText.tooLong)
    const side = what === 'gap' ? 'left' : edge
    const place = what === 'gap' ? own.from + reading : own[side] + reading - laidOut
    if (readingIssue(place, { left, right })) return setSaid(builtText.offWall)
    readAt(own.id, side, place, own[side], waiting ? 'laser' : 'tape')
    setSaid('')
    done()
  }
  return (
    <Part aria-label={builtText.title}>
      <h2>{builtText.title}</h2>
      <Soft>{builtText.lead}</Soft>
      <Picks<What>
        label={builtText.what}
        value={what}
        options={[
          ...(standing.length === 0
            ? []
            : [
                { id: 'place' as const, text: builtText.place },
                { id: 'gap' as const, text: builtText.gap },
              ]),
          ...(bands.length === 0 ? [] : [{ id: 'height' as const, text: builtText.height }]),
          ...(width === null ? [] : [{ id: 'wall' as const, text: builtText.wall }]),
          { id: 'piece', text: builtText.length },
        ]}
        onChange={setWhat}
      />
      {what === 'piece' ? (
        <LengthPart fit={fit} />
      ) : what === 'height' ? (
        <HeightPart fit={fit} say={setSaid} />
      ) : (
        <>
          {what === 'wall' ? null : (
            <Choice
              label="Which"
              value={strip}
              options={standing.map(({ id }) => ({ id, text: stripName(id, wording) }))}
              onChange={setPicked}
            />
          )}
          {what === 'place' ? (
            <Picks<'left' | 'right'>
              label="Which edge"
              value={edge}
              options={[
                { id: 'left', text: builtText.edge('left') },
                { id: 'right', text: builtText.edge('right') },
              ]}
              onChange={setEdge}
            />
          ) : null}
          <LengthField
            label={
              what === 'gap' ? builtText.gapReads : what === 'wall' ? builtText.endReads : builtText.reads
            }
            value={reading}
            format={wording.format}
            least={0 as Length}
            onChange={setValue}
            note={
              own && what === 'place'
                ? `${builtText.from}. ${builtText.planned(sayWithUnit(nearestNanometer(laidOut), wording))}`
                : what === 'wall'
                  ? builtText.planned(sayWithUnit(nearestNanometer(width ?? 0), wording))
                  : builtText.planned(sayWithUnit(nearestNanometer(own?.gap ?? 0), wording))
            }
          />
          <KeepReading ready={reading !== null} waiting={waiting} onKeep={keep} onWait={setWaiting} />
        </>
      )}
      <p role="status" data-testid="built-said">
        {said}
      </p>
      {read.length + high.length > 0 ? (
        <ul>
          {read.map((each) => (
            <li key={each.strip}>
              <Row>
                <span>
                  <Fractions
                    text={`${each.strip === 'wall-right' ? builtText.end('right') : stripName(each.strip, wording)}: ${say(saidOf(each), wording)}`}
                  />
                </span>
                <Button
                  $kind="quiet"
                  onPress={() => readAt(each.strip, each.edge, null, each.planned, 'tape')}
                >
                  {builtText.forget}
                </Button>
              </Row>
            </li>
          ))}
          {high.map(({ strip: of, edge: side, place, planned }) => (
            <li key={`high ${of}`}>
              <Row>
                <span>
                  <Fractions text={`${stripName(of, wording)}: ${say(place, wording)}`} />
                </span>
                <Button $kind="quiet" onPress={() => readHigh(of, side, null, planned, 'tape')}>
                  {builtText.forget}
                </Button>
              </Row>
            </li>
          ))}
        </ul>
      ) : null}
      {drift ? (
        <Wrong role="status" data-drift={drift.how}>
          <Fractions text={driftText(drift, wording)} />
        </Wrong>
      ) : null}
      {read.length + high.length > 0 && off.size + offUp.size === 0 ? <Soft>{builtText.onMark}</Soft> : null}
      {[...off].map(([id, by]) => (
        <p key={id} data-off={id}>
          <Fractions
            text={
              id === 'wall-right' || id === 'wall-left'
                ? builtText.wallOff(sayWithUnit(Math.abs(by), wording), by > 0)
                : builtText.off(stripName(id, wording), sayWithUnit(Math.abs(by), wording), by > 0)
            }
          />
        </p>
      ))}
      {[...offUp].map(([id, by]) => (
        <p key={id} data-off={id}>
          <Fractions
            text={builtText.offUp(stripName(id, wording), sayWithUnit(Math.abs(by), wording), by > 0)}
          />
        </p>
      ))}
      <WaysPart fit={fit} say={setSaid} />
    </Part>
  )
}
