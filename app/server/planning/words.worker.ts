import { parentPort } from 'node:worker_threads'
import { computePlan } from '~/core/computePlan'
import { layoutTitle } from '~/messages'
import type { Workpiece } from '~/model'

/** Plans one wall after the other and says what each is, off the server's own thread. */
parentPort?.on('message', ({ ticket, workpiece }: { ticket: number; workpiece: Workpiece }) => {
  const { units, tape, materials } = workpiece.settings
  try {
    const words = layoutTitle(computePlan(workpiece), { format: { units, tape }, materials })
    parentPort?.postMessage({ ticket, words })
  } catch (error) {
    parentPort?.postMessage({
      ticket,
      words: null,
      why: error instanceof Error ? error.message : String(error),
    })
  }
})
