import type { Simulated, SimulationAsked } from '~/core/evenness/simulate'
import type { EvenWorker } from './even.worker'
import { keptWorker, type WorkerJob } from './keptWorker'

const workers = keptWorker<EvenWorker>(
  () => new Worker(new URL('./even.worker.ts', import.meta.url), { type: 'module' }),
)

/** How even walls come out, simulated in a worker. */
export function findEven(asked: SimulationAsked): WorkerJob<Simulated> {
  return workers.run((remote) => remote.simulate(asked) as Promise<Simulated>)
}
