import { isUpright, type Piece } from '~/core/pieces'
import { alikePieces } from './alikeText'
import { capital, pieceName, type Wording } from './words'

/** Battens 1 to 11; or the names of the pieces in a row: equal things are said once. */
export function rowNames(pieces: readonly Piece[], w: Wording): string {
  const [first] = pieces
  const last = pieces[pieces.length - 1]
  if (!first || !last) return ''
  const inRow = pieces.every(({ number }, i) => number === first.number + i)
  const alike = pieces.every(({ role }) => role === first.role) && isUpright(first.role)
  if (pieces.length > 2 && inRow && alike) return `${capital(first.role)}s ${first.number} to ${last.number}`
  if (pieces.length > 1) return alikePieces(pieces, w)
  return pieces.map((piece) => pieceName(piece, w)).join(', ')
}
