import { useMemo, useState } from 'react'
import { styled } from 'styled-components'
import { shoppingCsv } from '~/core/yard/shoppingCsv'
import { type ShoppingLine, shoppingList, shoppingSum } from '~/core/yard/shoppingList'
import {
  boardsText,
  lineName,
  lineNotes,
  materialName,
  shoppingAsText,
  shoppingText,
  suppliesAsText,
  sumText,
} from '~/messages'
import { useSupplyLines } from '~/editor/work/useSupplyLines'
import { Button, LinkButton } from '~/ui/Button'
import { PageMain, Row, Soft, Spread } from '~/ui/page'
import { saveFile } from '~/ui/saveFile'
import { TopBar } from '~/ui/TopBar'
import { ListLine } from './ListLine'
import { SupplyList } from './SupplyList'
import { type JobData, useJobBoards } from './useJobBoards'

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
  const supplies = useSupplyLines(data, settings, yard.acts, 'job')
  const sum = shoppingSum(groups, supplies.lines)
  const cash = { ...wording, currency }
  const text = shoppingAsText(groups, cash, data.name, suppliesAsText(supplies.lines, settings.paints, cash))
  const known =
    supplies.known &&
    (job.walls.length === 0 || (job.state === 'known' && (boards.looked || !boards.searching)))
  const open = [...groups.flatMap(({ lines }) => lines), ...supplies.lines].some(
    ({ need, inCart }) => inCart < need,
  )
  const isEmpty = groups.length === 0 && supplies.lines.length === 0
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
    saveFile(new Blob([file], { type: 'text/csv' }), 'boards.csv')
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
          {known && isEmpty ? <p>{shoppingText.empty}</p> : null}
          {known && !isEmpty && !open ? <p>{shoppingText.done}</p> : null}
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
                        notes={lineNotes(line)}
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
          {known ? (
            <SupplyList lines={supplies.lines} job={data.id} yard={yard} settings={settings} w={cash} />
          ) : null}
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
