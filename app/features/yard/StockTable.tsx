import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { NumberField } from 'react-aria-components'
import { useFetcher } from 'react-router'
import { styled } from 'styled-components'
import { onHandOf } from '~/core/yard/yardState'
import type { useYard } from '~/editor/useYard'
import { inches, type Length } from '~/length'
import { materialName, sayStock, type Wording, yardText, whyNot } from '~/messages'
import type { LengthClash, StockLength } from '~/model'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { CommitLength } from '~/ui/CommitLength'
import { FieldBox } from '~/ui/fields'
import { PriceField } from '~/ui/PriceField'
import { Alert, Row } from '~/ui/page'
import { Table } from '~/ui/Table'
import { Wide } from '~/ui/Wide'
import type { YardPageProps } from './yardProps'

const Cells = styled.div`
  & .react-aria-NumberField {
    width: 76px;
  }
  & td button {
    min-width: 48px;
  }
  /* the column says it */
  & td label {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
`

function Whole({
  label,
  value,
  least,
  onDone,
}: {
  readonly label: string
  readonly value: number
  readonly least: number
  readonly onDone: (value: number) => void
}) {
  return (
    <NumberField
      aria-label={label}
      value={value}
      minValue={least}
      maxValue={10_000}
      onChange={(next) => (Number.isNaN(next) ? undefined : onDone(next))}
    >
      <FieldBox />
    </NumberField>
  )
}

/** The lengths one material is sold in: what they truly measure, cost, and how many are on hand. */
export function StockTable({
  material,
  stock,
  yard,
  wording,
}: {
  readonly material: string
  readonly stock: YardPageProps['stock']
  readonly yard: ReturnType<typeof useYard>
  readonly wording: Wording & { readonly currency: string }
}) {
  const fetcher = useFetcher<{ readonly clash?: LengthClash; readonly dropClash?: LengthClash }>()
  const [settled, setSettled] = useState<LengthClash | null>(null)
  const clash = fetcher.data?.clash
  const dropClash = fetcher.data?.dropClash
  const [fresh, setFresh] = useState<Length>(inches(168))
  const lengths = stock.lengths.filter((each) => each.material === material)
  const onHand = onHandOf(yard.acts)
  const add = (length: StockLength) =>
    void fetcher.submit(
      { intent: 'addLength', value: JSON.stringify(length) },
      { method: 'post', action: '/yard' },
    )
  /** Takes a row out as it stands here: what others have made of it since is told first. */
  const drop = (was: StockLength) =>
    void fetcher.submit(
      { intent: 'dropLength', value: JSON.stringify(was) },
      { method: 'post', action: '/yard' },
    )
  /** What is changed of a row, beside how it was when it was changed: others may be at it. */
  const change = (was: StockLength, patch: Partial<StockLength>) =>
    void fetcher.submit(
      { intent: 'changeLength', value: JSON.stringify({ was, row: { ...was, ...patch } }) },
      { method: 'post', action: '/yard' },
    )
  const supplierOptions = [
    { id: '', text: yardText.noSupplier },
    ...stock.suppliers.map(({ id, name }) => ({ id, text: name })),
  ]
  return (
    <>
      {clash && clash !== settled ? (
        <Alert role="alert">
          {yardText.clash(clash.fields, sayStock(clash.now.length, wording))}{' '}
          <Button
            onPress={() => {
              setSettled(clash)
              const mine = Object.fromEntries(clash.fields.map((field) => [field, clash.mine[field]]))
              change(clash.now, mine)
            }}
          >
            {yardText.keepMine}
          </Button>
          <Button onPress={() => setSettled(clash)}>{yardText.takeTheirs}</Button>
        </Alert>
      ) : null}
      {dropClash && dropClash !== settled ? (
        <Alert role="alert">
          {yardText.clash(dropClash.fields, sayStock(dropClash.now.length, wording))}{' '}
          <Button
            onPress={() => {
              setSettled(dropClash)
              drop(dropClash.now)
            }}
          >
            {yardText.dropAll}
          </Button>
          <Button onPress={() => setSettled(dropClash)}>{yardText.leaveIt}</Button>
        </Alert>
      ) : null}
      <Wide label={`${yardText.boards}: ${materialName(material, wording)}`}>
        <Cells>
          <Table aria-label={`${yardText.boards}, ${materialName(material, wording)}`}>
            <thead>
              <tr>
                {yardText.columns.map((column) => (
                  <th key={column} scope="col">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lengths.map((each) => {
                const what = `${materialName(material, wording)} ${sayStock(each.length, wording)}`
                return (
                  <tr key={each.id} data-length={each.id} data-state={each.state}>
                    <th scope="row">
                      <span className="number">{sayStock(each.length, wording)}</span>
                      {each.state === 'there' ? null : <div>{yardText.state(each.state, each.there)}</div>}
                    </th>
                    <td>
                      <CommitLength
                        label={yardText.trueLength(what)}
                        value={each.trueLength ?? each.length}
                        format={wording.format}
                        least={inches(6)}
                        onDone={(trueLength) =>
                          change(each, { trueLength: trueLength === each.length ? null : trueLength })
                        }
                      />
                    </td>
                    <td>
                      <PriceField
                        label={yardText.price(what)}
                        value={each.price}
                        currency={wording.currency}
                        onChange={(price) => change(each, { price })}
                      />
                    </td>
                    <td>
                      <Whole
                        label={yardText.least(what)}
                        value={each.leastOrder}
                        least={1}
                        onDone={(leastOrder) => change(each, { leastOrder })}
                      />
                    </td>
                    <td>
                      <Choice<string>
                        word
                        label={yardText.from(what)}
                        value={each.supplier ?? ''}
                        options={supplierOptions}
                        onChange={(id) => change(each, { supplier: id === '' ? null : id })}
                      />
                    </td>
                    <td>
                      <Whole
                        label={yardText.onHand(what)}
                        value={
                          onHand.find((of) => of.material === material && of.length === each.length)?.count ??
                          0
                        }
                        least={0}
                        onDone={(count) =>
                          yard.record({ kind: 'counted', material, length: each.length, count })
                        }
                      />
                    </td>
                    <td>
                      <Button $kind="quiet" aria-label={yardText.drop(what)} onPress={() => drop(each)}>
                        <Trash2 size={17} aria-hidden />
                      </Button>
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </Table>
        </Cells>
      </Wide>
      <Row>
        <CommitLength
          label={yardText.newLength}
          value={fresh}
          format={wording.format}
          least={inches(6)}
          most={inches(480)}
          onDone={setFresh}
        />
        <Button
          isDisabled={lengths.some(({ length }) => length === fresh)}
          why={whyNot.listed}
          onPress={() =>
            add({
              id: `${material}-${fresh}`.slice(0, 64),
              material,
              length: fresh,
              trueLength: null,
              price: null,
              leastOrder: 1,
              supplier: null,
              code: '',
              state: 'there',
              there: null,
            })
          }
        >
          {yardText.addLength}
        </Button>
      </Row>
    </>
  )
}
