import { useLayoutEffect, useRef } from 'react'
import type { PressEvent } from 'react-aria-components'

/** A second tap sooner than this is none. */
export const SECOND_TAP_MS = 600
/** A button that came, moved or was named anew has to stand still for so long before a tap is meant for it. */
export const STANDS_STILL_MS = 350
/** Farther apart than this two taps are meant for two buttons. */
const SAME_PLACE_PX = 72

interface Tap {
  readonly at: number
  readonly x: number
  readonly y: number
}

/** The last tap that was taken, on any button that is guarded: what comes up in its place is not meant by its second half. */
let taken: Tap | null = null

/** Forgets the last tap: for tests. */
export function forgetTap(): void {
  taken = null
}

/** How a button stood when it was last drawn, and since when it has stood so. */
export interface Stood {
  readonly said: string
  readonly left: number
  readonly top: number
  readonly since: number
}

/** How it stands now: since when is kept while neither its words nor its place changes. */
export function standsNow(before: Stood | null, now: Omit<Stood, 'since'>, at: number): Stood {
  const still =
    before !== null &&
    before.said === now.said &&
    Math.abs(before.left - now.left) < 4 &&
    Math.abs(before.top - now.top) < 4
  return { ...now, since: still ? before.since : at }
}

/** Whether a tap is meant: not so soon after another at the same place, and on a button that has stood still. It is remembered if it is. */
export function isMeant(stood: Stood | null, tap: Tap): boolean {
  const second =
    taken !== null &&
    tap.at - taken.at < SECOND_TAP_MS &&
    Math.hypot(tap.x - taken.x, tap.y - taken.y) < SAME_PLACE_PX
  if (second || (stood !== null && tap.at - stood.since < STANDS_STILL_MS)) return false
  taken = tap
  return true
}

/**
 * Guards what a button does against taps that are not meant for it: the second half of a double tap, and one that lands on what has just come
 * up under the thumb. Keys and screen readers press on purpose.
 */
export function useSteadyPress(onPress: ((event: PressEvent) => void) | undefined) {
  const ref = useRef<HTMLButtonElement>(null)
  const stood = useRef<Stood | null>(null)
  // after every drawing: a button that is drawn anew may have moved
  useLayoutEffect(() => {
    const button = ref.current
    if (!button) return
    const { left, top } = button.getBoundingClientRect()
    const said = button.getAttribute('aria-label') ?? button.textContent
    // a page that is scrolled moves under the thumb by its will
    const fixed = { said, left: left + window.scrollX, top: top + window.scrollY }
    stood.current = standsNow(stood.current, fixed, performance.now())
  })
  const press = (event: PressEvent) => {
    if (event.pointerType === 'keyboard' || event.pointerType === 'virtual') return onPress?.(event)
    const { left, top } = event.target.getBoundingClientRect()
    const tap = { at: performance.now(), x: left + event.x, y: top + event.y }
    if (isMeant(stood.current, tap)) onPress?.(event)
  }
  return { ref, press }
}
