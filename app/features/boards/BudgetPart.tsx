import { useMemo, useState } from 'react'
import { useRevalidator } from 'react-router'
import { styled } from 'styled-components'
import type { CheaperAsked, CheaperWay } from '~/core/yard/cheaperWays'
import type { ShoppingSum } from '~/core/yard/shoppingList'
import { budgetOf } from '~/core/yard/yardState'
import { useWorkerAnswer } from '~/editor/useWorkerAnswer'
import { boardsText, cheaperText, money, savesText, sumText, wrongThenText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row, Sheet, Soft } from '~/ui/page'
import { PriceField } from '~/ui/PriceField'
import { space } from '~/ui/theme'
import { findCheaper } from '~/workers/boardsClient'
import { saveWall } from './saveWall'
import type { JobBoards, JobData } from './useJobBoards'

const Way = styled.li`
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: ${space.s} ${space.m};
  align-items: center;
  padding: ${space.s} 0;
  border-top: 1px solid var(--line);
  & img {
    max-width: 120px;
    max-height: 72px;
  }
`

/** What the boards may cost, what is spent and left, and what would bring them under it. */
export function BudgetPart({
  data,
  job,
  scope,
  scopeName,
  sum,
}: {
  readonly data: JobData
  readonly job: JobBoards
  readonly scope: string
  readonly scopeName: string
  readonly sum: ShoppingSum
}) {
  const { settings, yard, walls, pieces, wanted, wording, boards } = job
  const { currency } = settings
  const wall = scope.startsWith('wall:') ? scope.slice(5) : null
  const budget = budgetOf(yard.acts, data.id, wall)
  const left = budget === null ? null : budget - sum.spent - sum.toSpend
  const asked = useMemo(
    (): CheaperAsked => ({ walls, pieces, settings, wanted }),
    [walls, pieces, settings, wanted],
  )
  const wants = left !== null && left < 0 && !boards.searching
  const { answer, searching } = useWorkerAnswer(asked, findCheaper, wants, 60_000)
  return (
    <Sheet aria-label={boardsText.budget}>
      <h2>{boardsText.budget}</h2>
      <Row>
        <PriceField
          label={boardsText.budgetOf(scopeName)}
          value={budget}
          currency={currency}
          onChange={(next) => yard.record({ kind: 'budget', job: data.id, wall, sum: next })}
        />
        <Soft>{boardsText.budgetOf(scopeName)}</Soft>
      </Row>
      <p data-testid="budget-sum">{sumText(sum, currency)}</p>
      {left === null ? null : left >= 0 ? (
        <p data-testid="budget-left">{boardsText.under(money(left, currency))}</p>
      ) : (
        <>
          <Alert data-testid="budget-left">{boardsText.over(money(-left, currency))}</Alert>
          <h3>{boardsText.ways}</h3>
          {searching ? <Soft role="status">{boardsText.waysLooking}</Soft> : null}
          {!searching && answer?.length === 0 ? <Soft>{boardsText.waysNone}</Soft> : null}
          <ul>
            {(searching ? [] : (answer ?? [])).map((way) => (
              <WayRow
                key={JSON.stringify(way.change)}
                way={way}
                data={data}
                text={cheaperText(
                  way.change,
                  (id) => walls.find((each) => each.id === id)?.name ?? '',
                  wording,
                )}
                onAnyLength={() =>
                  yard.record({ kind: 'wished', job: data.id, ...wanted.wish, longest: null })
                }
                currency={currency}
              />
            ))}
          </ul>
        </>
      )}
    </Sheet>
  )
}

function WayRow({
  way,
  data,
  text,
  currency,
  onAnyLength,
}: {
  readonly way: CheaperWay
  readonly data: JobData
  readonly text: string
  readonly currency: string
  readonly onAnyLength: () => void
}) {
  const { revalidate } = useRevalidator()
  const [failed, setFailed] = useState(false)
  const { design, change } = way
  const take = async () => {
    if (change.kind === 'anyLength') return onAnyLength()
    const wall = data.walls.find(({ id }) => id === change.wall)
    const done = wall && design ? await saveWall(data, wall, { design }) : false
    setFailed(!done)
    if (done) await revalidate()
  }
  return (
    <Way data-way={change.kind}>
      {way.picture ? (
        <img alt="" src={`data:image/svg+xml;utf8,${encodeURIComponent(way.picture)}`} />
      ) : (
        <span />
      )}
      <div>
        <p>
          <Fractions text={text} />, <b>{savesText(way.saves, currency)}</b>
        </p>
        {way.wrong > 0 ? <Soft>{wrongThenText(way.wrong)}</Soft> : null}
        <Button onPress={() => void take()} aria-label={`${boardsText.takeWay}: ${text}`}>
          {boardsText.takeWay}
        </Button>
        {failed ? <Alert role="alert">{boardsText.pricesAway}</Alert> : null}
      </div>
    </Way>
  )
}
