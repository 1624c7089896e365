import type { Product, Wait } from '~/model'

/** What is done. */
export const TASK_KINDS = [
  'protect',
  'remove',
  'floorBefore',
  'fillOld',
  'skim',
  'sandWall',
  'buy',
  'prepare',
  'boxes',
  'panels',
  'wallFirst',
  'mark',
  'cut',
  'stain',
  'paintAhead',
  'fit',
  'shift',
  'trimBack',
  'fill',
  'sandFill',
  'dust',
  'caulk',
  'aboveCoat',
  'fieldCoat',
  'trimCoat',
  'varnish',
  'paper',
  'plates',
  'floorAfter',
  'touchUp',
  'clear',
  'own',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]

/** Why one task has to be done before another. */
export const WHYS = [
  'protected',
  'behindTrim',
  'dry',
  'dustFirst',
  'floorFirst',
  'boardsHere',
  'boxesFirst',
  'panelsFirst',
  'paintedWall',
  'marksFirst',
  'measured',
  'prepared',
  'cutFirst',
  'paintedFirst',
  'corner',
  'wayOut',
  'moved',
  'fitted',
  'filled',
  'sanded',
  'clean',
  'caulked',
  'coat',
  'above',
  'painted',
  'last',
  'own',
  'pin',
] as const
export type Why = (typeof WHYS)[number]

export const TOOLS_OF_WORK = [
  'pryBar',
  'level',
  'laser',
  'tapeMeasure',
  'saw',
  'blocks',
  'nailer',
  'gluing',
  'puttyKnife',
  'sander',
  'vacuum',
  'caulkGun',
  'brush',
  'roller',
  'sprayer',
  'drill',
  'paperKnife',
  'tester',
  'ladder',
  'dropCloth',
] as const
export type WorkTool = (typeof TOOLS_OF_WORK)[number]

/** The usual cautions, at the step where they matter. */
export const CAUTIONS = [
  'dust',
  'saw',
  'nailer',
  'inTheWall',
  'power',
  'boxes',
  'oldPaint',
  'texture',
  'fumes',
  'ladder',
  'heavy',
  'child',
  'rented',
  'heat',
] as const
export type Caution = (typeof CAUTIONS)[number]

/** What is looked at, and when. */
export const CHECKS = [
  'levelLine',
  'plumb',
  'lookBack',
  'marksAgain',
  'readOpenings',
  'sameBatch',
  'nailDepth',
  'laserAgain',
  'wayFree',
  'dryTouch',
  'tapeWet',
  'endsSealed',
  'numbersUp',
  'boardsLie',
  'blocksFirst',
] as const
export type Check = (typeof CHECKS)[number]

/** That another task is done first, and how many hours after its end this one begins at the earliest. */
export interface Before {
  readonly id: string
  readonly wait: number
  /** What is waited for; null where nothing dries or sets. */
  readonly for: Wait | null
  readonly why: Why
}

/** One task of a job: what, where, how long, by how many, after what. */
export interface Task {
  readonly id: string
  readonly kind: TaskKind
  readonly room: string | null
  readonly wall: string | null
  /** Which coat; which half of two. */
  readonly number: number | null
  /** What it is called where it is one's own. */
  readonly name: string | null
  readonly minutes: number
  /** How many of the crew are busy with it; 0: another trade, by the clock. */
  readonly people: 0 | 1 | 2
  readonly noisy: boolean
  readonly after: readonly Before[]
  /** Not before this day, as what it needs comes then. */
  readonly comes: { readonly on: string; readonly name: string } | null
  readonly tools: readonly WorkTool[]
  readonly supplies: readonly Product[]
  readonly cautions: readonly Caution[]
  readonly checks: readonly Check[]
}
