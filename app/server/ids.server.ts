import { randomBytes } from 'node:crypto'

/** A short random identifier, safe in a URL: 60 bits. */
export function newId(): string {
  return randomBytes(8).toString('hex').slice(0, 15)
}
