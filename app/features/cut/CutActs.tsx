import { createContext, useContext } from 'react'
import type { CutList } from './useCutList'

const Context = createContext<CutList | null>(null)

/** Hands the list of the stage to what stands in it: worked out once. */
export const CutActsProvider = Context.Provider

/** The cut list in hand and what takes down what happened to its pieces. Only inside CutActsProvider. */
export function useCutActs(): CutList {
  const list = useContext(Context)
  if (!list) throw new Error('useCutActs outside of the stage')
  return list
}
