import { type RefObject, useEffect, useState } from 'react'

/** The size of an element, followed as it changes; `first` until it is known. */
export function useSize(
  ref: RefObject<Element | null>,
  first: { width: number; height: number },
): { width: number; height: number } {
  const [size, setSize] = useState(first)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return
      const { width, height } = entry.contentRect
      if (width > 0 && height > 0) setSize({ width: Math.round(width), height: Math.round(height) })
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [ref])
  return size
}
