import { DownloadCloud } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { alongText } from '~/messages'
import { takeAlong, type TakenAlong } from '~/offline/register'
import { Button } from '~/ui/Button'
import { Soft } from '~/ui/page'

/** Every page there is of a job, however many walls its own page lists. Throws where the server is away. */
async function placesAlong(jobId: string) {
  const answer = await fetch(`/jobs/${jobId}/along`)
  if (!answer.ok) throw new Error('no answer')
  return (await answer.json()) as {
    readonly walls: readonly string[]
    readonly pages: readonly string[]
    /** Stages that whoever is signed in does not open. */
    readonly closed: readonly string[]
  }
}

/** Keeps all of a job on this device, for where there is no network: every stage of its walls, its rooms, its list and its day. */
export function TakeAlong({ jobId }: { readonly jobId: string }) {
  const [so, setSo] = useState<TakenAlong | null>(null)
  const [state, setState] = useState<'idle' | 'going' | 'done' | 'cannot' | 'failed'>('idle')
  const left = useRef(false)
  useEffect(() => {
    left.current = false
    return () => {
      left.current = true
    }
  }, [])
  const take = async () => {
    setState('going')
    const came = await placesAlong(jobId)
      .then(({ walls, pages, closed }) => takeAlong(walls, pages, closed, setSo, () => left.current))
      .catch(() => 'failed' as const)
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
