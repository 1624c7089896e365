import { z } from 'zod'
import type { PriceRow } from '~/core/yard/priceList'
import { nanometers } from '~/length'
import { STOCK_STATES, type Supplier, storedLength } from '~/model'
import type { Database } from './db/database.server'
import { standInAddress } from './supplierStandIn.server'
import { stockOf, takeRows } from './yard.server'

/** The name under which the stand-in is kept: its port changes from start to start. */
export const STAND_IN = 'stand-in'
const WITHIN_MS = 4_000
const MOST_BYTES = 2_000_000

const CATALOG = z.object({
  items: z
    .array(
      z.object({
        code: z.string().max(80),
        material: z.string().max(64),
        length: storedLength,
        price: z.number().min(0).max(1_000_000).nullable(),
        leastOrder: z.number().int().min(1).max(1000).default(1),
        state: z.enum(STOCK_STATES).default('there'),
        there: z
          .string()
          .regex(/^\d{4}-\d{2}-\d{2}$/)
          .nullable()
          .default(null),
      }),
    )
    .max(5_000),
})

/** What came of asking a supplier: how many lengths changed, or why nothing did. */
export type Asked =
  | {
      readonly kind: 'taken'
      readonly changed: number
      readonly out: number
      readonly later: number
      /** Items of materials the crew does not keep. */
      readonly unknown: number
    }
  | { readonly kind: 'noAddress' | 'notHere' | 'unreachable' | 'garbled' }

/** Only suppliers on this machine are asked: nothing of the crew's goes anywhere else. */
function isHere(address: string): boolean {
  try {
    const { protocol, hostname } = new URL(address)
    return protocol === 'http:' && ['127.0.0.1', 'localhost', '[::1]'].includes(hostname)
  } catch {
    return false
  }
}

async function catalogAt(address: string): Promise<z.output<typeof CATALOG> | 'unreachable' | 'garbled'> {
  let text: string
  try {
    const answer = await fetch(`${address}/catalog`, {
      signal: AbortSignal.timeout(WITHIN_MS),
      redirect: 'error',
    })
    if (!answer.ok) return 'unreachable'
    text = await answer.text()
  } catch {
    return 'unreachable'
  }
  try {
    const read = CATALOG.safeParse(JSON.parse(text.slice(0, MOST_BYTES)))
    return read.success ? read.data : 'garbled'
  } catch {
    return 'garbled'
  }
}

/** Asks a supplier for its prices and takes them in, all or none. What a job took before stays as it is. */
export async function askSupplier(
  on: <T>(work: (db: Database) => T) => T,
  supplier: Supplier,
): Promise<Asked> {
  if (supplier.address === null) return { kind: 'noAddress' }
  const address = supplier.address === STAND_IN ? await standInAddress() : supplier.address
  if (!isHere(address)) return { kind: 'notHere' }
  const found = await catalogAt(address)
  if (found === 'unreachable' || found === 'garbled') return { kind: found }
  return on((db) => {
    const { materials, lengths } = stockOf(db)
    const known = new Set(materials.map(({ material }) => material.id))
    const rows = found.items.flatMap(({ price, ...item }, i): PriceRow[] =>
      known.has(item.material) && item.length > 0
        ? [
            {
              ...item,
              line: i + 1,
              length: nanometers(item.length),
              price: price === null ? null : Math.round(price * 100),
              trueLength: null,
            },
          ]
        : [],
    )
    const changed = rows.filter((row) => {
      const before = lengths.find((each) => each.material === row.material && each.length === row.length)
      return before?.price !== row.price || before.state !== row.state
    })
    takeRows(db, supplier.id, rows)
    return {
      kind: 'taken',
      changed: changed.length,
      out: rows.filter(({ state }) => state === 'out').length,
      later: rows.filter(({ state }) => state === 'later').length,
      unknown: found.items.length - rows.length,
    }
  })
}
