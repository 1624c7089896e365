import { type Length, nanometers, tickOf } from '~/length'
import type { Workpiece } from '~/model'

/** The nearest tick of the job's tape to what was pulled on the drawing, at least one tick. */
export function onTick({ settings }: Workpiece, length: number): Length {
  const tick = tickOf(settings.tape)
  return nanometers(Math.max(1, Math.round(length / tick)) * tick)
}
