import { createStore } from 'zustand/vanilla'

/**
 * How what is shown stands to what the server has: `fresh`, or a copy this device kept, which is being compared, or can't be as long as the
 * server is away. `at` is when the server made it, as it is said.
 */
export interface Copy {
  readonly at: string | null
  readonly state: 'fresh' | 'checking' | 'away'
}
const FRESH: Copy = { at: null, state: 'fresh' }

/** When a kept page was made, as its worker wrote it on the page before it was painted; null of a page that came from the server. */
function fromPage(): Copy {
  const at = typeof document === 'undefined' ? undefined : document.body.dataset.kept
  return at === undefined ? FRESH : { at, state: 'checking' }
}

// as the server drew the page; what its worker wrote on it counts from the first moment on
export const copy = createStore<Copy>(() => FRESH)
copy.setState(fromPage())

/** What came just now was kept before: it is compared again. */
export function isKeptFrom(at: string): void {
  copy.setState({ at, state: 'checking' })
}

/** All that is shown is what the server has. */
export function isFresh(): void {
  if (copy.getState().state !== 'fresh') copy.setState(FRESH)
  if (typeof document !== 'undefined') delete document.body.dataset.kept
}

/** The server does not answer: a copy stays one. */
export function isAway(): void {
  if (copy.getState().state === 'checking') copy.setState({ state: 'away' })
}

/** Clock time, and the day where it was not today. */
export function keptAtText(made: Date, now: Date): string {
  const time = made.toLocaleTimeString('en-US', { hour: 'numeric', minute: '2-digit' })
  if (made.toDateString() === now.toDateString()) return time
  return `${made.toLocaleDateString('en-US', { month: 'short', day: 'numeric' })}, ${time}`
}
