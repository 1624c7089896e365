import { randomBytes } from 'node:crypto'
import { LIMITS } from '~/model'

/** A short random identifier, safe in a URL: 60 bits. */
export function newId(): string {
  return randomBytes(8).toString('hex').slice(0, 15)
}

/** What a copy is called: the name with “(copy)”, the name shortened where both together are too long. */
export function copyName(name: string): string {
  const mark = ' (copy)'
  return `${name.slice(0, LIMITS.name - mark.length)}${mark}`
}
