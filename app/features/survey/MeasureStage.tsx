import { useState } from 'react'
import { EditLength } from '~/editor/EditLength'
import { Findings } from '~/editor/Findings'
import { Matters } from '~/editor/Matters'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { ToolAdvice } from '~/editor/ToolAdvice'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { stairOf } from '~/core/survey/stair'
import { openQuestions } from '~/core/findings/surveyFindings'
import { inches } from '~/length'
import { flatText, stairSummary, stairText } from '~/messages'
import { Fold } from '~/ui/Fold'
import { Soft } from '~/ui/page'
import { Picks } from '~/ui/Picks'
import { BehindPanel } from './BehindPanel'
import { CsvPanel } from './CsvPanel'
import { OutlinePanel } from './OutlinePanel'
import { FlatGrips } from './FlatGrips'
import { FlatPanel } from './FlatPanel'
import { FloorField } from './FloorField'
import { ReadingsPanel } from './ReadingsPanel'
import { StairPanel } from './StairPanel'
import { ThingGrips } from './ThingGrips'
import { ThingsPanel } from './ThingsPanel'
import { TrimFields } from './TrimFields'
import { WalkPanel } from './WalkPanel'
import { WallLine } from './WallLine'
import { WidthField } from './WidthField'

const LEAST = inches(1)
const MOST = inches(2400)

type Look = 'plain' | 'behind' | 'deviation' | 'flat'

/** Stage one: the wall as it really is. */
export function MeasureStage() {
  const { identity, workpiece, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const [picked, pick] = useState<string | null>(null)
  const [flatPicked, pickFlat] = useState<string | null>(null)
  const [look, setLook] = useState<Look>('plain')
  const questions = openQuestions(survey).length
  const stair = stairOf(survey)
  // at hand where it is shown on the drawing, else in its order
  const flat = (
    <Fold title={flatText.title} aside={`${survey.flatness.length} laid`} open={look === 'flat'}>
      <FlatPanel picked={flatPicked} pick={pickFlat} />
    </Fold>
  )
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>{identity.name}</h1>
          <Picks<Look>
            label="Show"
            value={look}
            options={[
              { id: 'plain', text: 'as it is' },
              { id: 'deviation', text: 'out of true × 10' },
              { id: 'flat', text: 'how flat' },
              { id: 'behind', text: 'keep clear' },
            ]}
            onChange={setLook}
          />
        </Heading>
        <WallStage
          behind={look === 'behind'}
          deviation={look === 'deviation'}
          flat={look === 'flat'}
          over={(frame) =>
            look === 'flat' ? (
              <FlatGrips frame={frame} picked={flatPicked} pick={pickFlat} />
            ) : (
              <ThingGrips frame={frame} picked={picked} pick={pick} />
            )
          }
        />
      </Drawn>
      <Side aria-label="Measurements">
        {look === 'flat' ? flat : null}
        <Fold title="The wall" open>
          <WallLine />
          <WidthField least={LEAST} most={MOST} />
          <EditLength
            field="survey.height"
            label="Height, finished floor to ceiling"
            value={survey.height}
            least={LEAST}
            most={MOST}
            toEdits={(height) => [{ type: 'patchSurvey', patch: { height } }]}
          />
          <TrimFields name="baseboard" title="Baseboard" />
          <TrimFields name="crown" title="Crown" />
          <FloorField />
          <Soft>
            Prying trim off: score the paint line first, wear eye protection, and in a building from before
            1978 have the paint tested for lead before you disturb it. Local codes come first.
          </Soft>
        </Fold>
        <Fold title="Walk round the room" aside={questions === 0 ? 'all asked' : `${questions} open`}>
          <WalkPanel />
        </Fold>
        <Fold title="Readings" aside={`${survey.readings.length} taken`}>
          <ReadingsPanel />
          <ToolAdvice of={['tapeHook', 'laser']} />
          <CsvPanel />
          <OutlinePanel />
        </Fold>
        <Fold
          title="What stands there"
          aside={`${survey.things.length} placed`}
          key={picked === null ? 'shut' : 'open'}
          open={picked !== null}
        >
          <ThingsPanel picked={picked} pick={pick} />
        </Fold>
        <Fold title={stairText.title} aside={stair ? stairSummary(stair, wording) : stairText.none}>
          <StairPanel />
        </Fold>
        {look === 'flat' ? null : flat}
        <Fold title="Studs and nails" aside={`${survey.behind.studs.length} studs`}>
          <BehindPanel />
        </Fold>
        <Findings only={({ stage }) => stage === 'measure'} />
        <Matters />
      </Side>
    </Split>
  )
}
