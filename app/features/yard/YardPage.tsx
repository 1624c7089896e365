import { useState } from 'react'
import { LinkButton } from '~/ui/Button'
import { askedText, yardText } from '~/messages'
import { useYard } from '~/editor/useYard'
import { Choice } from '~/ui/Choice'
import { Alert, PageMain, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TopBar } from '~/ui/TopBar'
import { NewStuff } from './NewStuff'
import { RackPart } from './RackPart'
import { StockTable } from './StockTable'
import type { YardPageProps } from './yardProps'
import { SuppliersPart } from './SuppliersPart'

/** What the crew buys and has: lengths and prices, suppliers, boards on hand, the rack. */
export function YardPage(props: YardPageProps) {
  const { stock, units, tape, currency, asked, refused } = props
  const yard = useYard(props.acts)
  const [shown, setShown] = useState(stock.materials[0]?.material.id ?? '')
  const wording = {
    format: { units, tape },
    materials: stock.materials.map(({ material }) => material),
    currency,
  }
  const name = stock.suppliers.find(({ id }) => id === asked?.supplier)?.name ?? ''
  return (
    <>
      <TopBar />
      <PageMain>
        <div>
          <h1>{yardText.title}</h1>
          <Soft>{yardText.intro}</Soft>
        </div>
        {refused ? <Alert role="alert">{yardText.refused}</Alert> : null}
        <RackPart yard={yard} wording={wording} />
        <Sheet aria-label={yardText.boards}>
          <Spread>
            <h2>{yardText.boards}</h2>
            <Row>
              <LinkButton href="/yard/prices.csv" download="prices.csv">
                {yardText.save}
              </LinkButton>
              <Choice<string>
                label={yardText.addStuff}
                value={shown}
                options={stock.materials.map(({ material, kind }) => ({
                  id: material.id,
                  text: `${material.nominal} ${material.name}`,
                  hint: yardText.kind(kind),
                }))}
                onChange={setShown}
              />
            </Row>
          </Spread>
          <Soft>{yardText.invented}</Soft>
          <StockTable key={shown} material={shown} stock={stock} yard={yard} wording={wording} />
        </Sheet>
        <NewStuff units={units} />
        <SuppliersPart {...props} wording={wording} said={asked ? askedText(asked, name) : null} />
      </PageMain>
    </>
  )
}
