import { useState } from 'react'
import { NumberField } from 'react-aria-components'
import { isOfStair, type Stair, stairOf, type StairRise, stairThings } from '~/core/survey/stair'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, type Length, nearestNanometer, ZERO } from '~/length'
import { stairProblemText, stairSummary, stairText as text } from '~/messages'
import { type Survey } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { FieldBox, FieldName, Pair } from '~/ui/fields'
import { Fractions } from '~/ui/Fractions'
import { LengthField } from '~/ui/LengthField'
import { Row, Soft } from '~/ui/page'

/** A step as codes have it at most, and a skirt board an inch or so above the nosings: common practice, no source. */
const USUAL_STEP = { by: 'step', rise: inches(7.5), run: inches(10.5) } as const
const USUAL_SKIRT = { height: inches(3), thickness: inches(0.75) }

function usualStair({ width }: Survey): Stair {
  return {
    from: ZERO,
    to: width,
    rises: 'right',
    rise: USUAL_STEP,
    landing: { low: false, high: false },
    skirt: null,
  }
}

/** The same steepness measured another way: what is known carries over. */
function measuredBy(stair: Stair, by: StairRise['by']): StairRise {
  if (by === 'heights') return { by, low: ZERO, high: nearestNanometer((stair.to - stair.from) / 1.5) }
  return by === 'pitch' ? { by, deg: 35 } : USUAL_STEP
}

const LANDINGS = ['none', 'low', 'high', 'both'] as const

/** The stair along this wall: where it runs, how steep it is, its landings and its skirt board. */
export function StairPanel() {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const standing = stairOf(survey)
  const [stair, setStair] = useState<Stair>(standing ?? usualStair(survey))
  const [problem, setProblem] = useState<string | null>(null)
  const put = (patch: Partial<Stair>) => {
    setStair({ ...stair, ...patch })
    setProblem(null)
  }
  const others = survey.things.filter((thing) => !isOfStair(thing))
  const length = (label: string, value: Length, onChange: (value: Length) => void, least = ZERO) => (
    <LengthField
      label={label}
      value={value}
      format={wording.format}
      onChange={onChange}
      least={least}
      most={inches(2400)}
    />
  )
  const { rise, landing, skirt } = stair
  const lands = landing.low ? (landing.high ? 'both' : 'low') : landing.high ? 'high' : 'none'
  const add = () => {
    const made = stairThings(stair, survey)
    if (!made.ok) return setProblem(stairProblemText(made.issue))
    setProblem(null)
    edit([{ type: 'patchSurvey', patch: { things: [...others, ...made.value] } }], 'done')
  }
  return (
    <>
      {standing ? (
        <p data-stair>
          <Fractions text={stairSummary(standing, wording)} />
        </p>
      ) : null}
      <Pair>
        {length(text.from, stair.from, (from) => put({ from }))}
        {length(text.to, stair.to, (to) => put({ to }))}
      </Pair>
      <Pair>
        <Choice
          label={text.rises}
          value={stair.rises}
          options={(['left', 'right'] as const).map((id) => ({ id, text: text.risesTo[id] }))}
          onChange={(rises) => put({ rises })}
        />
        <Choice
          label={text.by}
          value={rise.by}
          options={(['step', 'heights', 'pitch'] as const).map((id) => ({ id, text: text.byName[id] }))}
          onChange={(by) => put({ rise: measuredBy(stair, by) })}
        />
      </Pair>
      <Pair>
        {rise.by === 'step' ? (
          <>
            {length(text.rise, rise.rise, (value) => put({ rise: { ...rise, rise: value } }), inches(1))}
            {length(text.run, rise.run, (value) => put({ rise: { ...rise, run: value } }), inches(1))}
          </>
        ) : null}
        {rise.by === 'heights' ? (
          <>
            {length(text.low, rise.low, (low) => put({ rise: { ...rise, low } }))}
            {length(text.high, rise.high, (high) => put({ rise: { ...rise, high } }))}
          </>
        ) : null}
        {rise.by === 'pitch' ? (
          <NumberField
            value={rise.deg}
            minValue={1}
            maxValue={60}
            formatOptions={{ maximumFractionDigits: 2 }}
            onChange={(deg) => {
              if (!Number.isNaN(deg)) put({ rise: { by: 'pitch', deg } })
            }}
          >
            <FieldName>{text.pitch}</FieldName>
            <FieldBox />
          </NumberField>
        ) : null}
      </Pair>
      <Pair>
        <Choice
          label={text.landing}
          value={lands}
          options={LANDINGS.map((id) => ({ id, text: text.landingName[id] }))}
          onChange={(id) =>
            put({ landing: { low: id === 'low' || id === 'both', high: id === 'high' || id === 'both' } })
          }
        />
        <Choice
          label={text.skirt}
          value={skirt ? 'there' : 'none'}
          options={(['none', 'there'] as const).map((id) => ({ id, text: text.skirtName[id] }))}
          onChange={(id) => put({ skirt: id === 'there' ? USUAL_SKIRT : null })}
        />
      </Pair>
      {skirt ? (
        <Pair>
          {length(
            text.skirtHeight,
            skirt.height,
            (height) => put({ skirt: { ...skirt, height } }),
            inches(0.125),
          )}
          {length(text.skirtThickness, skirt.thickness, (thickness) =>
            put({ skirt: { ...skirt, thickness } }),
          )}
        </Pair>
      ) : null}
      {problem ? <Soft role="alert">{problem}</Soft> : null}
      <Row>
        <Button $kind="main" onPress={add}>
          {standing ? text.update : text.add}
        </Button>
        {standing ? (
          <Button onPress={() => edit([{ type: 'patchSurvey', patch: { things: others } }], 'done')}>
            {text.remove}
          </Button>
        ) : null}
      </Row>
    </>
  )
}
