import { SlidersHorizontal } from 'lucide-react'
import { useState } from 'react'
import { Checkbox, CheckboxGroup, DialogTrigger, Label } from 'react-aria-components'
import { styled } from 'styled-components'
import { EditLength } from '~/editor/EditLength'
import { useWallEditor } from '~/editor/WallEditor'
import { inches, ZERO } from '~/length'
import { criterionName, thingCalled } from '~/messages'
import { CRITERIA, type Criterion, type Edit, ENDS, type Ends, type Judgement, inForce } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'
import { space, touch, type } from '~/ui/theme'
import { WeightSlider } from '~/ui/WeightSlider'
import { isAxis } from './isAxis'

const Two = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: ${space.m} ${space.l};
`
const Checks = styled(CheckboxGroup)`
  display: grid;
  gap: ${space.xs};
  font-size: ${type.body};
`
const Check = styled(Checkbox)`
  display: flex;
  align-items: center;
  gap: ${space.s};
  min-height: 26px;
  cursor: pointer;
  ${touch} {
    min-height: 48px;
  }
  &::before {
    content: '';
    width: 18px;
    height: 18px;
    border: 2px solid var(--chalk);
    border-radius: 4px;
  }
  &[data-selected]::before {
    content: '✓';
    font-size: 14px;
    line-height: 18px;
    text-align: center;
    background: var(--chalk);
    color: var(--paper);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--chalk);
  }
`

const ENDS_NAMES: Readonly<Record<Ends, string>> = {
  gap: 'a gap at each end',
  strip: 'a strip at each end',
  half: 'half a gap at each end',
  stripGap: 'strip left, gap right',
  gapStrip: 'gap left, strip right',
}

function Weight({
  criterion,
  put,
}: {
  criterion: Criterion
  put: (next: Partial<Judgement>) => readonly Edit[]
}) {
  const { workpiece, edit } = useWallEditor()
  const { weights } = inForce(workpiece.wall.design).judgement
  const [moving, setMoving] = useState<number | null>(null)
  return (
    <WeightSlider
      label={criterionName(criterion)}
      value={moving ?? weights[criterion]}
      onChange={setMoving}
      onChangeEnd={(value) => {
        setMoving(null)
        edit(put({ weights: { ...weights, [criterion]: value } }), 'done')
      }}
    />
  )
}

/** Within what limits layouts are searched, and what counts how much. */
export function JudgementFields() {
  const { workpiece, wording, edit } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { judgement } = design
  const put = (next: Partial<Judgement>): readonly Edit[] => [
    { type: 'patchDesign', patch: { judgement: { ...judgement, ...next } } },
  ]
  const length = (field: 'clearance' | 'shiftUpTo' | 'baysDiffer', label: string, most: number) => (
    <EditLength
      field={`design.judgement.${field}`}
      label={label}
      value={judgement[field]}
      least={ZERO}
      most={inches(most)}
      toEdits={(value) => put({ [field]: value })}
    />
  )
  return (
    <DialogTrigger>
      <Button>
        <SlidersHorizontal size={16} aria-hidden /> What counts
      </Button>
      <PopoverCard $wide>
        <PopoverBody aria-label="What counts">
          <Two>
            <div>
              {CRITERIA.map((criterion) => (
                <Weight key={criterion} criterion={criterion} put={put} />
              ))}
            </div>
            <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
              {length('clearance', 'Clear of plates by', 12)}
              {length('shiftUpTo', 'All may move, either way, by', 24)}
              {length('baysDiffer', 'Bays may differ by', 6)}
              <Choice
                label="Symmetrical about"
                value={judgement.about ?? 'middle'}
                options={[
                  { id: 'middle', text: 'the middle' },
                  ...survey.things
                    .filter(({ kind }) => isAxis(kind))
                    .map(({ id, kind }) => ({ id, text: `the ${thingCalled(wording, id, kind)}` })),
                ]}
                onChange={(id) => edit(put({ about: id === 'middle' ? null : id }), 'done')}
              />
              <Checks
                value={[...judgement.ends]}
                onChange={(chosen) => {
                  const ends = ENDS.filter((each) => chosen.includes(each))
                  if (ends.length > 0) edit(put({ ends }), 'done')
                }}
              >
                <Label>At the walls</Label>
                {ENDS.map((each) => (
                  <Check key={each} value={each}>
                    {ENDS_NAMES[each]}
                  </Check>
                ))}
              </Checks>
            </div>
          </Two>
        </PopoverBody>
      </PopoverCard>
    </DialogTrigger>
  )
}
