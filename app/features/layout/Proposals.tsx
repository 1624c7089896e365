import { inForce } from '~/model'
import { memo, useMemo, useState } from 'react'
import { Info } from 'lucide-react'
import { Button as Pressable, DialogTrigger } from 'react-aria-components'
import { styled } from 'styled-components'
import type { Finding } from '~/core/findings/finding'
import type { ProposalCard, ProposalCards } from '~/core/judgement/cards'
import type { Scene } from '~/core/scene/buildScene'
import { fitFrame } from '~/drawing/view/frame'
import { colorsOf } from '~/core/agree/wallColors'
import { paintedPalette } from '~/drawing/view/painted'
import { type Palette, SCREEN } from '~/drawing/view/palette'
import { SceneView } from '~/drawing/view/SceneView'
import { useWallEditor } from '~/editor/WallEditor'
import {
  type ProposalFigure,
  proposalFigures,
  proposalTitle,
  proposalWhy,
  searchClaim,
  thanNow,
  uprightsAlone,
} from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { PopoverBody, PopoverCard } from '~/ui/PopoverCard'
import { narrow, space, touch, type } from '~/ui/theme'
import { searchProposals } from '~/workers/proposalsClient'
import { JudgementFields } from './JudgementFields'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { useAskedOfWall } from './useAskedOfWall'

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
  ${narrow} {
    /* room for what is claimed, so that nothing below moves when it comes */
    & > [role='status'] {
      flex: 1 0 100%;
      min-height: 3em;
    }
  }
`
const List = styled.ol`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: ${space.s};
  list-style: none;
  padding: 0;
  /* the cards' room is there before they are */
  min-height: 118px;
  ${narrow} {
    display: flex;
    overflow-x: auto;
    & > li {
      flex: 0 0 200px;
    }
  }
`
const Item = styled.li`
  position: relative;
  display: grid;
`
const Card = styled(Pressable)`
  display: grid;
  align-content: start;
  gap: 1px;
  width: 100%;
  padding: ${space.s} ${space.s} ${space.s} ${space.m};
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--raised);
  color: var(--ink);
  text-align: left;
  cursor: pointer;
  & b {
    padding-right: 30px;
    font-size: ${type.body};
    line-height: 1.3;
  }
  &[data-hovered],
  &[data-focus-visible] {
    border-color: var(--chalk);
    background: var(--chalk-wash);
  }
`
/** The same figure stands in the same place on every card. */
const Figure = styled.small<{ $than: ProposalFigure['than'] }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 14px;
  gap: 4px;
  font-size: ${type.small};
  line-height: 1.35;
  color: var(--ink-soft);
  & > span:nth-child(2) {
    font-weight: 650;
    color: ${({ $than }) =>
      $than === 'worse' ? 'var(--red)' : $than === 'better' ? 'var(--green)' : 'var(--ink)'};
  }
  & > span:last-child {
    color: ${({ $than }) => ($than === 'worse' ? 'var(--red)' : 'var(--green)')};
  }
`
const Ask = styled(Button)`
  position: absolute;
  top: 2px;
  right: 2px;
  min-width: 36px;
  min-height: 36px;
  padding: 0;
  justify-content: center;
  ${touch} {
    min-width: 48px;
    min-height: 48px;
    /* the mark stays in its corner, off the figures */
    align-items: flex-start;
    justify-content: flex-end;
    padding: 9px;
  }
`
const MARKS = { better: '▾', worse: '▴' } as const

const SIZE = { width: 168, height: 60 }

const NOTHING: ReadonlySet<string> = new Set()

/** A proposal's drawing; it stays as it is while the wall is worked on. */
const Thumbnail = memo(function Thumbnail({ scene, palette }: { scene: Scene; palette: Palette }) {
  const frame = fitFrame(SIZE, scene, { left: 2, right: 2, top: 2, bottom: 2 })
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} aria-hidden="true">
      <SceneView scene={scene} frame={frame} palette={palette} selected={null} flagged={NOTHING} />
    </svg>
  )
})

function Proposed({
  card,
  answer: { plates, now },
  old,
}: {
  card: ProposalCard
  answer: ProposalCards
  old: boolean
}) {
  const { workpiece, wording, edit, lookAt } = useWallEditor()
  const { survey } = workpiece.wall
  const design = inForce(workpiece.wall.design)
  const { proposal, scene } = card
  const why = proposalWhy(proposal, survey, plates, design.pattern, wording)
  const title = proposalTitle(proposal, design.pattern, wording)
  return (
    <Item>
      <Card
        aria-label={`${title}. ${why}`}
        data-proposal
        // an answer to an earlier wall would take back what was changed since
        onPress={() => (old ? undefined : edit(proposal.edits, 'done'))}
        onHoverStart={() => lookAt(proposal.edits)}
        onHoverEnd={() => lookAt(null)}
        onFocus={() => lookAt(proposal.edits)}
        onBlur={() => lookAt(null)}
      >
        <b>
          <Fractions text={title} />
        </b>
        {proposalFigures(card, now, plates, wording).map(({ name, text, than }) => (
          <Figure key={name} $than={than} data-than={than ?? undefined}>
            <span>{name}</span>
            <span>
              <Fractions text={text} />
            </span>
            <span role={than ? 'img' : undefined} aria-label={than ? thanNow[than] : undefined}>
              {than ? MARKS[than] : ''}
            </span>
          </Figure>
        ))}
      </Card>
      <DialogTrigger>
        <Ask $kind="quiet" aria-label={`Why ${title}`}>
          <Info size={18} aria-hidden />
        </Ask>
        <PopoverCard>
          <PopoverBody aria-label={title}>
            <Thumbnail scene={scene} palette={paintedPalette(SCREEN, colorsOf(design, workpiece.settings))} />
            <p>
              <Fractions text={why} />
            </p>
          </PopoverBody>
        </PopoverCard>
      </DialogTrigger>
    </Item>
  )
}

/** A strip lies where something is. */
function isTrouble({ says, severity }: Finding): boolean {
  return says.code === 'stripMeets' && severity === 'wrong'
}

/** The best layouts within the limits, as small drawings; one press takes one. */
export function Proposals() {
  const { plan } = useWallEditor()
  const { answer, searching, failed } = useWorkerAnswer(useAskedOfWall(), searchProposals, true)
  const [opened, setOpened] = useState<boolean | null>(null)
  const [sawTrouble] = useState(() => plan.findings.some(isTrouble))
  // where something stands in the way the ways round it are shown without asking
  const open = opened ?? sawTrouble
  const struck = plan.layout.moves?.moves.some(({ stripIds }) => stripIds.length > 0) ?? false
  const claim = useMemo(
    () => (answer ? `${searchClaim(answer)}${struck ? uprightsAlone : ''}` : ''),
    [answer, struck],
  )
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
            <Proposed key={card.proposal.id} card={card} answer={answer} old={searching} />
          ))}
        </List>
      ) : null}
    </Panel>
  )
}
