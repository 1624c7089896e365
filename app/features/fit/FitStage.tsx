import { Check } from 'lucide-react'
import { useState } from 'react'
import { styled } from 'styled-components'
import type { Frame } from '~/drawing/view/frame'
import { StageClock } from '~/editor/StageClock'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import { builtText, clockText, fitText, groupName, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { BuiltPanel } from './BuiltPanel'
import { ChangedList } from '~/editor/ChangedList'
import { FitMarks } from './FitMarks'
import { FitPiece } from './FitPiece'
import { FitWalk } from './FitWalk'
import { whereText } from './fitWords'
import { type Fit, useFit } from './useFit'

const AtWall = styled(Drawn)`
  ${narrow} {
    display: flex;
    flex-direction: column;
  }
`
/** On the desk; on a phone the walk says all of it larger. */
const AtDesk = styled.section`
  display: grid;
  gap: ${space.m};
  ${narrow} {
    display: none;
  }
`
const Big = styled.p`
  font-size: 40px;
  font-weight: 700;
  line-height: 1.1;
`
const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space.s};
  align-items: center;
  border-bottom: 1px solid var(--line);
  &[data-on='true'] {
    background: var(--chalk-wash);
  }
`
const Name = styled(Button)`
  justify-content: flex-start;
  text-align: left;
  padding-left: 0;
`
const Small = styled.span`
  font-size: ${type.small};
  color: var(--ink-soft);
`

/** Stage: piece by piece onto the wall, and what is to be done where it turns out otherwise. */
export function FitStage() {
  const fit = useFit()
  const { stops } = fit
  const { wording } = useWallEditor()
  const up = stops.filter((each) => !fit.isOpen(each)).length
  const names = new Map(stops.map(({ card, name }) => [card.pieceId, name]))
  return (
    <Split>
      <AtWall>
        <FitWalk fit={fit} />
        <Heading>
          <h1>{fitText.title}</h1>
          <p role="status" data-testid="fit-count">
            {stops.length === 0
              ? fitText.none
              : up === stops.length
                ? fitText.allUp(stops.length)
                : fitText.count(up, stops.length)}
          </p>
        </Heading>
        <WallStage
          rods={false}
          labels={names}
          over={(frame: Frame) => <FitMarks fit={fit} frame={frame} />}
        />
        <Soft>{fitText.caution}</Soft>
      </AtWall>
      <Side aria-label={fitText.title}>
        {fit.stop ? <DeskPiece fit={fit} wording={wording} /> : null}
        <ChangedList acts={fit.acts} />
        <BuiltPanel fit={fit} />
        <PieceList fit={fit} />
      </Side>
    </Split>
  )
}

function DeskPiece({
  fit,
  wording,
}: {
  readonly fit: Fit
  readonly wording: ReturnType<typeof useWallEditor>['wording']
}) {
  const { stop, stops, at, goTo, next, record, pull, isOpen } = fit
  const [said, setSaid] = useState('')
  if (!stop) return null
  const words = whereText(stop, wording)
  const { state } = stop
  return (
    <>
      <AtDesk aria-label={fitText.walk}>
        <h2>
          {words.name} · {words.strip} <Small>{fitText.place(at + 1, stops.length)}</Small>
        </h2>
        <div>
          <Small>{words.from}</Small>
          <Big data-testid="fit-number">
            <Fractions text={words.number} />
          </Big>
          <Small>
            <Fractions text={[words.side, words.more, words.also].filter((each) => each !== '').join(', ')} />
          </Small>
        </div>
        <Row>
          <Button aria-label={fitText.backTo} onPress={() => goTo(at - 1)}>
            ‹
          </Button>
          <Button
            onPress={() => {
              if (isOpen(stop)) record(stop, { kind: 'skipped' })
              goTo(at + 1)
            }}
          >
            {fitText.skip}
          </Button>
          <Button
            $kind="main"
            isDisabled={stops.length === 1 && !isOpen(stop)}
            why={whyNot.only}
            onPress={next}
          >
            {isOpen(stop) ? fitText.fitted : 'Next'}
          </Button>
        </Row>
        <FitPiece stop={stop} fit={fit} />
        <StageClock stage="fit" />
      </AtDesk>
      <Row>
        {isOpen(stop) ? null : (
          <>
            <Button onPress={() => record(stop, { kind: 'pieceDown' })}>{fitText.down}</Button>
            <Button onPress={() => setSaid(builtText.pulled(stop.name, pull(stop)))}>{builtText.pull}</Button>
          </>
        )}
        {state?.cutAt ? (
          <Button $kind="quiet" onPress={() => record(stop, { kind: 'spoiled', from: 'board' })}>
            {fitText.spoiled}
          </Button>
        ) : null}
      </Row>
      <p role="status" data-testid="pulled">
        {said}
      </p>
    </>
  )
}

function PieceList({ fit }: { readonly fit: Fit }) {
  const { stops, at, goTo } = fit
  return (
    <Fold title={fitText.list} aside={String(stops.length)}>
      <Soft>{fitText.orderNote}</Soft>
      <ol>
        {stops.map(({ card, name, state }, i) => (
          <Line
            key={card.pieceId}
            data-fit={name}
            data-on={i === at}
            data-up={(state?.upAt ?? null) !== null}
          >
            <Name $kind="quiet" aria-current={i === at} onPress={() => goTo(i)}>
              <span>
                <b>{name}</b> <Small>{groupName(card.group)}</Small>
              </span>
            </Name>
            <Small>
              {state?.upAt ? (
                <>
                  <Check size={16} aria-hidden /> {clockText(state.upAt)}
                </>
              ) : state?.skipped ? (
                fitText.skipped
              ) : (
                ''
              )}
            </Small>
          </Line>
        ))}
      </ol>
    </Fold>
  )
}
