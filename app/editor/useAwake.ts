import { useEffect, useState } from 'react'

/** Whether the screen stays awake: asked for, held, or not to be had in this browser. */
export type Awake = 'asking' | 'held' | 'none'

/** Keeps the screen awake while the page is in view: a browser lets go when it is hidden, so it is asked again. */
export function useAwake(): Awake {
  const [awake, setAwake] = useState<Awake>('asking')
  useEffect(() => {
    let over = false
    let lock: WakeLockSentinel | null = null
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      try {
        // over plain http on a network there is none at all
        if (!('wakeLock' in navigator)) throw new Error('no wake lock here')
        lock = await navigator.wakeLock.request('screen')
        if (over) void lock.release()
        else setAwake('held')
      } catch {
        if (!over) setAwake('none')
      }
    }
    const onShown = () => void ask()
    void ask()
    document.addEventListener('visibilitychange', onShown)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', onShown)
      void lock?.release().catch(() => undefined)
    }
  }, [])
  return awake
}
