import { ZERO } from '~/length'
import type { Settings } from '~/model'
import type { BatchAdvice } from '../cutting/batchAdvice'
import { boardsFor, leftToCut } from '../cutting/leftToCut'
import { buildCutList, type CutRow, type Piece } from '../pieces'
import { NOTHING_CUT } from './cutFacts'
import { freezeList, sinceRelease } from './freeze'
import { type Release, untouched } from './release'

/** What a change costs whose pieces are cut already. */
export interface Recuts {
  /** Pieces that no longer fit and are cut anew, from themselves where they only get shorter. */
  readonly pieces: number
  /** Boards for those that get longer and for new ones; null where a piece has no board. */
  readonly boards: number | null
  /** In hundredths of money; null where a price is missing. */
  readonly cost: number | null
}

const BATCH: BatchAdvice = { advice: 'batch', why: 'betweenStrips', spread: ZERO }

/**
 * What it takes to turn the pieces of one layout into those of another, all of the first being cut: just what the list at the saw finds
 * once they are ticked. `adviceOf` says of the new pieces which are measured in place: their boards hold what they are cut long by.
 */
export function recutsBetween(
  before: readonly Piece[],
  after: readonly Piece[],
  settings: Settings,
  adviceOf: (row: CutRow) => BatchAdvice = () => BATCH,
): Recuts {
  const listed = (pieces: readonly Piece[], advice: (row: CutRow) => BatchAdvice) => ({
    pieces,
    cutList: buildCutList(pieces),
    adviceOf: advice,
    ripTo: () => null,
    fit: settings.fit,
  })
  const wanted = listed(after, adviceOf)
  const release: Release = {
    id: 'before',
    doneAt: 0,
    pieces: freezeList(
      listed(before, () => BATCH),
      [],
    ).map((piece) => ({ ...untouched(piece), cutAt: 0 })),
    leftOver: [],
    despite: null,
  }
  const { whole, count, cost } = boardsFor(leftToCut(wanted, { settings }, { ...NOTHING_CUT, release }), {
    settings,
  })
  return {
    pieces: sinceRelease(release, wanted).again.length,
    boards: whole ? count : null,
    cost: whole ? cost : null,
  }
}
