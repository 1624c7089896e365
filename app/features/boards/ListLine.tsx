import { Check, Minus, Plus } from 'lucide-react'
import { styled } from 'styled-components'
import type { ShoppingLine } from '~/core/yard/shoppingList'
import { money, shoppingText } from '~/messages'
import { Button } from '~/ui/Button'
import { Fractions } from '~/ui/Fractions'
import { Row, Soft } from '~/ui/page'
import { PriceField } from '~/ui/PriceField'
import { space, type } from '~/ui/theme'

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
type Counted = Pick<ShoppingLine, 'need' | 'inCart' | 'price' | 'paid' | 'paidFor'>

/** One line in the shop: put in the cart with one thumb, out again, and what it truly cost. */
export function ListLine({
  line,
  name,
  notes,
  currency,
  onTake,
  onPaid,
}: {
  readonly line: Counted
  readonly name: string
  /** What else is to be said of it besides its price. */
  readonly notes: readonly string[]
  readonly currency: string
  readonly onTake: (count: number) => void
  readonly onPaid: (paid: number) => void
}) {
  const { need, inCart, price, paid, paidFor } = line
  const isDone = inCart >= need
  const said = [price === null ? '' : money(price, currency), ...notes].filter((note) => note !== '')
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
        <Soft as="span">{said.join(' · ')}</Soft>
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
