import { Link } from 'react-router'
import { styled } from 'styled-components'
import { BoardRows } from '~/editor/BoardRows'
import { Findings } from '~/editor/Findings'
import type { MaterialBoards } from '~/editor/useBoards'
import { useWallEditor } from '~/editor/WallEditor'
import { WallStage } from '~/editor/WallStage'
import { Column, Heading, Side, Split } from '~/editor/Workbench'
import { toRelease } from '~/core/cutting/toRelease'
import { addKnownCosts, type CutBoard, newBoards, tightBoards } from '~/core/stock'
import { byTotalLength } from '~/core/yard/alternatives'
import { type Offer, TAKEN_OFF } from '~/model'
import {
  boardIssueText,
  boardsText,
  byLengthText,
  cutSoFarText,
  knownCostText,
  materialName,
  money,
  provenText,
  say,
  sayStock,
  sheetText,
  sparesText,
  tightBoardText,
  supplyText,
} from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft, Spread } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { Preparing } from './Preparing'
import { SheetsPart } from './SheetsPart'
import { OfferTable, SawFields } from './ShopFields'

const Figures = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s} ${space.xl};
  & dd {
    font-size: ${type.title};
    font-weight: 700;
  }
  & dt {
    font-size: ${type.small};
    color: var(--ink-soft);
  }
  ${narrow} {
    display: grid;
    grid-template-columns: 1fr 1fr;
    & dt {
      min-height: 2.9em;
    }
  }
`
const ToJob = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
`
const Material = styled.section`
  display: grid;
  gap: ${space.m};
  max-width: 900px;
`

/** What the search says has its place, so that nothing moves when it ends. */
const Search = styled(Row)`
  min-height: 48px;
  ${narrow} {
    flex: 1 0 100%;
    min-height: 112px;
    align-content: center;
  }
`

function shopping(boards: readonly { length: MaterialBoards['request']['offers'][number]['length'] }[]) {
  const counts = new Map<(typeof boards)[number]['length'], number>()
  for (const { length } of boards) counts.set(length, (counts.get(length) ?? 0) + 1)
  return [...counts].sort(([a], [b]) => a - b)
}

/** Boards as long as they are sold, whatever they truly measure. */
function asSold(boards: readonly CutBoard[], offers: readonly Offer[]) {
  return boards.map(({ offerId, length }) => ({
    length: offers.find(({ id }) => id === offerId)?.length ?? length,
  }))
}

function MaterialPlan({ boards }: { boards: MaterialBoards }) {
  const { wording, workpiece, boards: all, plan: wallPlan } = useWallEditor()
  const { request, result, state } = boards
  const { currency } = workpiece.settings
  const name = materialName(request.materialId, wording)
  if (!result.ok)
    return (
      <Material>
        <h2>
          <Fractions text={name} />
        </h2>
        <p>
          <Fractions text={boardIssueText(result.issue, wording)} />
        </p>
      </Material>
    )
  const plan = result.value
  const fresh = newBoards(plan)
  const cut = all.cut.get(request.materialId) ?? 0
  const spare = sparesText(plan.spares)
  const looksLike = cut > 0 ? null : byLengthText(byTotalLength(plan), plan)
  const { adviceOf } = toRelease(wallPlan, workpiece)
  const measured = new Set(
    wallPlan.cutList.filter((row) => adviceOf(row).advice !== 'batch').map(({ label }) => label),
  )
  const tight = tightBoards(plan, (label) => measured.has(label), workpiece.settings.fit)
  return (
    <Material data-material={request.materialId}>
      <Spread>
        <h2>
          <Fractions text={name} />
        </h2>
        <Search role="status">
          <Soft>{provenText(plan, state, currency)}</Soft>
          {state === 'searching' ? <Button onPress={all.stop}>{boardsText.stop}</Button> : null}
        </Search>
      </Spread>
      <Figures>
        <div>
          <dd data-testid="boards-of-material">{fresh.length}</dd>
          <dt>
            <Fractions
              text={shopping(asSold(fresh, workpiece.settings.shop.offers))
                .map(([length, n]) => `${n} of ${sayStock(length, wording)}`)
                .join(' + ')}
            />
          </dt>
        </div>
        <div>
          <dd>{plan.known.pricedLengths === 0 ? '–' : money(plan.known.sum, currency)}</dd>
          <dt data-testid="known-cost">{knownCostText(plan.known)}</dt>
        </div>
        <div>
          <dd>{(plan.waste * 100).toFixed(1)} %</dd>
          <dt>waste, kerfs too</dt>
        </div>
      </Figures>
      {workpiece.settings.shop.ripped[request.materialId] === undefined ? null : (
        <Soft>{sheetText.rippedHere}</Soft>
      )}
      {cut > 0 ? <p data-testid="cut-so-far">{cutSoFarText(plan, cut)}</p> : null}
      {looksLike ? <p data-testid="looks-like">{looksLike}</p> : null}
      <p>
        <b>Spare: </b>
        {spare}
      </p>
      {tight.map((board) => (
        <p key={board.boardNumber} data-tight={board.boardNumber}>
          <b>Risk: </b>
          <Fractions text={tightBoardText(board, wording)} />
        </p>
      ))}
      <BoardRows plan={plan} />
    </Material>
  )
}

/** Stage: which boards to buy. */
export function BuyStage() {
  const { boards, plan, wording, workpiece, identity } = useWallEditor()
  const used = [...new Set(plan.pieces.map(({ materialId }) => materialId))].filter((id) => id !== TAKEN_OFF)
  const known = addKnownCosts(
    boards.materials.flatMap(({ result }) => (result.ok ? [result.value.known] : [])),
  )
  return (
    <Split>
      <Column aria-label="Boards to buy">
        <Heading>
          <h1>Boards to buy</h1>
          {known.pricedLengths > 0 && boards.materials.length > 1 ? (
            <p data-testid="cost-in-all">
              {money(known.sum, workpiece.settings.currency)} in all, {knownCostText(known)}
            </p>
          ) : null}
        </Heading>
        {boards.materials.map((material) => (
          <MaterialPlan key={material.request.materialId} boards={material} />
        ))}
        {boards.materials.length === 0 ? <Soft>There are no pieces yet, so nothing to buy.</Soft> : null}
        <Soft>
          {boardsText.newOnly}{' '}
          <ToJob to={`/jobs/${identity.job.id}/boards?for=wall:${identity.id}`}>
            {boardsText.withInHand}
          </ToJob>
          <ToJob to={`/jobs/${identity.job.id}/supplies?for=wall:${identity.id}`}>{supplyText.ofWall}</ToJob>
        </Soft>
        <WallStage height="230px" />
      </Column>
      <Side aria-label="The shop">
        <Findings only={({ stage, says }) => stage === 'buy' && says.code !== 'bandJoined'} />
        <Preparing />
        <SawFields />
        <SheetsPart />
        {used.map((materialId) => (
          <OfferTable key={materialId} materialId={materialId} />
        ))}
        <Soft>
          <Fractions
            text={`One kerf is lost between two pieces, and ${say(workpiece.settings.shop.endTrim, wording)} once a board. Two pieces of half a board never come from one board.`}
          />
        </Soft>
      </Side>
    </Split>
  )
}
