import { useState } from 'react'

/** A value that stands still while something is in hand. */
export function useAtRest<T>(value: T, held: boolean): T {
  const [kept, setKept] = useState(value)
  // React draws again at once with the new one, before anything is shown
  if (!held && kept !== value) setKept(value)
  return held ? kept : value
}
