import { type Remote, wrap } from 'comlink'

export interface WorkerJob<Answer> {
  /** Rejects when the worker breaks down. */
  readonly answer: Promise<Answer>
  /** Ends the worker at once; the answer then never comes. */
  readonly cancel: () => void
}

/** A worker with its remote face, kept together: a face that is collected closes its worker's ear. */
interface Helper<Api> {
  readonly worker: Worker
  readonly remote: Remote<Api>
}

/** Workers of one kind: one is kept ready, a job under way can be ended. */
export function keptWorker<Api>(start: () => Worker) {
  let idle: Helper<Api> | null = null
  const startHelper = (): Helper<Api> => {
    const worker = start()
    return { worker, remote: wrap<Api>(worker) }
  }
  return {
    /** Has a worker ready before it is needed. */
    warmUp() {
      idle ??= startHelper()
    },
    /** Gives a worker a job. A finished worker is kept for the next one. */
    run<Answer>(call: (remote: Remote<Api>) => Promise<Answer>): WorkerJob<Answer> {
      const helper = idle ?? startHelper()
      idle = null
      let over = false
      const broken = new Promise<never>((_, reject) => {
        helper.worker.addEventListener('error', () => reject(new Error('the worker broke down')), {
          once: true,
        })
      })
      const answer = Promise.race([call(helper.remote), broken]).then((result) => {
        over = true
        if (idle) helper.worker.terminate()
        else idle = helper
        return result
      })
      return {
        answer,
        cancel: () => {
          if (!over) helper.worker.terminate()
        },
      }
    },
  }
}
