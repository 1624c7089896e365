import { lazy, useMemo } from 'react'
import { styled } from 'styled-components'
import { byTotalLength } from '~/core/yard/alternatives'
import { boughtBoards, sourceOf } from '~/core/yard/jobRequests'
import { rackOf } from '~/core/yard/yardState'
import type { CutBoard } from '~/core/stock'
import type { MaterialBoards } from '~/editor/usePlannedBoards'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import {
  boardIssueText,
  boardsText,
  byLengthText,
  knownCostText,
  materialName,
  money,
  oneMorePieceText,
  provenText,
  sayStock,
  whyNot,
} from '~/messages'
import { Button } from '~/ui/Button'
import { SteadyButton } from '~/ui/SteadyButton'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft, Spread } from '~/ui/page'
import { Table } from '~/ui/Table'
import { Wide } from '~/ui/Wide'
import { narrow, space, type } from '~/ui/theme'
import { findAlternatives } from '~/workers/boardsClient'
import { BoardStack } from './BoardStack'
import { Charted } from '~/ui/Charted'
import type { JobBoards } from './useJobBoards'

const MixChart = lazy(() => import('./MixChart'))

const Section = styled.section`
  display: grid;
  gap: ${space.m};
  padding-top: ${space.l};
  border-top: 2px solid var(--ink);
`
const Search = styled(Row)`
  min-height: 48px;
  ${narrow} {
    flex: 1 0 100%;
    min-height: 96px;
    align-content: center;
  }
`
const Buy = styled.div`
  font-size: ${type.title};
  font-weight: 700;
  ${narrow} {
    min-height: 5.2em;
  }
`
/** A line that comes later has its place from the start. */
const Line = styled.p`
  min-height: 1.6em;
  ${narrow} {
    min-height: 3.2em;
  }
`

/** 4 of 8 ft + 2 of 12 ft: what of a plan is bought. */
function buyText(boards: readonly CutBoard[], { settings, wording }: JobBoards): string {
  const counts = new Map<number, { n: number; text: string }>()
  for (const { offerId } of boards) {
    const source = sourceOf(offerId)
    const offer = source.from === 'buy' ? settings.shop.offers.find(({ id }) => id === source.offer) : null
    if (!offer) continue
    const known = counts.get(offer.length)
    counts.set(offer.length, { n: (known?.n ?? 0) + 1, text: sayStock(offer.length, wording) })
  }
  return [...counts]
    .sort(([a], [b]) => a - b)
    .map(([, { n, text }]) => `${n} of ${text}`)
    .join(' + ')
}

/** The boards of one material: what to buy, how good the plan is, each board, and the same from other lengths. */
export function MaterialSection({
  material,
  job,
  onCut,
}: {
  readonly material: MaterialBoards
  readonly job: JobBoards
  readonly onCut: (materialId: string, board: CutBoard) => void
}) {
  const { wording, settings, yard } = job
  const { request, result, state } = material
  const { currency } = settings
  const name = materialName(request.materialId, wording)
  const plan = result.ok ? result.value : null
  const asked = useMemo(() => (plan ? { request, plan } : null), [request, plan])
  const settled = asked !== null && state !== 'searching'
  const { answer, searching } = useWorkerAnswer(
    asked,
    (of) => findAlternatives(of ?? never()),
    settled,
    30_000,
  )
  const rack = useMemo(() => rackOf(yard.acts), [yard.acts])
  if (!plan)
    return (
      <Section data-material={request.materialId}>
        <h2>
          <Fractions text={name} />
        </h2>
        <p>
          <Fractions text={result.ok ? '' : boardIssueText(result.issue, wording)} />
        </p>
      </Section>
    )
  const bought = boughtBoards(plan, settings)
  const names = new Map(job.walls.length > 1 ? job.walls.map(({ id, name: of }) => [id, of]) : [])
  const held = plan.boards.filter(({ offerId }) => sourceOf(offerId).from !== 'buy').length
  const looksLike = byLengthText(byTotalLength(plan), plan)
  const mixes = searching ? [] : (answer?.choices ?? [])
  // of many the sums come first, and the boards where they are asked for
  const few = job.boards.materials.length <= 2 || plan.boards.length <= 3
  const lengths = request.offers.filter(({ id }) => id.startsWith('buy:')).length
  const best = Math.min(...mixes.map(({ cost }) => cost ?? Infinity))
  return (
    <Section data-material={request.materialId} data-proven={plan.proven} aria-label={name}>
      <Spread>
        <h2>
          <Fractions text={name} />
        </h2>
        <Search role="status">
          <Soft>
            <Fractions text={provenText(plan, state, currency)} />
          </Soft>
          {state === 'searching' ? <Button onPress={job.boards.stop}>{boardsText.stop}</Button> : null}
        </Search>
      </Spread>
      <Spread>
        <Buy data-testid="buy">
          {bought.length === 0 ? boardsText.nothingToBuy : buyText(bought, job)}
          {held > 0 ? (
            <Soft as="span">
              {' '}
              · {held} {boardsText.inHand}
            </Soft>
          ) : null}
        </Buy>
        <Soft>
          {plan.known.pricedLengths === 0 ? '' : `${money(plan.known.sum, currency)} `}
          {knownCostText(plan.known)}, {(plan.waste * 100).toFixed(1)} % {boardsText.wasteAll}
        </Soft>
      </Spread>
      {settings.shop.ripped[request.materialId] === undefined ? null : <Soft>{boardsText.ripped}</Soft>}
      <Line data-testid="looks-like">{looksLike ?? ''}</Line>
      <Fold title={boardsText.howCut} aside={String(plan.boards.length)} open={few}>
        <BoardStack
          plan={plan}
          settings={settings}
          rack={rack}
          walls={names}
          wording={wording}
          onCut={(board) => onCut(request.materialId, board)}
        />
        {plan.boards.length > 1 ? (
          <Row>
            <SteadyButton
              isDisabled={state === 'searching'}
              why={whyNot.looking}
              onPress={() =>
                plan.boards
                  .filter(({ pieces }) => pieces.some(({ pieceId }) => !pieceId.startsWith('spare/')))
                  .forEach((board) => onCut(request.materialId, board))
              }
            >
              {boardsText.cutAll(plan.boards.length)}
            </SteadyButton>
          </Row>
        ) : null}
      </Fold>
      <Line data-testid="one-more">
        {answer?.oneMore && !searching ? (
          <Fractions text={oneMorePieceText(answer.oneMore, { ...wording, currency })} />
        ) : null}
      </Line>
      {lengths > 1 ? (
        <Fold title={boardsText.mixes}>
          {mixes.length > 0 && mixes.every(({ cost }) => cost !== null) ? (
            <Charted>
              <MixChart
                label={boardsText.mixChart}
                axes={[`${boardsText.mixTable[1]}, ${currency}`, `${boardsText.mixTable[3]}, %`]}
                points={mixes.map(({ lengths, cost, waste }) => ({
                  name: lengths.map((length) => sayStock(length, wording)).join(' + '),
                  cost: (cost ?? 0) / 100,
                  waste: waste * 100,
                  isBest: cost === best,
                }))}
              />
            </Charted>
          ) : null}
          <Wide label={`${boardsText.mixes}: ${name}`}>
            <Table aria-label={`${boardsText.mixes}, ${name}`}>
              <thead>
                <tr>
                  {boardsText.mixTable.map((column) => (
                    <th key={column} scope="col">
                      {column}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {mixes.map(({ lengths, cost, boards, waste }) => (
                  <tr key={lengths.join()}>
                    <td>{lengths.map((length) => sayStock(length, wording)).join(' + ')}</td>
                    <td className="number">{cost === null ? '–' : money(cost, currency)}</td>
                    <td>{boards}</td>
                    <td>{(waste * 100).toFixed(1)} %</td>
                    <td>{cost === best ? boardsText.best : ''}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </Wide>
        </Fold>
      ) : null}
    </Section>
  )
}

function never(): never {
  throw new Error('asked of no plan')
}
