import { inches } from '~/length'
import { inForce, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import type { EndCut, Piece } from '../pieces'
import { severalSettings, twoSawSettings } from '../pieces'
import type { Finding, WayOut } from './finding'

/** Under this along its short edge a piece can't take a nail at each end. Common practice, no source. */
export const SHORT_TO_NAIL = inches(2)

/** What the saw reads for the cuts of an end across the face, at the most. */
export function steepestOf(cut: EndCut, faceWidth: number): number {
  switch (cut.kind) {
    case 'miter':
    case 'cope':
      return cut.sawSettingDeg
    case 'twoCuts': {
      const { leftDeg, rightDeg } = twoSawSettings(cut, faceWidth)
      return Math.max(leftDeg, rightDeg)
    }
    case 'severalCuts':
      return Math.max(...severalSettings(cut))
    case 'square':
    case 'bevel':
    case 'scarf':
    case 'cornerMiter':
    case 'returned':
      return 0
  }
}

/** Moves that make nothing, or not all that was asked for: kept, and told with what they miss. */
function movesThatTell({ wall }: Workpiece, layout: Layout): Finding[] {
  const { lines } = inForce(wall.design)
  const patch = (moves: typeof lines.moves): WayOut['edits'] => [
    { type: 'patchDesign', patch: { lines: { ...lines, moves } } },
  ]
  return (layout.moves?.moves ?? []).flatMap((made, i) =>
    made.issues.map((issue): Finding => {
      const nth = i + 1
      const off = patch(lines.moves.map((move) => (move.id === made.id ? { ...move, on: false } : move)))
      const away = patch(lines.moves.filter((move) => move.id !== made.id))
      const stops = issue.code === 'tooMany'
      return {
        stage: 'layout',
        severity: stops ? 'wrong' : 'watch',
        says: { code: 'moveTells', nth, kind: made.kind, issue },
        stripIds: made.stripIds,
        waysOut: [
          { says: { code: 'moveOff', nth }, edits: off },
          { says: { code: 'moveAway', nth }, edits: away },
        ],
        ...(stops ? { blocks: { key: `moves.${made.id}`, figure: issue.made } } : {}),
      }
    }),
  )
}

function withOff({ wall }: Workpiece, ids: readonly string[]): WayOut['edits'] {
  const { lines } = inForce(wall.design)
  return [{ type: 'patchDesign', patch: { lines: { ...lines, off: [...new Set([...lines.off, ...ids])] } } }]
}

/** Struck strips of which nothing is left: wholly over an opening, or under what runs through. */
function vanished(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  const cut = new Set(pieces.map(({ stripId }) => stripId))
  const gone = layout.strips.filter(({ role, id }) => role === 'line' && !cut.has(id)).map(({ id }) => id)
  if (gone.length === 0) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: { code: 'linesVanish', lines: gone },
      stripIds: [],
      waysOut: [{ says: { code: 'linesOff', lines: gone.length }, edits: withOff(workpiece, gone) }],
    },
  ]
}

/** Spikes and stubs: what splits or can't be nailed, gathered, the shortest named. */
function slivers(workpiece: Workpiece, pieces: readonly Piece[]): Finding[] {
  const found = pieces
    .filter(({ role, shortLength }) => role === 'line' && shortLength < SHORT_TO_NAIL)
    .sort((a, b) => a.shortLength - b.shortLength)
  const [worst] = found
  if (!worst) return []
  const ids = [...new Set(found.map(({ stripId }) => stripId))]
  // what is a sliver in one part of it only is wanted in the others
  const whole = ids.filter((id) => pieces.every((piece) => piece.stripId !== id || found.includes(piece)))
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'lineSliver',
        pieceId: worst.id,
        stripId: worst.stripId,
        short: worst.shortLength,
        long: worst.longLength,
        pieces: found.length,
      },
      stripIds: ids,
      waysOut:
        whole.length > 0
          ? [{ says: { code: 'linesOff', lines: whole.length }, edits: withOff(workpiece, whole) }]
          : [],
    },
  ]
}

/** What is to be said of struck lines: moves that miss something, what is left of nothing, slivers. */
export function lineFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  if (!layout.moves) return []
  return [
    ...movesThatTell(workpiece, layout),
    ...vanished(workpiece, layout, pieces),
    ...slivers(workpiece, pieces),
  ]
}
