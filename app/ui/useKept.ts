import { useCallback, useMemo, useSyncExternalStore } from 'react'

const listeners = new Set<() => void>()

function subscribe(hear: () => void) {
  listeners.add(hear)
  window.addEventListener('storage', hear)
  return () => {
    listeners.delete(hear)
    window.removeEventListener('storage', hear)
  }
}

// where a browser keeps nothing it is kept while the page is there
const unkept = new Map<string, string>()

function kept(key: string): string | null {
  try {
    return localStorage.getItem(key) ?? unkept.get(key) ?? null
  } catch {
    return unkept.get(key) ?? null
  }
}

/**
 * How a person works at a place, kept in this browser: after a reload and in another tab it is as it was left. What can't
 * be read starts anew. Nothing that counts belongs here: documents and acts are the server's.
 */
export function useKept<T extends object>(key: string, initial: T): [T, (patch: Partial<T>) => void] {
  const text = useSyncExternalStore(
    subscribe,
    () => kept(key),
    () => null,
  )
  const value = useMemo((): T => {
    try {
      const read: unknown = JSON.parse(text ?? '{}')
      return typeof read === 'object' && read !== null ? { ...initial, ...read } : initial
    } catch {
      return initial
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it starts from is written in the page
  }, [text])
  const keep = useCallback(
    (patch: Partial<T>) => {
      const next = JSON.stringify({ ...(JSON.parse(kept(key) ?? '{}') as object), ...patch })
      try {
        localStorage.setItem(key, next)
      } catch {
        unkept.set(key, next)
      }
      for (const hear of listeners) hear()
    },
    [key],
  )
  return [value, keep]
}
