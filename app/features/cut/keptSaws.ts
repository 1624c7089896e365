import type { Saw } from '~/model'
import type { Length } from '~/length'

/** A saw as the crew keeps it, to be taken for any job. */
export interface KeptSaw {
  readonly name: string
  readonly swing: number
  readonly kerf: Length
  readonly saw: Saw
}

function isKept(value: unknown): value is KeptSaw {
  const { name, swing, kerf, saw } = (value ?? {}) as Partial<Record<keyof KeptSaw, unknown>>
  return (
    typeof name === 'string' &&
    typeof swing === 'number' &&
    typeof kerf === 'number' &&
    typeof saw === 'object'
  )
}

async function read(answer: Response): Promise<KeptSaw[]> {
  if (!answer.ok) throw new Error(`the crew’s saws were answered with ${answer.status}`)
  const all: unknown = await answer.json()
  return Array.isArray(all) ? all.filter(isKept) : []
}

/** The crew's saws. Throws where the server is away. */
export async function loadSaws(): Promise<KeptSaw[]> {
  return read(await fetch('/saws'))
}

/** Keeps a saw under its name, in the place of one of that name; gives all of them. Throws where the server is away or says no. */
export async function keepSaw(kept: KeptSaw): Promise<KeptSaw[]> {
  const body = JSON.stringify(kept)
  return read(await fetch('/saws', { method: 'POST', headers: { 'content-type': 'application/json' }, body }))
}
