import type { ComponentType } from 'react'
import type { Pattern } from '~/model'
import { BoxSentence } from './BoxSentence'
import { CellChoices } from './CellChoices'
import { GridSentence } from './GridSentence'
import { LinesDrawing } from './lines/LinesDrawing'
import { LinesSentences } from './lines/LinesSentences'
import { LookFold, NudgeFold } from './lines/LookFolds'
import { StripsFold } from './lines/StripsFold'
import { SpacingSentence } from './SpacingSentence'

const upright = (x: number, width: number, top = 12, bottom = 30) =>
  `M${x} ${top}h${width}V${bottom}h-${width}Z`
const level = (y: number, height = 2.5) => `M2 ${y}h40v${height}h-40Z`
const frame = (x: number, y: number, width: number, height: number) =>
  `M${x} ${y}h${width}v${height}h-${width}Zm1.6 1.6v${height - 3.2}h${width - 3.2}v-${height - 3.2}Z`

const slant = (x: number, y: number, run: number) => `M${x} ${y}l${run} -${run}h2.4l-${run} ${run}Z`

/** What the layout stage has of each pattern: a small drawing of it, 44 by 34, and its own sentences. */
interface PatternParts {
  readonly picture: string
  readonly Sentences: readonly ComponentType[]
  /** Folds of its own below the findings, and a drawing with tools of its own. */
  readonly Folds?: readonly ComponentType[]
  readonly Drawing?: ComponentType
}

export const PATTERN_PARTS: Readonly<Record<Pattern, PatternParts>> = {
  battens: {
    picture: [level(10), level(29), ...[2, 12, 21, 30, 40].map((x) => upright(x, 2))].join(''),
    Sentences: [SpacingSentence],
  },
  grid: {
    picture: [
      ...[3, 12, 21, 30].map((y) => level(y)),
      ...[2, 15, 28, 40].map((x) => upright(x, 2, 3, 32)),
    ].join(''),
    Sentences: [SpacingSentence, GridSentence, CellChoices],
  },
  boxes: {
    picture: [level(13), frame(4, 18, 10, 11), frame(17, 18, 10, 11), frame(30, 18, 10, 11)].join(''),
    Sentences: [BoxSentence],
  },
  slats: {
    picture: Array.from({ length: 13 }, (_, i) => upright(2.5 + i * 3.1, 1.6, 3, 32)).join(''),
    Sentences: [SpacingSentence],
  },
  lines: {
    picture: [frame(2, 3, 40, 28), slant(6, 27, 22), slant(14, 27, 22), slant(26, 27, 14)].join(''),
    Sentences: [LinesSentences],
    Folds: [NudgeFold, StripsFold, LookFold],
    Drawing: LinesDrawing,
  },
  rails: { picture: [level(7, 1.8), level(18), level(30)].join(''), Sentences: [] },
}
