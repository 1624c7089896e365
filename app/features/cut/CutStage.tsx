import { useCallback, useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { sawTrips } from '~/core/cutting/openings'
import { type CutCard, cardGroups } from '~/core/cutting/cutCards'
import type { Frame } from '~/drawing/view/frame'
import { BoardRows } from '~/editor/BoardRows'
import { Matters } from '~/editor/Matters'
import { ReadyToCut } from '~/editor/ReadyToCut'
import { useSelected, useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Drawn, Heading, Side, Split } from '~/editor/Workbench'
import {
  count,
  groupSettingText,
  jointText,
  materialName,
  paperPageText,
  sawText,
  setupsText,
  tripsText,
  visitText,
  WORK_CAUTIONS,
} from '~/messages'
import { LinkButton } from '~/ui/Button'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { BlockKitFold } from './BlockKitFold'
import { CutActsProvider } from './CutActs'
import { CutRow } from './CutRow'
import { CutWalk } from './CutWalk'
import { FixingChoice } from './FixingChoice'
import { Flaws } from './Flaws'
import { InHand } from './InHand'
import { JointHandles } from './JointHandles'
import { JointsFold } from './JointsFold'
import { LineGroups } from './LineGroups'
import { PanelSeams } from './PanelSeams'
import { PanelsFold } from './PanelsFold'
import { ReleaseBar } from './ReleaseBar'
import { SawBench } from './SawBench'
import { type RowState, rowStates, useCutList } from './useCutList'
import { useSetups } from './useSetups'

/** The wall keeps the larger part of the stage; the list beside it is wide enough for a line a row. */
const Stage = styled(Split)`
  grid-template-columns: minmax(0, 1fr) 420px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`
/** What keeps the list from the saw, opened, pushes the wall down rather than over what lies below it. */
const Wall = styled(Drawn).attrs({ tabIndex: 0 })`
  grid-template-rows: auto minmax(300px, 1fr) auto;
  overflow-y: auto;
  padding: ${space.m} 0 0 ${space.l};
  ${narrow} {
    display: flex;
    flex-direction: column;
    padding: ${space.m} ${space.s} 0;
  }
`
const Group = styled.h2`
  padding: ${space.m} 0 ${space.xs};
  font-size: ${type.body};
  font-weight: 600;
  color: var(--ink-soft);
`
const List = styled.ul`
  border-top: 1px solid var(--line);
`

/** Over the wall: the panels under the trim, and the grips of the joints. */
function overWall(frame: Frame) {
  return (
    <>
      <PanelSeams frame={frame} />
      <JointHandles frame={frame} />
    </>
  )
}

/** Something of a row is still to be cut. */
function isOpen(state: RowState | undefined): boolean {
  return !state || state.cut.length < state.names.length
}

/** Stage: what to cut, on the wall, at the saw and from the boards. */
export function CutStage() {
  const list = useCutList()
  const { cards, release, record } = list
  const { identity, plan, boards, wording, select } = useWallEditor()
  const own = `/jobs/${identity.job.id}/walls/${identity.id}`
  const selected = useSelected()
  const [picked, setPicked] = useState<string | null>(null)
  const groups = useMemo(() => cardGroups(cards), [cards])
  const ordered = useMemo(() => groups.flatMap((group) => group.cards), [groups])
  const piecesOf = useMemo(() => {
    const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]))
    return new Map(ordered.map((card) => [card, card.row.pieceIds.flatMap((id) => byId.get(id) ?? [])]))
  }, [plan, ordered])
  const lit = (card: CutCard) => (piecesOf.get(card) ?? []).some(({ stripId }) => stripId === selected)
  // of several rows that one strip comes from the one that was pressed
  const inHand = ordered.find((card) => card.row.label === picked && lit(card)) ?? ordered.find(lit) ?? null
  const onPick = useCallback(
    (card: CutCard) => {
      const first = plan.pieces.find(({ id }) => id === card.row.pieceIds[0])
      const same = picked === card.row.label && selected === first?.stripId
      setPicked(same ? null : card.row.label)
      select(same ? null : (first?.stripId ?? null))
    },
    [plan, select, picked, selected],
  )
  const onCut = useCallback((names: readonly string[]) => record(names, { kind: 'pieceCut' }), [record])
  const states = rowStates(release)
  const setups = useSetups(cards)
  const labels = useMemo(
    () => new Map(cards.flatMap(({ row }) => row.pieceIds.map((id) => [id, row.label] as const))),
    [cards],
  )
  const trips = useMemo(
    () =>
      release
        ? sawTrips(
            release.pieces.map(({ piece }) => ({
              name: piece.name,
              open: piece.advice.advice !== 'batch',
              after: piece.after,
            })),
          )
        : null,
    [release],
  )
  const open = new Set(
    release?.pieces.flatMap(({ piece }) => (piece.advice.advice === 'batch' ? [] : [piece.name])) ?? [],
  )
  // a tick draws nothing of the boards or the wall anew
  const fromBoards = useMemo(() => {
    const several = boards.materials.length > 1
    return boards.materials.map(({ request, result }) =>
      result.ok ? (
        <section key={request.materialId}>
          {several ? (
            <h3>
              <Fractions text={materialName(request.materialId, wording)} />
            </h3>
          ) : null}
          <BoardRows plan={result.value} />
          <Flaws plan={result.value} />
        </section>
      ) : null,
    )
  }, [boards.materials, wording])
  const wall = useMemo(() => <WallStage rods={false} labels={labels} over={overWall} />, [labels])
  return (
    <CutActsProvider value={list}>
      <Stage>
        <Wall aria-label="Cut list">
          {plan.pieces.length > 0 ? <CutWalk cards={ordered} /> : null}
          <Heading>
            <h1>Cut list, {count(plan.pieces.length, 'piece')}</h1>
            <ReadyToCut />
          </Heading>
          {wall}
          <InHand card={inHand ?? ordered.find(({ row }) => isOpen(states.get(row.label))) ?? null} />
        </Wall>
        <Side aria-label={sawText.list}>
          <ReleaseBar />
          <div>
            {groups.map(({ materialId, start, end, cards: of }) => (
              <section key={of[0]?.group}>
                <Group>
                  <Fractions text={materialName(materialId, wording)} />. {groupSettingText(start, end)}
                </Group>
                <List>
                  {of.map((card) => (
                    <CutRow
                      key={card.row.label}
                      card={card}
                      pieces={piecesOf.get(card) ?? []}
                      lit={inHand === card}
                      state={states.get(card.row.label) ?? null}
                      details={
                        inHand === card
                          ? (release?.pieces.filter(({ piece }) =>
                              card.row.pieceIds.includes(piece.pieceId),
                            ) ?? [])
                          : []
                      }
                      onPick={onPick}
                      onCut={onCut}
                    />
                  ))}
                </List>
              </section>
            ))}
            {cards.length === 0 ? <Soft>No pieces yet.</Soft> : null}
          </div>
          <Matters brief />
          <Fold title={sawText.setups} aside={String(setups.count)}>
            <p data-setups={setups.count}>{setupsText(setups)}</p>
            <ol aria-label={sawText.setups}>
              {setups.visits.map((visit, i) => (
                <li key={i}>
                  <Fractions text={visitText(visit, wording)} />
                </li>
              ))}
            </ol>
            {trips && open.size > 0 ? <p data-trips={trips.length}>{tripsText(trips, open)}</p> : null}
          </Fold>
          <Fold title={sawText.boards} open>
            {fromBoards}
            {boards.materials.length === 0 ? <Soft>No pieces yet.</Soft> : null}
          </Fold>
          <JointsFold />
          <BlockKitFold />
          <PanelsFold />
          <SawBench />
          <LineGroups />
          <FixingChoice />
          <Row>
            <LinkButton href={`${own}/cut/labels`}>{jointText.labels}</LinkButton>
            <LinkButton href={`${own}/cut/ticket`}>{jointText.ticket}</LinkButton>
            <LinkButton href={`/jobs/${identity.job.id}/paper?wall=${identity.id}`}>
              {paperPageText.onPaper}
            </LinkButton>
          </Row>
          <ul aria-label="Cautions">
            {WORK_CAUTIONS.map((caution) => (
              <li key={caution}>
                <Soft>{caution}</Soft>
              </li>
            ))}
          </ul>
        </Side>
      </Stage>
    </CutActsProvider>
  )
}
