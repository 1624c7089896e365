import { DownloadCloud } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { alongText } from '~/messages'
import { takeAlong, type TakenAlong } from '~/offline/register'
import { Button } from '~/ui/Button'
import { Soft } from '~/ui/page'

/** Keeps all of a job on this device, for where there is no network: every stage of its walls, its rooms, its list and its day. */
export function TakeAlong({
  jobId,
  rooms,
}: {
  readonly jobId: string
  readonly rooms: readonly {
    readonly id: string
    readonly walls: readonly { readonly id: string; readonly archived: boolean }[]
  }[]
}) {
  const [so, setSo] = useState<TakenAlong | null>(null)
  const [state, setState] = useState<'idle' | 'going' | 'done' | 'cannot' | 'failed'>('idle')
  const left = useRef(false)
  useEffect(() => {
    left.current = false
    return () => {
      left.current = true
    }
  }, [])
  const path = `/jobs/${jobId}`
  const take = async () => {
    setState('going')
    const walls = rooms.flatMap(({ walls: all }) =>
      all.flatMap(({ id, archived }) => (archived ? [] : [`${path}/walls/${id}`])),
    )
    const pages = [
      path,
      ...rooms.map(({ id }) => `${path}/rooms/${id}`),
      `${path}/boards/list`,
      `${path}/work/today`,
    ]
    const came = await takeAlong(walls, pages, setSo, () => left.current).catch(() => 'failed' as const)
    if (left.current) return
    setState(came === null ? 'cannot' : came === 'failed' || came.missing > 0 ? 'failed' : 'done')
  }
  return (
    <>
      <Button isDisabled={state === 'going'} why={alongText.going} onPress={() => void take()}>
        <DownloadCloud size={18} aria-hidden /> {alongText.take}
      </Button>
      {state === 'idle' ? null : (
        <Soft role="status" data-along={state}>
          {state === 'cannot'
            ? alongText.cannot
            : state === 'failed'
              ? alongText.failed(so?.missing ?? 0)
              : so
                ? alongText.so(so.done, so.all, so.bytes, state === 'done')
                : alongText.going}
        </Soft>
      )}
    </>
  )
}
