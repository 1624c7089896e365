import { inForce } from '~/model'
import { rulesOf } from '~/core/patterns/rules'
import { Asked } from '~/editor/Asked'
import { Findings } from '~/editor/Findings'
import { StripInHand } from '~/editor/StripInHand'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { layoutTitle, wallSizeText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Row } from '~/ui/page'
import { BackerFold } from './BackerFold'
import { BookFold, HouseFold } from './BookFold'
import { CompanionsFold } from './companions/CompanionsFold'
import { CountChoices } from './CountChoices'
import { FrameSentence } from './FrameSentence'
import { KeptSentence, LikeBeside } from './KeptSentence'
import { AlignFold, HeightsFold } from './HeightsFold'
import { OwnSize } from './OwnSize'
import { PATTERN_PARTS } from './patternParts'
import { PatternPicks } from './PatternPicks'
import { Proposals } from './Proposals'
import { RailsFold } from './RailsFold'
import { SightFold } from './StandWords'
import { SectionsFold } from './SectionsFold'

/** Stage two: how many, how high, how far apart. */
export function LayoutStage() {
  const { plan, workpiece, wording } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { places, counts } = rulesOf(design)
  const counted = counts(design)
  const { Sentences, Folds = [], Drawing } = PATTERN_PARTS[design.pattern]
  return (
    <Split>
      <Drawn>
        <Heading>
          <h1>
            <Fractions text={layoutTitle(plan, wording)} />
          </h1>
          <p>
            <Fractions text={`wall ${wallSizeText(survey, wording)}`} />
          </p>
        </Heading>
        {Drawing ? <Drawing /> : <WallStage handles />}
        {counted ? <Proposals /> : null}
      </Drawn>
      <Side aria-label="Layout">
        <section>
          <h2>How it is laid out</h2>
          <PatternPicks />
          {Sentences.map((Sentence, i) => (
            <Sentence key={i} />
          ))}
          {places === null ? null : <FrameSentence />}
          <KeptSentence />
          <Row>
            {counted && places === 'uprights' ? <OwnSize /> : null}
            <LikeBeside />
          </Row>
        </section>
        {counted ? <CountChoices /> : null}
        <Asked />
        <Findings only={({ stage }) => stage !== 'measure'} />
        {Folds.map((Fold, i) => (
          <Fold key={i} />
        ))}
        <HeightsFold />
        {counted && places === 'uprights' ? <SightFold /> : null}
        <AlignFold />
        <SectionsFold />
        <RailsFold />
        <CompanionsFold />
        <BackerFold />
        <BookFold />
        <HouseFold />
        <StripInHand />
      </Side>
    </Split>
  )
}
