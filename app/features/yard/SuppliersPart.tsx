import { useState } from 'react'
import { Form, useSubmit } from 'react-router'
import { materialName, priceProblemText, priceRowText, type Wording, yardText, whyNot } from '~/messages'
import { Button } from '~/ui/Button'
import { Choice } from '~/ui/Choice'
import { Fractions } from '~/ui/Fractions'
import { Alert, Row, Sheet, Soft, Spread } from '~/ui/page'
import { TextBox } from '~/ui/TextBox'
import { TextLines } from '~/ui/TextLines'
import type { YardPageProps } from './yardProps'

type SuppliersProps = YardPageProps & {
  readonly wording: Wording & { readonly currency: string }
  readonly said: string | null
}

/** Who boards are bought from: asked for prices, or their lists taken in after a look. */
export function SuppliersPart({ stock, mood, lists, units, wording, said }: SuppliersProps) {
  const submit = useSubmit()
  const post = (fields: Record<string, string>) =>
    void submit(fields, { method: 'post', action: '/yard', preventScrollReset: true })
  const hasStandIn = stock.suppliers.some(({ id }) => id === 'stand-in')
  return (
    <Sheet aria-label={yardText.suppliers}>
      <h2>{yardText.suppliers}</h2>
      <ul>
        {stock.suppliers.map(({ id, name, address }) => (
          <li key={id} data-supplier={id}>
            <Spread>
              <b>{name}</b>
              {address === null ? (
                <Soft as="span">{yardText.byList}</Soft>
              ) : (
                <Button onPress={() => post({ intent: 'ask', supplier: id })}>{yardText.ask(name)}</Button>
              )}
            </Spread>
          </li>
        ))}
      </ul>
      <p role="status" data-testid="asked">
        {said ?? ''}
      </p>
      {hasStandIn ? (
        <>
          <Choice<string>
            label={yardText.mood}
            value={mood}
            options={Object.entries(yardText.moods).map(([id, text]) => ({ id, text }))}
            onChange={(id) => post({ intent: 'mood', mood: id })}
          />
          <Soft>{yardText.standInHelp}</Soft>
        </>
      ) : null}
      <Row>
        <Form method="post" action="/yard">
          <input type="hidden" name="intent" value="addSupplier" />
          <Row>
            <TextBox label={yardText.supplierName} name="name" defaultValue="" problem={undefined} />
            <TextBox label={yardText.supplierAddress} name="address" defaultValue="" problem={undefined} />
            <Button type="submit">{yardText.addSupplier}</Button>
          </Row>
        </Form>
        {hasStandIn ? null : (
          <Button onPress={() => post({ intent: 'addStandIn' })}>{yardText.addStandIn}</Button>
        )}
      </Row>
      {lists.map((list) => (
        <Waiting
          key={list.id}
          list={list}
          stock={stock}
          units={units}
          wording={wording}
          onEnd={(intent) => post({ intent, list: list.id })}
        />
      ))}
      {stock.suppliers.length > 0 ? <Bring stock={stock} post={post} /> : null}
    </Sheet>
  )
}

function Waiting({
  list,
  stock,
  units,
  wording,
  onEnd,
}: {
  readonly list: YardPageProps['lists'][number]
  readonly stock: YardPageProps['stock']
  readonly units: YardPageProps['units']
  readonly wording: SuppliersProps['wording']
  readonly onEnd: (intent: 'takeList' | 'leaveList') => void
}) {
  const name = stock.suppliers.find(({ id }) => id === list.supplier)?.name ?? ''
  const before = (material: string, length: number) =>
    stock.lengths.find((each) => each.material === material && each.length === length)?.price
  return (
    <section aria-label={yardText.waiting(name)} data-testid="waiting-list">
      <h3>{yardText.waiting(name)}</h3>
      <p>{yardText.good(list.rows.length)}</p>
      <ul>
        {list.rows.map((row) => (
          <li key={row.line}>
            <Fractions
              text={priceRowText(
                row,
                before(row.material, row.length),
                materialName(row.material, wording),
                wording,
              )}
            />
          </li>
        ))}
      </ul>
      {list.problems.length > 0 ? (
        <Alert>
          <p>{yardText.bad(list.problems.length)}</p>
          <ul>
            {list.problems.map((problem) => (
              <li key={`${problem.line} ${problem.code}`}>
                <Fractions text={priceProblemText(problem, units)} />
              </li>
            ))}
          </ul>
        </Alert>
      ) : null}
      <Row>
        <Button
          $kind="main"
          isDisabled={list.rows.length === 0}
          why={whyNot.rows}
          onPress={() => onEnd('takeList')}
        >
          {yardText.take(list.rows.length)}
        </Button>
        <Button onPress={() => onEnd('leaveList')}>{yardText.leave}</Button>
      </Row>
    </section>
  )
}

function Bring({
  stock,
  post,
}: {
  readonly stock: YardPageProps['stock']
  readonly post: (fields: Record<string, string>) => void
}) {
  const [of, setOf] = useState(stock.suppliers[0]?.id ?? '')
  const [text, setText] = useState('')
  return (
    <section aria-label={yardText.bring}>
      <h3>{yardText.bring}</h3>
      <Soft>{yardText.bringHelp}</Soft>
      <Choice<string>
        label={yardText.bringFor}
        value={of}
        options={stock.suppliers.map(({ id, name }) => ({ id, text: name }))}
        onChange={setOf}
      />
      <TextLines label={yardText.listText} value={text} onChange={setText} rows={5} problems={[]} help="" />
      <Row>
        <label>
          {yardText.file}{' '}
          <input
            type="file"
            accept=".csv,text/csv"
            onChange={(event) => {
              const [file] = event.target.files ?? []
              void file?.text().then(setText)
            }}
          />
        </label>
        <Button
          $kind="main"
          isDisabled={text.trim() === ''}
          why={whyNot.list}
          onPress={() => {
            post({ intent: 'bringList', supplier: of, text })
            setText('')
          }}
        >
          {yardText.read}
        </Button>
      </Row>
    </section>
  )
}
