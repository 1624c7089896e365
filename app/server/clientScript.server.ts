import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'

const BUILT = 'build/client/assets/client-page.js'
let known: string | null = null

/** Where the script of the client's page is: built, by what is in it, so that a new one is fetched anew. */
export function clientScript(): string {
  if (import.meta.env.DEV) return '/app/features/client/page.ts'
  known ??= createHash('sha256').update(readFileSync(BUILT)).digest('hex').slice(0, 10)
  return `/assets/client-page.js?v=${known}`
}
