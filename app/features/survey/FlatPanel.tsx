import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, millimeters, nanometers, ZERO } from '~/length'
import { flatnessText, flatText as text, lieName } from '~/messages'
import { type Flatness, LIES, LIMITS, type Survey } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Pair } from '~/ui/fields'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { Picks } from '~/ui/Picks'
import { Card, type Picking } from './ThingsPanel'
import { newEntryId } from './takeReading'

/** A straightedge as it usually comes, with its middle there; common practice, no source. */
export function straightedgeAt({ width, height }: Survey, units: string, x: number, y: number): Flatness {
  const long = units === 'mm' ? millimeters(1200) : inches(48)
  return {
    id: newEntryId('flat'),
    x: nanometers(Math.round(Math.min(Math.max(0, x), width))),
    y: nanometers(Math.round(Math.min(Math.max(0, y), height))),
    lie: 'along',
    length: nanometers(Math.min(long, width)),
    gap: units === 'mm' ? millimeters(3) : inches(1 / 8),
    shape: 'hollow',
  }
}

/** The survey with one straightedge more. */
export function withStraightedge({ flatness }: Survey, next: Flatness) {
  return [{ type: 'patchSurvey' as const, patch: { flatness: [...flatness, next] } }]
}

function FlatFields({ reading, pick }: { reading: Flatness } & Pick<Picking, 'pick'>) {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const put = (patch: Partial<Flatness>, pace: 'live' | 'done' = 'live') =>
    edit(
      [
        {
          type: 'patchSurvey',
          patch: {
            flatness: survey.flatness.map((each) => (each.id === reading.id ? { ...each, ...patch } : each)),
          },
        },
      ],
      pace,
    )
  const field = (
    label: string,
    value: Length,
    onChange: (value: Length) => void,
    least: Length,
    most: Length,
  ) => (
    <LengthField
      label={label}
      value={value}
      format={wording.format}
      onChange={onChange}
      least={least}
      most={most}
    />
  )
  const hair = inches(1 / 64)
  return (
    <Card role="group" aria-label={text.lay}>
      <Picks
        label={text.shape}
        value={reading.shape}
        options={[
          { id: 'hollow', text: text.hollow },
          { id: 'belly', text: text.belly },
        ]}
        onChange={(shape) => put({ shape }, 'done')}
      />
      <Pair>
        {field(text.gap, reading.gap, (gap) => put({ gap }), hair, inches(12))}
        {field(text.length, reading.length, (length) => put({ length }), inches(4), inches(480))}
        {field(text.x, reading.x, (x) => put({ x }), ZERO, survey.width)}
        {field(text.y, reading.y, (y) => put({ y }), ZERO, survey.height)}
      </Pair>
      <Choice
        label={text.lie}
        value={reading.lie}
        options={LIES.map((id) => ({ id, text: lieName(id) }))}
        onChange={(lie) => put({ lie }, 'done')}
      />
      <Row>
        <Button onPress={() => pick(null)}>{text.done}</Button>
        <Button
          onPress={() => {
            edit(
              [
                {
                  type: 'patchSurvey',
                  patch: { flatness: survey.flatness.filter(({ id }) => id !== reading.id) },
                },
              ],
              'done',
            )
            pick(null)
          }}
        >
          {text.flat}
        </Button>
      </Row>
    </Card>
  )
}

/** Straightedges laid on the wall, by numbers here or by a press on the drawing. */
export function FlatPanel({ picked, pick }: Picking) {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  return (
    <>
      <ul aria-label={text.title}>
        {survey.flatness.map((reading) => (
          <li key={reading.id} data-flat={reading.shape}>
            {reading.id === picked ? (
              <FlatFields reading={reading} pick={pick} />
            ) : (
              <Button $kind="quiet" onPress={() => pick(reading.id)}>
                <Fractions text={flatnessText(reading, wording)} />
              </Button>
            )}
          </li>
        ))}
      </ul>
      {survey.flatness.length === 0 ? <Soft>{text.none}</Soft> : null}
      <AddButton
        what="flatness"
        has={survey.flatness.length}
        $kind="main"
        onPress={() => {
          const next = straightedgeAt(survey, workpiece.settings.units, survey.width / 2, survey.height / 2)
          edit(withStraightedge(survey, next), 'done')
          pick(next.id)
        }}
      >
        {text.lay}
      </AddButton>
      <Soft>{text.round}</Soft>
    </>
  )
}

/** The most straightedges a wall keeps are laid. */
export function isFull({ flatness }: Survey): boolean {
  return flatness.length >= LIMITS.flatness
}
