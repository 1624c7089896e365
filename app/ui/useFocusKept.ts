import { useEffect, useRef } from 'react'

/** How many places are remembered where the focus has been. */
const REMEMBERED = 8
/** What was taken away has until then to be put back by whoever took it. */
const AFTER_MS = 60

interface Place {
  readonly element: Element
  /** The name of a control that is drawn anew as another element. */
  readonly name: string | null
  readonly above: readonly Element[]
}

function placeOf(element: Element): Place {
  const above: Element[] = []
  for (let up = element.parentElement; up && up !== document.body; up = up.parentElement) above.push(up)
  return { element, name: element.closest('[data-focus]')?.getAttribute('data-focus') ?? null, above }
}

function focusOn(element: Element | null | undefined): boolean {
  if (!(element instanceof HTMLElement || element instanceof SVGElement)) return false
  if (!element.hasAttribute('tabindex') && !element.matches('a[href],button,input,textarea,select'))
    element.setAttribute('tabindex', '-1')
  element.focus({ preventScroll: true })
  return document.activeElement === element
}

/** The control of that name, or what is nearest to where it was: the part of the page it stood in. */
function focusNear(places: readonly Place[]): void {
  for (const { element, name, above } of places) {
    if (element.isConnected && focusOn(element)) return
    const named = name === null ? null : document.querySelector(`[data-focus="${CSS.escape(name)}"]`)
    if (named && focusOn(named)) return
    const part = above.find(
      (each) =>
        each.isConnected &&
        !each.matches('[data-opened]') &&
        each.matches('section,aside,main,[role=region],[role=group],li,header'),
    )
    if (part && focusOn(part)) return
  }
  focusOn(document.querySelector('main h1'))
}

/**
 * Keeps the focus on the page: where what had it is drawn away it goes to the control of the same name, else to the part of
 * the page it stood in; on another page to that page's heading.
 */
export function useFocusKept(page: string): void {
  const places = useRef<Place[]>([])
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null
    const onFocus = ({ target }: FocusEvent) => {
      if (!(target instanceof Element) || target === document.body) return
      places.current = [placeOf(target), ...places.current.filter(({ element }) => element !== target)].slice(
        0,
        REMEMBERED,
      )
    }
    const look = () => {
      timer = null
      const [last] = places.current
      const lost = document.activeElement === null || document.activeElement === document.body
      if (lost && last && !last.element.isConnected) focusNear(places.current)
    }
    const watcher = new MutationObserver((changes) => {
      if (timer === null && changes.some(({ removedNodes }) => removedNodes.length > 0))
        timer = setTimeout(look, AFTER_MS)
    })
    document.addEventListener('focusin', onFocus)
    watcher.observe(document.body, { childList: true, subtree: true })
    return () => {
      document.removeEventListener('focusin', onFocus)
      watcher.disconnect()
      if (timer) clearTimeout(timer)
    }
  }, [])
  const before = useRef(page)
  useEffect(() => {
    if (before.current === page) return
    before.current = page
    // whoever went by a link that is still there is where they were
    const timer = setTimeout(() => {
      if (document.activeElement === null || document.activeElement === document.body)
        focusOn(document.querySelector('main h1'))
    }, AFTER_MS)
    return () => clearTimeout(timer)
  }, [page])
}
