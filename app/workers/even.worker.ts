import { expose } from 'comlink'
import { type SimulationAsked, simulate } from '~/core/evenness/simulate'

const api = { simulate: (asked: SimulationAsked) => simulate(asked) }
export type EvenWorker = typeof api

expose(api)
