import { useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { boughtBoards, sourceOf } from '~/core/yard/jobRequests'
import { shoppingList, shoppingSum } from '~/core/yard/shoppingList'
import { boardsCut, nextLabel } from '~/core/yard/yardState'
import type { CutBoard } from '~/core/stock'
import { useSupplyLines } from '~/editor/work/useSupplyLines'
import { newToken } from '~/editor/saving/browserSaver'
import { boardsText, count, materialName, money, sayWithUnit } from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fold } from '~/ui/Fold'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row, SideMain, Soft, Spread } from '~/ui/page'
import { narrow, space, type } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { worthRacking } from './BoardStack'
import { BudgetPart } from './BudgetPart'
import { MaterialSection } from './MaterialSection'
import { PricesPart } from './PricesPart'
import { type JobBoards, type JobData, type Scope, useJobBoards } from './useJobBoards'
import { WallCostPart } from './WallCostPart'
import { WishPart } from './WishPart'

const ToJob = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
`
const Head = styled.div`
  grid-column: 1 / -1;
  display: grid;
  gap: ${space.m};
`
/** The two columns, which come when there is something in them: nothing moves then. */
const Planned = styled.div`
  display: contents;
`
const Column = styled.div`
  display: grid;
  gap: ${space.l};
  min-width: 0;
`
const Figures = styled.div`
  min-height: 56px;
  ${narrow} {
    min-height: 128px;
  }
  & dl {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s} ${space.xl};
  }
  & dd {
    font-size: ${type.title};
    font-weight: 700;
  }
  & dt {
    font-size: ${type.small};
    color: var(--ink-soft);
  }
`

function scopeFrom(text: string | null, data: JobData): Scope {
  if (text?.startsWith('room:') && data.rooms.some(({ id }) => `room:${id}` === text)) return text as Scope
  if (text?.startsWith('wall:') && data.walls.some(({ id }) => `wall:${id}` === text)) return text as Scope
  return 'job'
}

/** The boards of a job, a room or a wall: what to buy, what is in hand, what is cut, what it costs. */
export function JobBoardsPage({ job: data }: { readonly job: JobData }) {
  const [params, setParams] = useSearchParams()
  const scope = scopeFrom(params.get('for'), data)
  const job = useJobBoards(data, scope)
  const { boards, settings, bought } = job
  const plans = boards.materials.flatMap(({ result }) => (result.ok ? [result.value] : []))
  const groups = useMemo(
    () => shoppingList(plans, scope === 'job' ? bought : [], settings, data.stock),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- plans follow the boards
    [boards, bought, settings, data, scope],
  )
  const supplies = useSupplyLines(data, settings, job.yard.acts, scope)
  const sum = shoppingSum(groups)
  const withSupplies = shoppingSum(groups, supplies.lines)
  const toBuy = plans.flatMap((plan) => boughtBoards(plan, settings))
  const held = plans
    .flatMap(({ boards: of }) => of)
    .filter(({ offerId }) => sourceOf(offerId).from !== 'buy').length
  const names = new Map<string, string>([
    ['job', boardsText.whole],
    ...data.rooms.map(({ id, name }) => [`room:${id}`, boardsText.room(name)] as const),
    ...data.walls.map(({ id, name }) => [`wall:${id}`, boardsText.wall(name)] as const),
  ])
  const record = useCutting(data.id, job)
  return (
    <>
      <TopBar />
      <SideMain $side={340}>
        <Head>
          <Spread>
            <div>
              <h1>{boardsText.title}</h1>
              <ToJob to={`/jobs/${data.id}`}>{data.name}</ToJob>
            </div>
            <Row>
              <LinkButton href={`/jobs/${data.id}/boards/list`}>{boardsText.list}</LinkButton>
              <Choice<string>
                label={boardsText.scope}
                value={scope}
                options={[...names].map(([id, text]) => ({ id, text }))}
                onChange={(id) => setParams(id === 'job' ? {} : { for: id }, { replace: true })}
              />
            </Row>
          </Spread>
          <Left data={data} cut={job.done} />
          <Figures role="status" data-state={boards.searching ? 'searching' : job.state}>
            {job.state === 'known' ? (
              <dl>
                <div>
                  <dd data-testid="to-buy">{toBuy.length}</dd>
                  <dt>{boardsText.boardsToBuy(toBuy.length)}</dt>
                </div>
                <div>
                  <dd data-testid="to-pay">{money(sum.toSpend, settings.currency)}</dd>
                  <dt>{boardsText.toPay}</dt>
                </div>
                <div>
                  <dd data-testid="in-hand">{held}</dd>
                  <dt>{boardsText.inHand}</dt>
                </div>
              </dl>
            ) : job.walls.length > 0 ? (
              <Soft as="div">{job.state === 'failed' ? boardsText.broken : boardsText.working}</Soft>
            ) : null}
          </Figures>
        </Head>
        {job.state === 'working' && job.walls.length > 0 ? null : (
          <Planned>
            <Column>
              {boards.materials.map((material) => (
                <MaterialSection
                  key={material.request.materialId}
                  material={material}
                  job={job}
                  onCut={record.cut}
                />
              ))}
              {boards.materials.length === 0 && (job.state === 'known' || job.walls.length === 0) ? (
                <Soft>{boardsText.none}</Soft>
              ) : null}
              <WallCostPart job={job} />
              <CutAlready data={data} job={job} onUncut={record.uncut} />
            </Column>
            <Column as="aside" aria-label={boardsText.wishes}>
              <PricesPart data={data} job={job} />
              <WishPart jobId={data.id} job={job} />
              <BudgetPart
                data={data}
                job={job}
                scope={scope}
                scopeName={names.get(scope) ?? ''}
                sum={withSupplies}
              />
            </Column>
          </Planned>
        )}
      </SideMain>
    </>
  )
}

/** Boards are cut and racked, or were not after all. */
function useCutting(jobId: string, { yard, wanted, settings }: JobBoards) {
  const cut = (material: string, board: CutBoard) => {
    const source = sourceOf(board.offerId)
    const id = newToken()
    const offer =
      source.from === 'buy' ? settings.shop.offers.find((each) => each.id === source.offer) : undefined
    const nominal =
      source.from === 'buy'
        ? (offer?.length ?? board.length)
        : 'length' in source
          ? source.length
          : board.length
    const common = { job: jobId, material, length: nominal }
    // a board that is cut was bought, whether it was ticked in the shop or not; a strip of a sheet was not
    if (offer) yard.record({ kind: 'bought', ...common, count: 1, paid: null })
    yard.record({
      kind: 'boardCut',
      id,
      ...common,
      from: source.from === 'buy' ? 'bought' : source.from === 'over' ? 'open' : source.from,
      ...(source.from === 'open' ? { open: { wall: source.wall, number: source.number } } : {}),
      ...(source.from === 'over' ? { open: { wall: source.wall, piece: source.piece } } : {}),
      offcut: source.from === 'rack' ? source.offcut : null,
      pieces: board.pieces.map(({ pieceId, length }) => ({ id: pieceId, length })),
      left: board.offcut,
    })
    const left = worthRacking(board, wanted.wish.rackFrom)
    if (left !== null)
      yard.record({
        kind: 'racked',
        job: jobId,
        material,
        length: left,
        label: nextLabel(yard.current()),
        of: id,
      })
  }
  return { cut, uncut: (id: string) => void yard.record({ kind: 'boardUncut', job: jobId, cut: id }) }
}

function Left({ data, cut }: { readonly data: JobData; readonly cut: readonly string[] }) {
  return (
    <>
      {cut.length > 0 ? <Soft>{boardsText.cutWalls(cut)}</Soft> : null}
      {data.unreadable.length > 0 ? <Alert>{boardsText.unreadable(data.unreadable)}</Alert> : null}
    </>
  )
}

function CutAlready({
  data,
  job,
  onUncut,
}: {
  readonly data: JobData
  readonly job: JobBoards
  readonly onUncut: (id: string) => void
}) {
  const { yard, wording } = job
  const done = boardsCut(yard.acts).filter((board) => board.job === data.id)
  if (done.length === 0) return null
  const racked = new Map(
    yard.acts.flatMap((act) => (act.kind === 'racked' && act.of ? [[act.of, act] as const] : [])),
  )
  return (
    <Fold title={boardsText.cutAlready} aside={String(done.length)} open>
      {job.forNothing > 0 ? (
        <Alert data-testid="for-nothing">{boardsText.forNothing(job.forNothing)}</Alert>
      ) : null}
      <ul>
        {done.map((board) => {
          const name = `${materialName(board.material, wording)} ${sayWithUnit(board.length, wording)}`
          const rack = racked.get(board.id)
          return (
            <li key={board.id} data-cut={board.id}>
              <Spread>
                <span>
                  <Fractions text={name} />
                  {', '}
                  {count(board.pieces.length, 'piece')}
                  {', '}
                  <Fractions
                    text={
                      rack
                        ? boardsText.rackAs(rack.label, sayWithUnit(rack.length, wording))
                        : boardsText.firewood(sayWithUnit(board.left, wording))
                    }
                  />
                </span>
                <Button $kind="quiet" aria-label={boardsText.uncut(name)} onPress={() => onUncut(board.id)}>
                  ↶
                </Button>
              </Spread>
            </li>
          )
        })}
      </ul>
    </Fold>
  )
}
