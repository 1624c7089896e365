import type { Settings } from '~/model'
import type { Database } from './db/database.server'
import { redoNext, undoNewest } from './documents.server'

class StepRefused extends Error {
  constructor(readonly wallNames: readonly string[]) {
    super('a material is in use')
  }
}

export type Stepped<State> =
  | { readonly kind: 'saved'; readonly state: State }
  | { readonly kind: 'inUse'; readonly wallNames: readonly string[] }

/**
 * Steps documents edited together back or forward by one change, and reads what they then are. Not done where
 * `brokenBy` finds walls that the step leaves without a material.
 */
export function stepDocuments<State extends { readonly settings: Settings }>(
  db: Database,
  documents: readonly string[],
  way: 'undo' | 'redo',
  stateOf: (tx: Database) => State,
  brokenBy: (tx: Database, settings: Settings) => readonly string[],
): Stepped<State> {
  try {
    return db.transaction((tx) => {
      if (way === 'undo') undoNewest(tx, documents)
      else redoNext(tx, documents)
      const state = stateOf(tx)
      const broken = brokenBy(tx, state.settings)
      if (broken.length > 0) throw new StepRefused(broken)
      return { kind: 'saved' as const, state }
    })
  } catch (error) {
    if (error instanceof StepRefused) return { kind: 'inUse', wallNames: error.wallNames }
    throw error
  }
}

/** Why a step was not made. */
export function stepRefusal(wallNames: readonly string[]): string {
  return `That step takes away a material that is in use on: ${wallNames.join(', ')}.`
}
