import { useCallback, useEffect, useRef, useState } from 'react'

/** What of listening this needs, by the names browsers give it; browsers that have it call it by two names, and no types come with it. */
interface Listener {
  lang: string
  continuous: boolean
  start: () => void
  stop: () => void
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null
  onend: (() => void) | null
  onerror: (() => void) | null
}
type ListenerMaker = new () => Listener

function makerOf(): ListenerMaker | null {
  if (typeof window === 'undefined') return null
  const found = window as unknown as Partial<
    Record<'SpeechRecognition' | 'webkitSpeechRecognition', ListenerMaker>
  >
  return found.SpeechRecognition ?? found.webkitSpeechRecognition ?? null
}

/** Fractions as they are said: 28 5/8 is "28 and 5 8ths". */
export function spoken(text: string): string {
  return text
    .replace(/(\d+)[\s\u2009\u00a0](\d+)[/⁄](\d+)/g, '$1 and $2 over $3')
    .replace(/(\d+)[/⁄](\d+)/g, '$1 over $2')
    .replace(/″|"/g, ' inches')
}

/**
 * The browser's own voice: what stands there is read aloud when it changes, and "next" is heard where the browser can listen. Both are off until
 * somebody turns them on, and nothing needs them.
 */
export function useVoice(text: string, onNext: () => void) {
  const [aloud, setAloud] = useState(false)
  const [listens, setListens] = useState(false)
  const [canListen, setCanListen] = useState(true)
  const next = useRef(onNext)
  useEffect(() => {
    next.current = onNext
  })
  useEffect(() => {
    if (!aloud || typeof speechSynthesis === 'undefined') return
    speechSynthesis.cancel()
    speechSynthesis.speak(new SpeechSynthesisUtterance(spoken(text)))
  }, [aloud, text])
  useEffect(() => () => (typeof speechSynthesis === 'undefined' ? undefined : speechSynthesis.cancel()), [])
  useEffect(() => {
    const Maker = listens ? makerOf() : null
    if (!Maker) return
    const listener = new Maker()
    let over = false
    Object.assign(listener, { lang: 'en-US', continuous: true })
    listener.onresult = ({ results }) => {
      const said = results[results.length - 1]?.[0]?.transcript ?? ''
      if (/\b(next|marked|fitted)\b/i.test(said)) next.current()
    }
    // a browser stops listening by itself after a while
    listener.onend = () => {
      if (!over) listener.start()
    }
    listener.onerror = () => {
      over = true
      setListens(false)
      setCanListen(false)
    }
    listener.start()
    return () => {
      over = true
      listener.stop()
    }
  }, [listens])
  const toggleListening = useCallback(() => {
    if (makerOf()) setListens((is) => !is)
    else setCanListen(false)
  }, [])
  return { aloud, toggleAloud: () => setAloud((is) => !is), listens, canListen, toggleListening }
}
