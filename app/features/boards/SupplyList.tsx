import type { SupplyLine } from '~/core/yard/supplyLines'
import type { useYard } from '~/editor/useYard'
import { basisText, packName, supplyName, supplyText, type Wording } from '~/messages'
import type { Settings } from '~/model'
import { ListLine } from './ListLine'

/** What to buy besides boards, pack by pack. */
export function SupplyList({
  lines,
  job,
  yard,
  settings,
  w,
}: {
  readonly lines: readonly SupplyLine[]
  readonly job: string
  readonly yard: ReturnType<typeof useYard>
  readonly settings: Settings
  readonly w: Wording
}) {
  if (lines.length === 0) return null
  const take = ({ supply, size }: SupplyLine, count: number, paid: number | null = null) =>
    yard.record({ kind: 'supplyBought', job, product: supply.key, size, count, paid })
  return (
    <section aria-label={supplyText.title}>
      <h2>{supplyText.title}</h2>
      <ul>
        {lines.map((line) => (
          <ListLine
            key={`${line.supply.key} ${line.size}`}
            line={line}
            name={`${supplyName(line.supply, settings.paints, w)}, ${packName(line.supply.product, line.size, settings.units)}`}
            notes={[basisText(line.supply.basis, w)]}
            currency={settings.currency}
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
  )
}
