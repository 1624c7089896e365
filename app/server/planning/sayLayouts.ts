// A process of its own beside the server: plans one wall after the other and says what each is.
import { computePlan } from '~/core/computePlan'
import { layoutTitle } from '~/messages'
import type { Workpiece } from '~/model'

process.on('message', ({ ticket, workpiece }: { ticket: number; workpiece: Workpiece }) => {
  const { units, tape, materials } = workpiece.settings
  try {
    process.send?.({
      ticket,
      words: layoutTitle(computePlan(workpiece), { format: { units, tape }, materials }),
    })
  } catch {
    process.send?.({ ticket, words: null })
  }
})
// a server that is gone, however it went, leaves nothing running
process.on('disconnect', () => process.exit())
