import { Check, Minus, Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { shoppingCsv } from '~/core/yard/shoppingCsv'
import { type ShoppingLine, shoppingList, shoppingSum } from '~/core/yard/shoppingList'
import {
  boardsText,
  lineName,
  materialName,
  money,
  shoppingAsText,
  shoppingText,
  sumText,
  yardText,
} from '~/messages'
import { Button, LinkButton } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { PageMain, Row, Soft, Spread } from '~/ui/page'
import { PriceField } from '~/ui/PriceField'
import { space, type } from '~/ui/theme'
import { TopBar } from '~/ui/TopBar'
import { type JobData, useJobBoards } from './useJobBoards'

const Line = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: ${space.xs} ${space.m};
  align-items: center;
  padding: ${space.m} 0;
  border-bottom: 1px solid var(--line);
  &[data-done='true'] b {
    text-decoration: line-through;
  }
`
const Big = styled.span`
  display: block;
  font-size: ${type.lead};
`
const Pay = styled(Row)`
  grid-column: 2 / -1;
`
const Take = styled(Button)`
  min-width: 56px;
  min-height: 56px;
`
const OnPaper = styled.div`
  @media print {
    & button,
    & input,
    & a {
      display: none;
    }
  }
`

/** What to buy, by supplier and stuff, as it is ticked in the shop with one thumb. */
export function ShoppingPage({ job: data }: { readonly job: JobData }) {
  const job = useJobBoards(data, 'job')
  const { boards, bought, settings, wording, yard } = job
  const { currency } = settings
  const [said, setSaid] = useState('')
  const groups = useMemo(
    () =>
      shoppingList(
        boards.materials.flatMap(({ result }) => (result.ok ? [result.value] : [])),
        bought,
        settings,
        data.stock,
      ),
    [boards, bought, settings, data],
  )
  const sum = shoppingSum(groups)
  const cash = { ...wording, currency }
  const text = shoppingAsText(groups, cash, data.name)
  const known = job.walls.length === 0 || (job.state === 'known' && (boards.looked || !boards.searching))
  const open = groups.some(({ lines }) => lines.some(({ need, inCart }) => inCart < need))
  const take = (line: ShoppingLine, count: number, paid: number | null = null) =>
    yard.record({
      kind: 'bought',
      job: data.id,
      material: line.material,
      length: line.length,
      count,
      paid,
    })
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text)
      setSaid(shoppingText.copied)
    } catch {
      setSaid(shoppingText.notCopied)
    }
  }
  const csv = () => {
    const file = shoppingCsv(groups, (material) => materialName(material, wording), wording.format)
    const url = URL.createObjectURL(new Blob([file], { type: 'text/csv' }))
    const link = Object.assign(document.createElement('a'), { href: url, download: 'boards.csv' })
    link.click()
    URL.revokeObjectURL(url)
  }
  return (
    <>
      <TopBar />
      <PageMain>
        <OnPaper>
          <Spread>
            <div>
              <h1>{shoppingText.title}</h1>
              <Soft>{data.name}</Soft>
            </div>
            <LinkButton href={`/jobs/${data.id}/boards`}>{shoppingText.back}</LinkButton>
          </Spread>
          <p
            role="status"
            data-testid="sum"
            data-state={known ? (boards.searching ? 'searching' : job.state) : 'working'}
          >
            {known ? sumText(sum, currency) : boardsText.working}
          </p>
          {yard.waiting > 0 ? <Soft data-testid="waiting">{shoppingText.waiting(yard.waiting)}</Soft> : null}
          {known && groups.length === 0 ? <p>{shoppingText.empty}</p> : null}
          {known && groups.length > 0 && !open ? <p>{shoppingText.done}</p> : null}
          {known
            ? groups.map(({ supplier, lines }) => (
                <section key={supplier?.id ?? ''} aria-label={supplier?.name ?? shoppingText.nobody}>
                  <h2>{supplier?.name ?? shoppingText.nobody}</h2>
                  <ul>
                    {lines.map((line) => (
                      <ListLine
                        key={`${line.material} ${line.length}`}
                        line={line}
                        name={lineName(line, wording)}
                        currency={currency}
                        onTake={(count) => take(line, count)}
                        onPaid={(paid) => {
                          // what was in the cart is put in again at what it truly cost
                          if (line.inCart === 0) return
                          take(line, -line.inCart)
                          take(line, line.inCart, paid)
                        }}
                      />
                    ))}
                  </ul>
                </section>
              ))
            : null}
          <Row>
            <Button onPress={() => void copy()}>{shoppingText.copy}</Button>
            <Button onPress={csv}>{shoppingText.csv}</Button>
            <Button onPress={() => window.print()}>{shoppingText.print}</Button>
            <span role="status">{said}</span>
          </Row>
          {said === shoppingText.notCopied ? <pre>{text}</pre> : null}
          <LinkButton href="/yard">{boardsText.yard}</LinkButton>
        </OnPaper>
      </PageMain>
    </>
  )
}

function ListLine({
  line,
  name,
  currency,
  onTake,
  onPaid,
}: {
  readonly line: ShoppingLine
  readonly name: string
  readonly currency: string
  readonly onTake: (count: number) => void
  readonly onPaid: (paid: number) => void
}) {
  const { need, inCart, price, paid, paidFor, state, there, leastOrder } = line
  const isDone = inCart >= need
  const notes = [
    price === null ? '' : money(price, currency),
    state === 'there' ? '' : yardText.state(state, there),
    leastOrder > 1 ? shoppingText.least(leastOrder) : '',
  ].filter((note) => note !== '')
  return (
    <Line data-line={name} data-done={isDone}>
      <Take
        $kind={isDone ? 'quiet' : 'main'}
        aria-label={shoppingText.inCart(name)}
        onPress={() => onTake(1)}
      >
        {isDone ? <Check size={24} aria-hidden /> : <Plus size={24} aria-hidden />}
      </Take>
      <span>
        <Big>
          <b>
            <Fractions text={name} />
          </b>
        </Big>
        <Soft as="span">{notes.join(' · ')}</Soft>
      </span>
      <b data-testid="in-cart">{shoppingText.of(inCart, need)}</b>
      {inCart > 0 ? (
        <Pay>
          <Button $kind="quiet" aria-label={shoppingText.outOfCart(name)} onPress={() => onTake(-1)}>
            <Minus size={20} aria-hidden />
          </Button>
          <PriceField
            label={shoppingText.paid(name)}
            value={paidFor > 0 ? Math.round(paid / paidFor) : price}
            currency={currency}
            onChange={(cents) => (cents === null ? undefined : onPaid(cents))}
          />
        </Pay>
      ) : null}
    </Line>
  )
}
