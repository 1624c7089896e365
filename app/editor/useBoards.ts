import type { CutRow } from '~/core/pieces'
import { boardRequests } from '~/core/stock'
import type { Settings } from '~/model'
import { type Boards, usePlannedBoards } from './usePlannedBoards'

export type { Boards, MaterialBoards } from './usePlannedBoards'

/** The boards of one wall's cut list. */
export function useBoards(cutList: readonly CutRow[], settings: Settings): Boards {
  return usePlannedBoards(boardRequests(cutList, settings))
}
