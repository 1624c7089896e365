import { Findings } from '~/editor/Findings'
import { StripInHand } from '~/editor/StripInHand'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { formatLength } from '~/length'
import { layoutTitle } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { BoxSentence } from './BoxSentence'
import { CellChoices } from './CellChoices'
import { CountChoices } from './CountChoices'
import { FrameSentence } from './FrameSentence'
import { GridSentence } from './GridSentence'
import { AlignFold, HeightsFold } from './HeightsFold'
import { OwnSize } from './OwnSize'
import { PatternPicks } from './PatternPicks'
import { Proposals } from './Proposals'
import { RailsFold } from './RailsFold'
import { SectionsFold } from './SectionsFold'
import { SpacingSentence } from './SpacingSentence'

/** Stage two: how many, how high, how far apart. */
export function LayoutStage() {
  const { plan, workpiece, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const { pattern } = workpiece.wall.design
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>
            <Fractions text={layoutTitle(plan, wording)} />
          </h1>
          <p>
            <Fractions
              text={`wall ${formatLength(survey.width, wording.format)} × ${formatLength(survey.height, wording.format)}`}
            />
          </p>
        </Heading>
        <WallStage handles />
        {pattern === 'rails' ? null : <Proposals />}
      </Drawn>
      <Side aria-label="Layout">
        <section>
          <h3>How it is laid out</h3>
          <PatternPicks />
          {pattern === 'boxes' ? <BoxSentence /> : pattern === 'rails' ? null : <SpacingSentence />}
          {pattern === 'grid' ? <GridSentence /> : null}
          {pattern === 'grid' ? <CellChoices /> : null}
          <FrameSentence />
          {pattern === 'boxes' || pattern === 'rails' ? null : <OwnSize />}
        </section>
        <CountChoices />
        <Findings only={({ stage }) => stage !== 'measure'} />
        <HeightsFold />
        <AlignFold />
        <SectionsFold />
        <RailsFold />
        <StripInHand />
      </Side>
    </Split>
  )
}
