import { useState } from 'react'
import { styled } from 'styled-components'
import { clearOf, isHeat } from '~/core/survey/heat'
import { holeOf } from '~/core/panels/boxHole'
import { isFurniture, isOpening, isPlate } from '~/core/survey/obstacles'
import { isOfStair } from '~/core/survey/stair'
import { PLATE_SIZES, usualThing } from '~/core/survey/usualThings'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, nearestNanometer, ZERO } from '~/length'
import { capital, heatFieldLabel, say, thingCalled, thingName } from '~/messages'
import { type Thing, THING_KINDS, type ThingKind } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { space } from '~/ui/theme'
import { ThingFromLaser } from './ThingFromLaser'
import { Pair } from '~/ui/fields'
import { newEntryId } from './takeReading'

/** What is in hand, with its fields. */
export const Card = styled.div`
  display: grid;
  gap: ${space.m};
  padding: ${space.m};
  border: 2px solid var(--chalk);
  border-radius: 8px;
`

export interface Picking {
  readonly picked: string | null
  readonly pick: (id: string | null) => void
}

/** A reading that checks another: its field opens empty, since one that shows what it expects checks nothing. */
function SecondReading({
  ask,
  label,
  value,
  onChange,
}: {
  ask: string
  label: string
  value: Length | null
  onChange: (value: Length) => void
}) {
  const { wording } = useWallEditor()
  const [open, setOpen] = useState(false)
  if (value === null && !open) return <Button onPress={() => setOpen(true)}>{ask}</Button>
  return (
    <LengthField
      label={label}
      value={value}
      format={wording.format}
      onChange={onChange}
      most={inches(2400)}
      autoFocus={value === null}
    />
  )
}

/** What is placed one by one; a stair and its landings have a panel of their own. */
const PLACED_KINDS = THING_KINDS.filter((kind) => !isOfStair({ kind }))

/** Trim that can go back on over what was laid out. */
function goesBack({ kind, fate }: Thing): boolean {
  return fate === 'goesBack' || ['sideTrim', 'chairRail', 'ledge', 'stool', 'shelf'].includes(kind)
}

/** One thing's place and size, by numbers from either side, from floor and top. */
function ThingFields({ thing, pick }: { thing: Thing } & Pick<Picking, 'pick'>) {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const { format } = wording
  const put = (patch: Partial<Thing>, pace: 'live' | 'done' = 'live') =>
    edit(
      [
        {
          type: 'patchSurvey',
          patch: {
            things: survey.things.map((each) => (each.id === thing.id ? { ...each, ...patch } : each)),
          },
        },
      ],
      pace,
    )
  const plate = isPlate(thing.kind)
  const hole = holeOf(thing)
  const center = nearestNanometer(thing.left + thing.width / 2)
  const field = (label: string, value: Length, onChange: (value: Length) => void, least?: Length) => (
    <LengthField
      label={label}
      value={value}
      format={format}
      onChange={onChange}
      {...(least === undefined ? {} : { least })}
      most={inches(2400)}
    />
  )
  const size = PLATE_SIZES.find(({ width, height }) => width === thing.width && height === thing.height)
  return (
    <Card role="group" aria-label={capital(thingCalled(wording, thing.id, thing.kind))}>
      {plate ? (
        <Choice
          label="Plate"
          value={size?.id ?? 'own'}
          options={[
            ...PLATE_SIZES.map(({ id, text }) => ({ id, text })),
            { id: 'own', text: 'its own size' },
          ]}
          onChange={(id) => {
            const next = PLATE_SIZES.find((each) => each.id === id)
            if (next)
              put(
                {
                  width: next.width,
                  height: next.height,
                  left: nearestNanometer(center - next.width / 2),
                },
                'done',
              )
          }}
        />
      ) : null}
      <Pair>
        {plate
          ? field('Middle, from the left', center, (value) =>
              put({ left: nearestNanometer(value - thing.width / 2) }),
            )
          : field('From the left', thing.left, (left) => put({ left }))}
        {field('Up from the floor', thing.bottom, (bottom) => put({ bottom }))}
        {field('Its width', thing.width, (width) => put({ width }), inches(0.0625))}
        {field('Its height', thing.height, (height) => put({ height }), inches(0.0625))}
      </Pair>
      <Pair>
        <SecondReading
          ask="Read from the right too"
          label="Its right edge, from the right"
          value={thing.fromRight}
          onChange={(fromRight) => put({ fromRight })}
        />
        <SecondReading
          ask="Read from the top too"
          label="Its top, from the ceiling"
          value={thing.fromTop}
          onChange={(fromTop) => put({ fromTop })}
        />
      </Pair>
      <ThingFromLaser put={(patch) => put(patch, 'done')} />
      <Pair>
        {isOpening(thing.kind)
          ? field('Casing width', thing.casing, (casing) => put({ casing }), ZERO)
          : null}
        {isHeat(thing.kind)
          ? field(
              heatFieldLabel(thing.kind),
              nearestNanometer(clearOf(thing)),
              (clear) => put({ clear }),
              ZERO,
            )
          : null}
        {field(
          thing.kind === 'chimneyBreast' ? 'Stands out by' : 'Thickness',
          thing.thickness,
          (thickness) => put({ thickness }),
          ZERO,
        )}
      </Pair>
      {hole && workpiece.wall.design.own.backer ? (
        <Pair>
          {field(
            'Hole in the backer, width',
            hole.width,
            (width) => put({ hole: { ...hole, width } }),
            inches(0.5),
          )}
          {field(
            'Hole in the backer, height',
            hole.height,
            (height) => put({ hole: { ...hole, height } }),
            inches(0.5),
          )}
        </Pair>
      ) : null}
      <Choice
        label="Strips here"
        value={thing.fate}
        options={[
          ...(isFurniture(thing.kind)
            ? [
                { id: 'keep' as const, text: 'run on behind it' },
                { id: 'keptClear' as const, text: 'keep clear of it' },
              ]
            : [
                { id: 'keep' as const, text: 'end at it' },
                { id: 'cutRound' as const, text: 'are cut round it' },
                { id: 'remove' as const, text: 'run through: it comes off' },
              ]),
          ...(goesBack(thing)
            ? [{ id: 'goesBack' as const, text: 'run through: it comes off and goes back' }]
            : []),
        ]}
        onChange={(fate) => put({ fate }, 'done')}
      />
      {thing.kind === 'cutOff' ? (
        <Choice
          label="Its edge"
          value={thing.slope ?? 'square'}
          options={[
            { id: 'square', text: 'square, a notch' },
            { id: 'risesLeft', text: 'a slope rising to the left' },
            { id: 'risesRight', text: 'a slope rising to the right' },
          ]}
          onChange={(slope) => put({ slope: slope === 'square' ? null : slope }, 'done')}
        />
      ) : null}
      <Row>
        <Button onPress={() => pick(null)}>Done</Button>
        <Button
          onPress={() => {
            edit(
              [{ type: 'patchSurvey', patch: { things: survey.things.filter(({ id }) => id !== thing.id) } }],
              'done',
            )
            pick(null)
          }}
        >
          It is not there
        </Button>
      </Row>
    </Card>
  )
}

/** What stands on the wall: openings, plates, trim. Placed here by numbers, or by dragging on the drawing. */
export function ThingsPanel({ picked, pick }: Picking) {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const [kind, setKind] = useState<ThingKind>('outlet')
  return (
    <>
      <ul>
        {survey.things.map((thing) => (
          <li key={thing.id} data-thing-row={thing.kind}>
            {thing.id === picked ? (
              <ThingFields thing={thing} pick={pick} />
            ) : (
              <Button $kind="quiet" onPress={() => pick(thing.id)}>
                <Fractions
                  text={`${thingCalled(wording, thing.id, thing.kind)} at ${say(thing.left, wording)}, ${say(thing.width, wording)} × ${say(thing.height, wording)}`}
                />
              </Button>
            )}
          </li>
        ))}
      </ul>
      {survey.things.length === 0 ? <Soft>Nothing placed yet.</Soft> : null}
      <Choice<ThingKind>
        label="Something stands here"
        value={kind}
        options={PLACED_KINDS.map((id) => ({ id, text: thingName(id) }))}
        onChange={setKind}
      />
      <AddButton
        what="things"
        has={survey.things.length}
        $kind="main"
        onPress={() => {
          const thing = usualThing(kind, survey, newEntryId(kind))
          edit([{ type: 'patchSurvey', patch: { things: [...survey.things, thing] } }], 'done')
          pick(thing.id)
        }}
      >
        Put it on the wall
      </AddButton>
    </>
  )
}
