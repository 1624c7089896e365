import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import { latestReadings } from '~/core/survey/latestReadings'
import { useDevice } from '~/editor/useDevice'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, ZERO } from '~/length'
import { READING_KINDS, readingName, say, sayWithUnit, whyNot } from '~/messages'
import type { LengthReading, LengthReadingKind, Reading } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Soft } from '~/ui/page'
import { Picks } from '~/ui/Picks'
import { space, type } from '~/ui/theme'
import { CornerFields } from './CornerFields'
import { Pair } from '~/ui/fields'
import { takeReading } from './takeReading'

const Line = styled.li<{ $old: boolean }>`
  display: grid;
  grid-template-columns: 1fr auto auto;
  align-items: center;
  gap: ${space.s};
  border-bottom: 1px solid var(--line);
  opacity: ${({ $old }) => ($old ? 0.65 : 1)};
  text-decoration: ${({ $old }) => ($old ? 'line-through' : 'none')};
  & small {
    display: block;
    font-size: ${type.small};
    color: var(--ink-soft);
  }
  & b {
    font-size: ${type.lead};
  }
`
const KINDS = Object.keys(READING_KINDS) as LengthReadingKind[]

/** Widths, heights, falls and leans, each with how and when it was taken; a re-reading strikes the one before. */
export function ReadingsPanel() {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const [kind, setKind] = useState<LengthReadingKind>('width')
  const [place, setPlace] = useState<Length>(ZERO)
  const [typed, setTyped] = useState<Length | null>(null)
  const [unread, setUnread] = useState<Readonly<Record<string, boolean>>>({})
  const note = (field: string) => (problem: unknown) =>
    setUnread((now) => ({ ...now, [field]: problem !== null }))
  const [atLaser, setAtLaser] = useState(false)
  const delivery = useDevice('laser', atLaser)
  const waiting = delivery?.value ?? null
  const [method, setMethod] = useState<Reading['method']>('tape')
  // a field that shows what it expects would only be agreed with
  const value = waiting ?? typed
  const counting = new Set(KINDS.flatMap((each) => latestReadings(survey.readings, each).map(({ id }) => id)))
  const put = (readings: readonly Reading[]) =>
    edit([{ type: 'patchSurvey', patch: { readings: [...readings] } }], 'done')
  const lengths = survey.readings.filter((reading): reading is LengthReading => 'place' in reading)
  return (
    <>
      <ul aria-label="Readings taken">
        {lengths.map((reading) => (
          <Line key={reading.id} $old={!counting.has(reading.id)} data-reading={reading.kind}>
            <span>
              <Fractions text={readingName(reading.kind, reading.place, wording)} />
              <small>
                {reading.method}, {reading.takenAt.slice(0, 16).replace('T', ' ')}
              </small>
            </span>
            <b>
              <Fractions text={say(reading.value, wording)} />
            </b>
            <Button
              $kind="quiet"
              aria-label={`Strike the ${readingName(reading.kind, reading.place, wording)}`}
              onPress={() => put(survey.readings.filter(({ id }) => id !== reading.id))}
            >
              <Trash2 size={16} aria-hidden />
            </Button>
          </Line>
        ))}
      </ul>
      {lengths.length === 0 ? (
        <Soft>None yet: the wall is taken as true and square until it is read.</Soft>
      ) : null}
      <Choice<LengthReadingKind>
        label="Read"
        value={kind}
        options={KINDS.map((id) => ({ id, text: READING_KINDS[id].name, hint: READING_KINDS[id].value }))}
        onChange={(next) => {
          setKind(next)
          setTyped(null)
          setUnread({})
        }}
      />
      <Pair>
        <LengthField
          label={`Where: ${READING_KINDS[kind].place}`}
          value={place}
          format={wording.format}
          onChange={setPlace}
          onUnread={note('place')}
          least={ZERO}
          most={inches(2400)}
        />
        <LengthField
          key={`${kind}-${waiting ?? ''}-${lengths.length}`}
          label={`Reads: ${READING_KINDS[kind].value}`}
          value={value}
          format={wording.format}
          onChange={setTyped}
          onUnread={note('value')}
        />
      </Pair>
      <Picks<Reading['method']>
        label="Taken with"
        value={waiting !== null ? 'laser' : method}
        options={[
          { id: 'tape', text: 'tape' },
          { id: 'laser', text: 'laser' },
        ]}
        onChange={setMethod}
      />
      <Button onPress={() => setAtLaser(!atLaser)}>
        {atLaser ? 'Stop waiting for the laser' : 'Wait for the laser'}
      </Button>
      {atLaser ? (
        <p role="status">
          <Fractions
            text={
              waiting === null
                ? 'Waiting: press measure on the laser.'
                : `The laser reads ${sayWithUnit(waiting, wording)}.`
            }
          />
        </p>
      ) : null}
      <AddButton
        what="readings"
        has={survey.readings.length}
        $kind="main"
        isDisabled={value === null || Object.values(unread).includes(true)}
        why={value === null ? whyNot.reading : whyNot.readings}
        onPress={() => {
          if (value === null) return
          put([...survey.readings, takeReading(kind, place, value, waiting !== null ? 'laser' : method)])
          setTyped(null)
          setAtLaser(false)
        }}
      >
        Take this reading
      </AddButton>
      <CornerFields />
    </>
  )
}
