import type { Length } from '~/length'
import type { Act } from '~/model'
import { releasedOf, releaseOf } from './release'

/** One piece as the list that went out last has it, beside the list before. */
export interface Reissued {
  readonly name: string
  /** What it was called and how long it was; null where it is new. */
  readonly before: { readonly name: string; readonly length: Length } | null
  /** How long it is now; null where it is not wanted any more. */
  readonly now: Length | null
  /** It was cut by the list before. */
  readonly wasCut: boolean
}

/** What changed when the list went out again, for the one at the saw: by place on the wall; nothing after the first list. */
export function reissued(acts: readonly Act[]): Reissued[] {
  const [before, last] = releasedOf(acts).slice(-2)
  if (!before || !last) return []
  const earlier = releaseOf(acts.filter((act) => act.id !== last.id && act.doneAt <= last.doneAt))
  const cut = new Set(earlier?.pieces.flatMap(({ piece, cutAt }) => (cutAt === null ? [] : [piece.name])))
  const was = new Map(before.pieces.map((piece) => [piece.pieceId, piece]))
  const is = new Set(last.pieces.map(({ pieceId }) => pieceId))
  const names = new Set(last.pieces.map(({ name }) => name))
  return [
    ...last.pieces.flatMap((piece): Reissued[] => {
      const old = was.get(piece.pieceId)
      if (old && old.name === piece.name && old.cutLength === piece.cutLength) return []
      return [
        {
          name: piece.name,
          before: old ? { name: old.name, length: old.longLength } : null,
          now: piece.longLength,
          wasCut: old !== undefined && cut.has(old.name),
        },
      ]
    }),
    ...before.pieces.flatMap((piece): Reissued[] =>
      is.has(piece.pieceId) || names.has(piece.name)
        ? []
        : [
            {
              name: piece.name,
              before: { name: piece.name, length: piece.longLength },
              now: null,
              wasCut: cut.has(piece.name),
            },
          ],
    ),
  ]
}
