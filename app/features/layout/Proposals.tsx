import { inForce } from '~/model'
import { memo, useMemo, useState } from 'react'
import { Button as Pressable } from 'react-aria-components'
import { styled } from 'styled-components'
import type { Finding } from '~/core/findings/finding'
import type { ProposalCard } from '~/core/judgement/cards'
import type { Scene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { SCREEN } from '~/drawing/view/palette'
import { SceneView } from '~/drawing/view/SceneView'
import { useWallEditor } from '~/editor/WallEditor'
import { count, proposalTitle, proposalWhy, searchClaim } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { searchProposals } from '~/workers/proposalsClient'
import { JudgementFields } from './JudgementFields'
import { useWorkerAnswer } from './useWorkerAnswer'

const Panel = styled.section`
  display: grid;
  gap: ${space.s};
  padding: ${space.s} 0 ${space.m};
  border-top: 1px solid var(--line);
`
const Top = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${space.xs} ${space.m};
  min-height: 40px;
`
const List = styled.ol`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: ${space.s};
  list-style: none;
  padding: 0;
  ${narrow} {
    display: flex;
    overflow-x: auto;
    & > li {
      flex: 0 0 200px;
    }
  }
`
const Card = styled(Pressable)`
  display: grid;
  align-content: start;
  gap: 2px;
  width: 100%;
  height: 100%;
  padding: ${space.xs} ${space.s} ${space.s};
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--raised);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
  & svg {
    display: block;
    width: 100%;
    height: auto;
  }
  & b {
    font-size: ${type.body};
    line-height: 1.2;
  }
  & small {
    font-size: ${type.small};
    line-height: 1.2;
    color: var(--ink-soft);
  }
  &[data-hovered],
  &[data-focus-visible] {
    border-color: var(--chalk);
    background: var(--chalk-wash);
  }
  &[data-now] {
    border: 2px solid var(--chalk);
  }
`
const Hit = styled.small`
  &&& {
    color: var(--red);
    font-weight: 600;
  }
`

const SIZE = { width: 168, height: 60 }

const NOTHING: ReadonlySet<string> = new Set()

/** A proposal's drawing; it stays as it is while the wall is worked on. */
const Thumbnail = memo(function Thumbnail({ scene }: { scene: Scene }) {
  const frame = fitFrame(SIZE, scene, { left: 2, right: 2, top: 2, bottom: 2 })
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} aria-hidden="true">
      <SceneView scene={scene} frame={frame} palette={SCREEN} selected={null} flagged={NOTHING} />
    </svg>
  )
})

function Proposed({ card, plates, old }: { card: ProposalCard; plates: number; old: boolean }) {
  const { workpiece, wording, edit, lookAt } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { proposal, scene, pieces, boards } = card
  const why = proposalWhy(proposal, survey, plates, design.pattern, wording)
  const Why = proposal.hits.length > 0 ? Hit : 'small'
  return (
    <Card
      aria-label={`${proposalTitle(proposal, design.pattern, wording)}. ${why}`}
      // an answer to an earlier wall would take back what was changed since
      onPress={() => (old ? undefined : edit(proposal.edits, 'done'))}
      onHoverStart={() => lookAt(proposal.edits)}
      onHoverEnd={() => lookAt(null)}
      onFocus={() => lookAt(proposal.edits)}
      onBlur={() => lookAt(null)}
    >
      <Thumbnail scene={scene} />
      <b>
        <Fractions text={proposalTitle(proposal, design.pattern, wording)} />
      </b>
      <Why>
        {count(pieces, 'piece')}, {boards === null ? 'not from these boards' : count(boards, 'board')}.{' '}
        <Fractions text={why} />
      </Why>
    </Card>
  )
}

/** A strip lies where something is. */
function isTrouble({ says, severity }: Finding): boolean {
  return says.code === 'stripMeets' && severity === 'wrong'
}

/** The best layouts within the limits, as small drawings; one press takes one. */
export function Proposals() {
  const { workpiece, plan } = useWallEditor()
  const { answer, searching, failed } = useWorkerAnswer(workpiece, searchProposals, true)
  const [opened, setOpened] = useState<boolean | null>(null)
  const [sawTrouble] = useState(() => plan.findings.some(isTrouble))
  // where something stands in the way the ways round it are shown without asking
  const open = opened ?? sawTrouble
  const claim = useMemo(() => (answer ? searchClaim(answer) : ''), [answer])
  return (
    <Panel aria-label="Proposals" aria-busy={searching}>
      <Top>
        <Soft as="div" role="status">
          <b>Proposals.</b>{' '}
          {failed
            ? 'The search broke down; change anything to start it again.'
            : claim || 'Looking for layouts…'}
        </Soft>
        <Row>
          <Button aria-expanded={open} onPress={() => setOpened(!open)}>
            {open ? 'Put them away' : 'Show the best five'}
          </Button>
          <JudgementFields />
        </Row>
      </Top>
      {open ? (
        <List>
          {answer?.cards.map((card) => (
            <li key={card.proposal.id}>
              <Proposed card={card} plates={answer.plates} old={searching} />
            </li>
          ))}
        </List>
      ) : null}
    </Panel>
  )
}
