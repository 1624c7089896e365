import { expose } from 'comlink'
import type { CutFacts } from '~/core/asbuilt/cutFacts'
import { releaseOf } from '~/core/asbuilt/release'
import { waysOn } from '~/core/asbuilt/waysOut'
import { type SimulationAsked, simulate } from '~/core/evenness/simulate'
import { cutWall } from '~/core/layout/cutWall'
import type { Act, Workpiece } from '~/model'

/** A wall and what happened at it. */
export interface BuiltAsked {
  readonly workpiece: Workpiece
  readonly acts: readonly Act[]
  readonly facts: CutFacts
}

const api = {
  simulate: (asked: SimulationAsked) => simulate(asked),
  waysOn: ({ workpiece, acts, facts }: BuiltAsked) =>
    waysOn(workpiece, cutWall(workpiece), acts, releaseOf(acts), facts),
}
export type EvenWorker = typeof api

expose(api)
