import type { Contrast } from '~/core/agree/wallColors'
import type { PAINT_STATES, PaintUse, SHEENS } from '~/model'

/** What a paint is for, as it is called on the page. */
export const USE_NAMES: Readonly<Record<PaintUse, string>> = {
  trim: 'Trim',
  field: 'Wall between the trim',
  above: 'Wall above',
  plates: 'Outlet covers',
}

export const SHEEN_NAMES: Readonly<Record<(typeof SHEENS)[number], string>> = {
  flat: 'flat',
  matte: 'matte',
  eggshell: 'eggshell',
  satin: 'satin',
  semigloss: 'semigloss',
  gloss: 'gloss',
}

export const STATE_NAMES: Readonly<Record<(typeof PAINT_STATES)[number], string>> = {
  listed: 'on the list',
  dropped: 'tried and dropped',
}

export const colorText = {
  title: 'Colors',
  inUse: 'What is painted in what',
  asIs: 'as it is',
  baseboard: 'The baseboard is painted with the trim',
  sameAsTrim: 'Wall and trim in one color',
  list: 'Colors of this job',
  listHelp: 'As the can says them. A color on a screen is near, never right: try it on the wall.',
  none: 'No color yet. Add the one that is on the wall now.',
  add: (use: string) => `Add a color for: ${use}`,
  fresh: 'New color',
  name: 'Name',
  code: 'Maker’s code',
  hex: 'Color, as #rrggbb',
  hexProblem: 'That is no color. Write it as six digits, such as #4a6b62.',
  sheen: 'Sheen',
  batch: 'Batch on the can',
  triedOn: 'Tried on the wall on',
  note: 'What was thought of it',
  use: 'For',
  drop: 'Drop it',
  back: 'Back on the list',
  remove: (name: string) => `Take ${name} off the list`,
  swatch: (name: string) => `Color of ${name}`,
  contrast: 'Side by side',
  contrastNone: 'Pick two colors that lie side by side, and it is told how they stand apart.',
  lamp: 'Figures of the screen’s colors: light, sheen and the can decide.',
  paper: 'Paper above the trim',
  paperNone: 'no paper',
  paperKinds: { repeat: 'paper in drops', mural: 'numbered mural' },
  paperName: 'What it is called',
  paperWidth: 'One drop or panel is wide',
  paperRepeat: 'Pattern comes again every',
  paperHeight: 'A panel is high',
  paperPanels: 'Panels',
  paperFrom: 'Hung from',
  paperFroms: {
    left: 'the left',
    right: 'the right',
    middle: 'a seam in the middle, both ways',
    middleDrop: 'a drop in the middle, both ways',
  },
  paperRoll: 'A roll is long',
  paperMatch: 'Its pattern',
  paperMatches: { straight: 'straight across', half: 'half a repeat down at each second drop' },
  paperOver: 'Runs over, to be trimmed',
  paperHex: 'Its main color',
  drops: (n: number) => `${n} drawn on the wall`,
  noAbove: 'This layout goes all the way up: there is no wall above it.',
} as const

const SEEN: Readonly<Record<Contrast['seen'], string>> = {
  same: 'one color: only its relief and shadow tell it',
  hardly: 'hardly told apart: from across the room one color',
  soft: 'soft: told apart when looked at',
  clear: 'clear: parted from across the room',
}

/** How two colors that lie side by side stand apart. */
export function contrastText({ between: [a, b], ratio, difference, seen }: Contrast): string {
  const figures = `contrast ${ratio.toFixed(2)} to 1, difference ${Math.round(difference)} of 100`
  return `${USE_NAMES[a]} and ${USE_NAMES[b].toLowerCase()}: ${SEEN[seen]} (${figures})`
}
