import { randomInt } from 'node:crypto'
import { z } from 'zod'
import { finderSweep, laserReading } from '~/core/survey/standIn'
import type { StudEdge } from '~/core/survey/studEstimate'
import { type Length, nanometers } from '~/length'
import { LIMITS, storedLength } from '~/model'

/** What a device delivered last. `number` counts up, so that a waiting field knows what is new. */
export type Delivery =
  | { readonly device: 'laser'; readonly number: number; readonly at: string; readonly value: Length }
  | {
      readonly device: 'finder'
      readonly number: number
      readonly at: string
      readonly edges: readonly StudEdge[]
    }

// hot reload makes this module anew; what was delivered must live on
const kept = globalThis as { reglaDeliveries?: { count: number; laser?: Delivery; finder?: Delivery } }
const deliveries = (kept.reglaDeliveries ??= { count: 0 })

const chance = () => randomInt(2 ** 40) / 2 ** 40

const laserBody = z.strictObject({ aimedAt: storedLength })
const finderBody = z.strictObject({ studs: z.array(storedLength).max(LIMITS.studs) })
/** A real device posts what it read instead of what it is aimed at. */
const readBody = z.strictObject({ value: storedLength })
const edgesBody = z.strictObject({
  edges: z.array(z.strictObject({ at: storedLength, edge: z.enum(['begins', 'ends']) })).max(1000),
})

/** Takes a press of a stand-in's button, or a real device's reading. Null when the body can't be read. */
export function deliver(device: 'laser' | 'finder', body: unknown): Delivery | null {
  const at = new Date().toISOString()
  const number = deliveries.count + 1
  if (device === 'laser') {
    const read = readBody.safeParse(body)
    const aimed = laserBody.safeParse(body)
    if (!read.success && !aimed.success) return null
    const value = read.success ? read.data.value : laserReading(aimed.data?.aimedAt ?? nanometers(0), chance)
    deliveries.count = number
    return (deliveries.laser = { device, number, at, value })
  }
  const read = edgesBody.safeParse(body)
  const swept = finderBody.safeParse(body)
  if (!read.success && !swept.success) return null
  const edges = read.success ? read.data.edges : finderSweep(swept.data?.studs ?? [], chance)
  deliveries.count = number
  return (deliveries.finder = { device, number, at, edges })
}

/** What a device delivered since number `after`; null when there is nothing newer. */
export function deliveredSince(device: 'laser' | 'finder', after: number): Delivery | null {
  const last = deliveries[device]
  return last && last.number > after ? last : null
}

/** The number of the last delivery of any device: where a field starts to wait. */
export function lastDelivery(): number {
  return deliveries.count
}
