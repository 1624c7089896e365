import { useCallback, useEffect, useRef, useState } from 'react'
import { paperPageText } from '~/messages'
import { saveFile } from '~/ui/saveFile'

export type Getting =
  | { readonly kind: 'idle' }
  | { readonly kind: 'making'; readonly seconds: number }
  | { readonly kind: 'made'; readonly name: string }
  | { readonly kind: 'failed'; readonly text: string }

function nameIn(header: string | null): string {
  const [, long] = /filename\*=UTF-8''([^;]+)/.exec(header ?? '') ?? []
  return long ? decodeURIComponent(long) : 'regla'
}

/** Has a file made on the server and hands it to the browser; it can be given up, and what went wrong is told. */
export function useGetFile() {
  const [state, setState] = useState<Getting>({ kind: 'idle' })
  const going = useRef<AbortController | null>(null)
  useEffect(() => () => going.current?.abort(), [])
  const cancel = useCallback(() => {
    going.current?.abort()
    going.current = null
    setState({ kind: 'idle' })
  }, [])
  const get = useCallback(async (href: string) => {
    going.current?.abort()
    const mine = new AbortController()
    going.current = mine
    const began = Date.now()
    setState({ kind: 'making', seconds: 0 })
    const clock = setInterval(
      () => setState({ kind: 'making', seconds: Math.round((Date.now() - began) / 1000) }),
      1000,
    )
    try {
      const answer = await fetch(
        `${href}${href.includes('?') ? '&' : '?'}clock=${-new Date().getTimezoneOffset()}`,
        {
          signal: mine.signal,
        },
      )
      if (!answer.ok) {
        const text = await answer.text()
        setState({ kind: 'failed', text: text.length > 0 && text.length < 300 ? text : paperPageText.unmade })
        return
      }
      const name = nameIn(answer.headers.get('content-disposition'))
      saveFile(await answer.blob(), name)
      setState({ kind: 'made', name })
    } catch {
      if (!mine.signal.aborted) setState({ kind: 'failed', text: paperPageText.unmade })
    } finally {
      clearInterval(clock)
      if (going.current === mine) going.current = null
    }
  }, [])
  return { state, get, cancel }
}
