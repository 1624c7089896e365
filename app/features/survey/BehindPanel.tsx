import { useState } from 'react'
import { longestNail } from '~/core/cutting/fixing'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, nanometers, ZERO } from '~/length'
import { say, sayWithUnit } from '~/messages'
import { type Behind, LIMITS } from '~/model'
import { AddButton } from '~/ui/AddButton'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'
import { FinderFields } from './FinderFields'
import { Pair } from '~/ui/fields'
import { newEntryId } from './takeReading'

/** Studs, what lies between, and how long a nail may be. */
export function BehindPanel() {
  const { workpiece, plan, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const { behind } = survey
  const [first, setFirst] = useState<Length>(inches(16))
  const [spacing, setSpacing] = useState<Length>(inches(16))
  const [one, setOne] = useState<Length>(inches(8))
  const put = (patch: Partial<Behind>, pace: 'live' | 'done' = 'done') =>
    edit([{ type: 'patchSurvey', patch: { behind: { ...behind, ...patch } } }], pace)
  const strip = plan.layout.battenMaterial
  const longest = longestNail(strip.thickness, behind.wallboard)
  const { format } = wording
  return (
    <>
      <Pair>
        <LengthField
          label="First stud, its middle"
          value={first}
          format={format}
          onChange={setFirst}
          least={ZERO}
        />
        <LengthField
          label="Spacing"
          value={spacing}
          format={format}
          onChange={setSpacing}
          least={inches(4)}
        />
      </Pair>
      <Button
        onPress={() => {
          const count = Math.max(0, Math.floor((survey.width - first) / spacing) + 1)
          put({
            studs: Array.from({ length: Math.min(count, LIMITS.studs) }, (_, i) =>
              nanometers(first + i * spacing),
            ),
          })
        }}
      >
        Mark studs at this spacing
      </Button>
      <Pair>
        <LengthField
          label="One stud, its middle"
          value={one}
          format={format}
          onChange={setOne}
          least={ZERO}
        />
        <AddButton
          what="studs"
          has={behind.studs.length}
          onPress={() => put({ studs: [...new Set([...behind.studs, one])].sort((a, b) => a - b) })}
          style={{ alignSelf: 'end' }}
        >
          Mark this one
        </AddButton>
      </Pair>
      <FinderFields onTake={(studs) => put({ studs: studs.slice(0, LIMITS.studs) })} />
      {behind.studs.length > 0 ? (
        <Row role="group" aria-label="Studs marked">
          {behind.studs.map((stud) => (
            <Button
              key={stud}
              aria-label={`Strike the stud at ${say(stud, wording)}`}
              onPress={() => put({ studs: behind.studs.filter((each) => each !== stud) })}
            >
              <Fractions text={say(stud, wording)} />
            </Button>
          ))}
        </Row>
      ) : (
        <Soft>No studs marked yet.</Soft>
      )}
      <LengthField
        label="Wallboard thickness"
        value={behind.wallboard}
        format={format}
        onChange={(wallboard) => put({ wallboard }, 'live')}
        least={ZERO}
        most={inches(3)}
      />
      <p data-testid="longest-nail">
        <Fractions
          text={`Longest safe nail ${sayWithUnit(longest, wording)}: strip ${say(strip.thickness, wording)} + board ${say(behind.wallboard, wording)} + ${say(inches(1.25), wording)}.`}
        />
      </p>
      <Soft>
        <Fractions text="Cable must lie 1 1/4 in behind the stud’s face (NFPA 70, 300.4); beyond that a nail can reach it. Nothing is driven in the shaded strips above and below a box. Where you do not know what is in the bay, look before you nail; licensed trades do electrical work and plumbing." />
      </Soft>
      <h3>Places where nothing is to be driven</h3>
      <ul>
        {behind.keepOuts.map((keepOut) => (
          <li key={keepOut.id}>
            <Pair>
              <LengthField
                label="From the left"
                value={keepOut.left}
                format={format}
                onChange={(left) =>
                  put(
                    { keepOuts: behind.keepOuts.map((k) => (k.id === keepOut.id ? { ...k, left } : k)) },
                    'live',
                  )
                }
                least={ZERO}
              />
              <LengthField
                label="Its width"
                value={keepOut.width}
                format={format}
                onChange={(width) =>
                  put(
                    { keepOuts: behind.keepOuts.map((k) => (k.id === keepOut.id ? { ...k, width } : k)) },
                    'live',
                  )
                }
                least={inches(0.25)}
              />
              <LengthField
                label="Up from the floor"
                value={keepOut.bottom}
                format={format}
                onChange={(bottom) =>
                  put(
                    { keepOuts: behind.keepOuts.map((k) => (k.id === keepOut.id ? { ...k, bottom } : k)) },
                    'live',
                  )
                }
                least={ZERO}
              />
              <LengthField
                label="Its height"
                value={keepOut.height}
                format={format}
                onChange={(height) =>
                  put(
                    { keepOuts: behind.keepOuts.map((k) => (k.id === keepOut.id ? { ...k, height } : k)) },
                    'live',
                  )
                }
                least={inches(0.25)}
              />
            </Pair>
            <Button
              $kind="quiet"
              onPress={() => put({ keepOuts: behind.keepOuts.filter(({ id }) => id !== keepOut.id) })}
            >
              Take this one away
            </Button>
          </li>
        ))}
      </ul>
      <AddButton
        what="keepOuts"
        has={behind.keepOuts.length}
        onPress={() =>
          put({
            keepOuts: [
              ...behind.keepOuts,
              {
                id: newEntryId('keep'),
                left: nanometers(Math.round(survey.width / 2)),
                bottom: ZERO,
                width: inches(4),
                height: survey.height,
              },
            ],
          })
        }
      >
        Draw a strip to keep clear
      </AddButton>
    </>
  )
}
