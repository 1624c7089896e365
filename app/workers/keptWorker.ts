import { type Remote, wrap } from 'comlink'

export interface WorkerJob<Answer> {
  /** Rejects when the worker breaks down, can't be loaded, or is ended with nothing in hand. */
  readonly answer: Promise<Answer>
  /** Ends the worker at once; the answer then never comes. */
  readonly cancel: () => void
}

/** How a job is supervised: after `ms` the worker is ended and what is in hand is the answer, if anything is. */
export interface Deadline<Answer> {
  readonly ms: number
  readonly inHand: () => Answer | null
}

/** A worker with its remote face, kept together: a face that is collected closes its worker's ear. */
interface Helper<Api> {
  readonly worker: Worker
  readonly remote: Remote<Api>
  /** Rejects when it breaks down; listened for before the first message, as one that can't be loaded never answers. */
  readonly broken: Promise<never>
}

/** Workers of one kind: one is kept ready, a job under way can be ended. */
export function keptWorker<Api>(start: () => Worker) {
  let idle: Helper<Api> | null = null
  const startHelper = (): Helper<Api> => {
    const worker = start()
    const broken = new Promise<never>((_, reject) => {
      const end = (why: string) => () => {
        if (idle?.worker === worker) idle = null
        worker.terminate()
        reject(new Error(why))
      }
      worker.addEventListener('error', end('the worker broke down'), { once: true })
      worker.addEventListener('messageerror', end('the worker was not understood'), { once: true })
    })
    // one that breaks down while nobody waits for it is only started anew
    broken.catch(() => undefined)
    return { worker, remote: wrap<Api>(worker), broken }
  }
  return {
    /** Has a worker ready before it is needed. */
    warmUp() {
      idle ??= startHelper()
    },
    /** Gives a worker a job. A finished worker is kept for the next one. */
    run<Answer>(
      call: (remote: Remote<Api>) => Promise<Answer>,
      deadline?: Deadline<Answer>,
    ): WorkerJob<Answer> {
      const helper = idle ?? startHelper()
      idle = null
      let over = false
      let timer: ReturnType<typeof setTimeout> | undefined
      const ended = new Promise<Answer>((resolve, reject) => {
        if (!deadline) return
        timer = setTimeout(() => {
          if (over) return
          over = true
          helper.worker.terminate()
          const inHand = deadline.inHand()
          if (inHand === null) reject(new Error('the worker ran out of time'))
          else resolve(inHand)
        }, deadline.ms)
      })
      const answered = call(helper.remote).then((result) => {
        if (over) return result
        over = true
        if (idle) helper.worker.terminate()
        else idle = helper
        return result
      })
      const answer = Promise.race([answered, helper.broken, ended]).finally(() => clearTimeout(timer))
      return {
        answer,
        cancel: () => {
          clearTimeout(timer)
          if (!over) helper.worker.terminate()
          over = true
        },
      }
    },
  }
}
