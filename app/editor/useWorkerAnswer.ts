import { useEffect, useRef, useState } from 'react'
import type { WorkerJob } from '~/workers/keptWorker'

/** Wait this long after the last change before the search is started. */
const PAUSE_MS = 220

/** An answer from a worker that follows its question; the last one stands, marked old, while the next is worked out. */
export function useWorkerAnswer<Question, Answer>(
  question: Question,
  ask: (question: Question) => WorkerJob<Answer>,
  enabled: boolean,
  /** After so long it is given up, and said to have failed. */
  deadlineMs: number | null = null,
): { answer: Answer | null; searching: boolean; failed: boolean } {
  const [state, setState] = useState<{ of: Question | null; answer: Answer | null; failed: boolean }>({
    of: null,
    answer: null,
    failed: false,
  })
  const asked = useRef(ask)
  useEffect(() => {
    if (!enabled) return
    let job: WorkerJob<Answer> | null = null
    let ended = false
    const timer = setTimeout(async () => {
      const asking = asked.current(question)
      job = asking
      const giveUp = () => {
        asking.cancel()
        if (!ended) setState((before) => ({ ...before, of: question, failed: true }))
      }
      const deadline = deadlineMs === null ? null : setTimeout(giveUp, deadlineMs)
      try {
        const answer = await asking.answer
        if (!ended) setState({ of: question, answer, failed: false })
      } catch {
        if (!ended) setState((before) => ({ ...before, of: question, failed: true }))
      } finally {
        if (deadline !== null) clearTimeout(deadline)
      }
    }, PAUSE_MS)
    return () => {
      ended = true
      clearTimeout(timer)
      job?.cancel()
    }
  }, [question, enabled, deadlineMs])
  return { answer: state.answer, searching: enabled && state.of !== question, failed: state.failed }
}
