import type { Route } from './+types/device'
import { deliver, deliveredSince, lastDelivery } from '~/server/devices.server'

function deviceOf(name: string): 'laser' | 'finder' | null {
  return name === 'laser' || name === 'finder' ? name : null
}

const UNKNOWN = { problem: 'There is no such device: laser and finder are known.' }

/** GET ?after=N: what came since delivery N, or only the last number. */
export function loader({ params, request }: Route.LoaderArgs) {
  const device = deviceOf(params.device)
  if (!device) return Response.json(UNKNOWN, { status: 404 })
  const after = Number(new URL(request.url).searchParams.get('after') ?? NaN)
  return Response.json({
    last: lastDelivery(),
    delivery: Number.isFinite(after) ? deliveredSince(device, after) : null,
  })
}

/** POST: a press of the stand-in's button, or what a real device read. */
export async function action({ params, request }: Route.ActionArgs) {
  const device = deviceOf(params.device)
  if (!device) return Response.json(UNKNOWN, { status: 404 })
  const delivery = deliver(device, await request.json().catch(() => null))
  if (delivery) return Response.json({ delivery })
  const needs =
    device === 'laser' ? '{"aimedAt": nm} or {"value": nm}' : '{"studs": [nm]} or {"edges": [...]}'
  return Response.json(
    { problem: `The body can't be read: send ${needs}, whole nanometers.` },
    { status: 422 },
  )
}
