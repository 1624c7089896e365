import { createServer, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import { startStock } from '~/core/yard/startStock'

/** How the stand-in supplier behaves: as usual, some sold out, dearer, delivering later, not answering, or answering rubbish. */
export const SUPPLIER_MOODS = ['usual', 'soldOut', 'dearer', 'later', 'away', 'garbled'] as const
export type SupplierMood = (typeof SUPPLIER_MOODS)[number]

interface StandIn {
  readonly server: Server
  mood: SupplierMood
}

// hot reload makes this module anew; the one that listens must live on
const kept = globalThis as { reglaSupplier?: StandIn }

const DAY = 86_400_000

/** What it has, in the words of docs/supplier.md. */
function catalog(mood: SupplierMood): object {
  const { materials, lengths } = startStock()
  const names = new Map(materials.map(({ material }) => [material.id, material]))
  const later = new Date(Date.now() + 9 * DAY).toISOString().slice(0, 10)
  return {
    supplier: 'Stand-in Lumber',
    currency: 'USD',
    items: lengths.map(({ id, material, length, price }, i) => {
      const out = mood === 'soldOut' && i % 3 === 1
      const late = mood === 'later' && i % 2 === 0
      const dear = mood === 'dearer' ? 1.12 : 0.97
      return {
        code: `SL-${id}`,
        material: names.get(material)?.id ?? material,
        length,
        price: Math.round((price ?? 0) * dear) / 100,
        leastOrder: names.get(material)?.make?.profile === 'molded' ? 2 : 1,
        state: out ? 'out' : late ? 'later' : 'there',
        there: late ? later : null,
      }
    }),
  }
}

function answer(response: ServerResponse, status: number, body: string): void {
  response.writeHead(status, { 'content-type': 'application/json' }).end(body)
}

/** The stand-in, listening on this machine only; started when it is first asked for. */
async function standIn(): Promise<StandIn> {
  if (kept.reglaSupplier?.server.listening) return kept.reglaSupplier
  const server = createServer((request, response) => {
    const mood = kept.reglaSupplier?.mood ?? 'usual'
    if (mood === 'away') return void request.socket.destroy()
    if (request.method !== 'GET' || request.url !== '/catalog')
      return answer(response, 404, '{"error":"GET /catalog is all there is"}')
    return answer(response, 200, mood === 'garbled' ? '{"items": 7' : JSON.stringify(catalog(mood)))
  })
  // it keeps no process alive
  server.unref()
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(0, '127.0.0.1', resolve)
  })
  return (kept.reglaSupplier = { server, mood: 'usual' })
}

/** The address the stand-in's name stands for. */
export async function standInAddress(): Promise<string> {
  const { port } = (await standIn()).server.address() as AddressInfo
  return `http://127.0.0.1:${port}`
}

export const moodOf = (): SupplierMood => kept.reglaSupplier?.mood ?? 'usual'

/** How it behaves from now on. */
export async function setMood(mood: SupplierMood): Promise<void> {
  ;(await standIn()).mood = mood
}
