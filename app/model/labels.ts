/** Sheets of paper that are printed on: Letter by inches, A4 by millimeters. */
export const PAPERS = ['letter', 'a4'] as const
export type PaperSize = (typeof PAPERS)[number]

/** A sheet of labels by its measures: inches on Letter, millimeters on A4; pitch from an edge to the next same edge. */
export interface LabelSheet {
  readonly id: string
  readonly paper: PaperSize
  readonly across: number
  readonly down: number
  readonly width: number
  readonly height: number
  readonly left: number
  readonly top: number
  readonly pitchX: number
  readonly pitchY: number
}

type Pair = readonly [number, number]

const sheet = (
  id: string,
  paper: PaperSize,
  [across, down]: Pair,
  [width, height]: Pair,
  [left, top]: Pair,
  [pitchX, pitchY]: Pair,
): LabelSheet => ({ id, paper, across, down, width, height, left, top, pitchX, pitchY })

/** Sheets of labels as they are sold everywhere. Common practice, no source. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  sheet('letter-30', 'letter', [3, 10], [2.625, 1], [0.1875, 0.5], [2.75, 1]),
  sheet('letter-20', 'letter', [2, 10], [4, 1], [0.15625, 0.5], [4.1875, 1]),
  sheet('letter-14', 'letter', [2, 7], [4, 4 / 3], [0.15625, 5 / 6], [4.1875, 4 / 3]),
  sheet('letter-10', 'letter', [2, 5], [4, 2], [0.15625, 0.5], [4.1875, 2]),
  sheet('letter-6', 'letter', [2, 3], [4, 10 / 3], [0.15625, 0.5], [4.1875, 10 / 3]),
  sheet('letter-80', 'letter', [4, 20], [1.75, 0.5], [0.28125, 0.5], [2.0625, 0.5]),
  sheet('a4-21', 'a4', [3, 7], [63.5, 38.1], [7.25, 15.15], [66, 38.1]),
  sheet('a4-24', 'a4', [3, 8], [63.5, 33.9], [7.25, 12.9], [66, 33.9]),
  sheet('a4-24-full', 'a4', [3, 8], [70, 37], [0, 0.5], [70, 37]),
  sheet('a4-14', 'a4', [2, 7], [99.1, 38.1], [4.65, 15.15], [101.6, 38.1]),
  sheet('a4-12', 'a4', [3, 4], [63.5, 72], [7.25, 4.5], [66, 72]),
  sheet('a4-8', 'a4', [2, 4], [99.1, 67.7], [4.65, 13.1], [101.6, 67.7]),
  sheet('a4-65', 'a4', [5, 13], [38.1, 21.2], [4.75, 10.7], [40.6, 21.2]),
]
