import type { Simulated, SimulationAsked } from '~/core/evenness/simulate'
import type { WaysOn } from '~/core/asbuilt/waysOut'
import type { BuiltAsked, EvenWorker } from './even.worker'
import { keptWorker, type WorkerJob } from './keptWorker'

const workers = keptWorker<EvenWorker>(
  () => new Worker(new URL('./even.worker.ts', import.meta.url), { type: 'module' }),
)

/** How even walls come out, simulated in a worker. */
export function findEven(asked: SimulationAsked): WorkerJob<Simulated> {
  return workers.run((remote) => remote.simulate(asked) as Promise<Simulated>)
}

/** The ways on from a wall as it is built, each carried out whole in a worker. */
export function findWaysOn(asked: BuiltAsked): WorkerJob<WaysOn> {
  return workers.run((remote) => remote.waysOn(asked) as Promise<WaysOn>)
}
