import { useSyncExternalStore } from 'react'

const NAMES = {
  ink: '--ink',
  soft: '--ink-soft',
  line: '--line',
  good: '--green',
  strip: '--strip',
  board: '--rod-edge',
  chalk: '--chalk',
  below: '--wall-below',
  red: '--red',
} as const
type Inks = Readonly<Record<keyof typeof NAMES, string>>

const subscribe = (changed: () => void) => {
  const watch = new MutationObserver(changed)
  watch.observe(document.documentElement, { attributes: true })
  return () => watch.disconnect()
}

/** The page's own colors as a canvas needs them; they follow the light. */
export function useInks(): Inks {
  const text = useSyncExternalStore(
    subscribe,
    () => {
      const style = getComputedStyle(document.documentElement)
      return Object.values(NAMES)
        .map((name) => style.getPropertyValue(name).trim())
        .join('|')
    },
    () => '',
  )
  const values = text.split('|')
  return Object.fromEntries(Object.keys(NAMES).map((key, i) => [key, values[i] ?? ''])) as Inks
}
