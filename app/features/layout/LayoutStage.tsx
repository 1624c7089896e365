import { Findings } from '~/editor/Findings'
import { StripInHand } from '~/editor/StripInHand'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { formatLength } from '~/length'
import { count, say } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { CountChoices } from './CountChoices'
import { FrameSentence } from './FrameSentence'
import { OwnSize } from './OwnSize'
import { SpacingSentence } from './SpacingSentence'

/** Stage two: how many, how high, how far apart. */
export function LayoutStage() {
  const { plan, workpiece, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const battens = plan.layout.battens.length
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>
            <Fractions
              text={
                battens === 0
                  ? 'No battens yet'
                  : `${count(battens, 'batten')} to ${plan.layout.bands.some(({ id }) => id === 'topRail') ? 'a rail at ' : ''}${say(plan.layout.height, wording)}`
              }
            />
          </h1>
          <p>
            <Fractions
              text={`wall ${formatLength(survey.width, wording.format)} × ${formatLength(survey.height, wording.format)}`}
            />
          </p>
        </Heading>
        <WallStage handles />
      </Drawn>
      <Side aria-label="Layout">
        <section>
          <h3>How it is laid out</h3>
          <SpacingSentence />
          <FrameSentence />
          <OwnSize />
        </section>
        <CountChoices />
        <Findings only={({ stage }) => stage !== 'measure'} />
        <StripInHand />
      </Side>
    </Split>
  )
}
