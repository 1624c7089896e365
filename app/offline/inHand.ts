import { createStore } from 'zustand/vanilla'

/** What of this page the server does not have yet, by whoever holds it: a newer page is not offered before it has all. */
const holding = new Set<object>()
export const inHand = createStore<{ readonly some: boolean }>(() => ({ some: false }))

/** Whether `who` holds something that is not sent. */
export function holds(who: object, something: boolean): void {
  if (something) holding.add(who)
  else holding.delete(who)
  if (inHand.getState().some !== holding.size > 0) inHand.setState({ some: holding.size > 0 })
}
