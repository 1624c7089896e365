import { useEffect, useState } from 'react'
import type { StudEdge } from '~/core/survey/studEstimate'
import type { Length } from '~/length'

interface Delivery {
  readonly number: number
  readonly value?: Length
  readonly edges?: readonly StudEdge[]
}

/** A waiting field asks this often. */
const EVERY_MS = 400

/** While `waiting`, what the device delivers next; null until then. Each delivery ends the wait it was for. */
export function useDevice(device: 'laser' | 'finder', waiting: boolean): Delivery | null {
  const [delivery, setDelivery] = useState<Delivery | null>(null)
  useEffect(() => {
    if (!waiting) return
    let after: number | null = null
    let over = false
    const ask = async () => {
      try {
        const response = await fetch(`/devices/${device}/readings${after === null ? '' : `?after=${after}`}`)
        const answer = (await response.json()) as { last: number; delivery: Delivery | null }
        if (over) return
        if (after === null) after = answer.last
        if (answer.delivery) {
          after = answer.delivery.number
          setDelivery(answer.delivery)
        }
      } catch {
        // the server is away; the next round asks again
      }
    }
    void ask()
    const timer = setInterval(() => void ask(), EVERY_MS)
    return () => {
      over = true
      clearInterval(timer)
    }
  }, [device, waiting])
  return waiting ? delivery : null
}
