import { styled } from 'styled-components'
import { LEVEL_FROM, type LevelFrom } from '~/core/marks/markWalk'
import { type Datum, type Edge, spacerBlock } from '~/core/marks/runningMarks'
import { rulesOf } from '~/core/patterns/rules'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { paperPageText, patternWords, sayWithUnit, stepText } from '~/messages'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { LinkButton } from '~/ui/Button'
import { Picks } from '~/ui/Picks'
import { narrow, space } from '~/ui/theme'
import { StageClock } from '~/editor/StageClock'
import { ToolAdvice } from '~/editor/ToolAdvice'
import { BlockCards } from './BlockCards'
import { CompanionMarks } from './CompanionMarks'
import { EvenFold } from './EvenFold'
import { HeightsTable, LaserField } from './HeightsTable'
import { LineMarks } from './LineMarks'
import { MarksTable } from './MarksTable'
import { MarkWalk } from './MarkWalk'
import { Reading } from './Reading'
import { type Line, useMarkHabits } from './useMarkHabits'

const Section = styled.section`
  display: grid;
  gap: ${space.s};
`
/** At the wall the number comes first, then how it is read. */
const AtWall = styled(Drawn)`
  ${narrow} {
    display: flex;
    flex-direction: column;
  }
`

/** Stage: where the tape goes. */
export function MarkStage() {
  const { plan, workpiece, identity } = useWallEditor()
  const { datum, edge, line, laser, heightsFrom, hook, levelFrom, at, keep } = useMarkHabits()
  const { tape } = workpiece.settings
  const counts = rulesOf(plan.layout).counts(plan.layout.design)
  return (
    <Split>
      <AtWall>
        <MarkWalk
          datum={datum}
          edge={edge}
          hook={hook}
          laser={heightsFrom === 'laser' ? laser : null}
          levelFrom={levelFrom}
          at={at}
          keep={keep}
        />
        <Heading>
          <h1>Running marks</h1>
          <Row>
            <Picks<Datum>
              label="Hook the tape in"
              value={datum}
              options={[
                { id: 'left', text: 'left corner' },
                { id: 'right', text: 'right corner' },
              ]}
              onChange={(next) => keep({ datum: next })}
            />
            <Picks<Line>
              label="Along which line"
              value={line}
              options={[
                { id: 'foot', text: 'foot line' },
                { id: 'head', text: 'head line' },
                { id: 'laser', text: 'laser line' },
              ]}
              onChange={(next) => keep({ line: next })}
            />
            {line === 'laser' ? <LaserField laser={laser} keep={keep} /> : null}
            <Picks<Edge>
              label="Mark which edge"
              value={edge}
              options={[
                { id: 'near', text: 'near edge' },
                { id: 'center', text: 'center' },
                { id: 'far', text: 'far edge' },
              ]}
              onChange={(next) => keep({ edge: next })}
            />
          </Row>
        </Heading>
        <WallStage datum={datum} edge={edge} hook={hook} />
      </AtWall>
      <Side aria-label="Marks">
        <LineMarks />
        <MarksTable datum={datum} edge={edge} hook={hook} />
        {counts ? <SpacerBlock spacer={spacerBlock(plan.layout, datum, tape, hook)} /> : null}
        <CompanionMarks />
        <BlockCards />
        <ToolAdvice of={['level', 'laser', 'tapeHook']} />
        <EvenFold />
        <Row>
          <StageClock stage="mark" />
          <LinkButton href={`/jobs/${identity.job.id}/paper?wall=${identity.id}`}>
            {paperPageText.rodOnPaper}
          </LinkButton>
        </Row>
        <Section aria-label="Heights">
          <Picks<LevelFrom>
            label={stepText.levelFrom}
            value={levelFrom}
            options={LEVEL_FROM.map((id) => ({ id, text: stepText.levelAt[id] }))}
            onChange={(next) => keep({ levelFrom: next })}
          />
          <HeightsTable from={heightsFrom} laser={laser} asked={line !== 'laser'} keep={keep} />
        </Section>
        <Soft>
          Strike a level line from the highest point of the floor first. Before you drill or nail, think of
          cables and pipes behind the board: they run above and below every box.
        </Soft>
      </Side>
    </Split>
  )
}

function SpacerBlock({ spacer }: { spacer: ReturnType<typeof spacerBlock> }) {
  const { plan, wording } = useWallEditor()
  const { one } = patternWords(plan.layout)
  return (
    <Section aria-label="Spacer block">
      <h2>Spacer block</h2>
      {spacer ? (
        <>
          <p>
            Cut one at <Reading reading={spacer.length} />, from the edge of one {one} to the next
          </p>
          {spacer.checks.length > 0 ? (
            <Soft as="div">
              Blocks add up their error, marks do not. Check the near edge of every third {one} before you
              nail:
              <ul>
                {spacer.checks.map(({ stripId, number, near }) => (
                  <li key={stripId}>
                    {one} {number} at <Fractions text={sayWithUnit(near.tick, wording)} />
                  </li>
                ))}
              </ul>
            </Soft>
          ) : null}
        </>
      ) : (
        <Soft>The inner gaps are not alike, so no one block holds them. Use the marks.</Soft>
      )}
    </Section>
  )
}
