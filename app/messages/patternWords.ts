import type { Layout } from '~/core/layout/layout'
import type { Pattern } from '~/model'
import { count, say, type Wording } from './words'

/** What is said differently of each pattern. */
export interface PatternWords {
  /** On its button, and within a sentence. */
  readonly pick: string
  readonly name: string
  /** What it counts. */
  readonly one: string
  readonly many: string
  /** What is placed along the wall, and what is left between. */
  readonly strip: string
  readonly strips: string
  readonly gap: string
  readonly gaps: string
  /** The size that is pulled on the drawing, and the word after its figure. */
  readonly size: string
  readonly sized: string
  /** The size as a column's heading, and before a figure of it that goes for several. */
  readonly width: string
  readonly each: string
  /** Between a count and its size: 7 of 31 1/4. */
  readonly of: string
  readonly matched: string
  readonly near: string
  /** Each strip may come to lie on a stud. */
  readonly onStuds: boolean
  /** Why there is no sum of gaps. */
  readonly noSum: string
  /** The layout in a line. */
  readonly title: (layout: Layout, w: Wording) => string
}

const UPRIGHTS = {
  strip: 'strip',
  strips: 'strips',
  gap: 'gap',
  gaps: 'gaps',
  size: 'Gap between strips',
  sized: 'clear',
  width: 'gap',
  each: 'gaps of',
  of: 'with',
  matched: 'One gap for all walls',
  near: 'Gap near',
  onStuds: true,
  noSum: 'nothing to add up: see what is wrong',
} as const

/** 11 battens to a rail at 62. */
function uprightTitle(one: string) {
  const many = `${one}s`
  return ({ uprights, bands, height }: Layout, w: Wording) => {
    if (uprights.length === 0) return `No ${many} yet`
    const rail = bands.some(({ id }) => id === 'topRail') ? 'a rail at ' : ''
    return `${count(uprights.length, one, many)} to ${rail}${say(height, w)}`
  }
}

const WORDS: Readonly<Record<Pattern, PatternWords>> = {
  battens: {
    ...UPRIGHTS,
    pick: 'Battens',
    name: 'battens',
    one: 'batten',
    many: 'battens',
    title: uprightTitle('batten'),
  },
  slats: {
    ...UPRIGHTS,
    pick: 'Slats',
    name: 'slats',
    one: 'slat',
    many: 'slats',
    title: uprightTitle('slat'),
  },
  grid: {
    ...UPRIGHTS,
    pick: 'Grid',
    name: 'a grid',
    one: 'stile',
    many: 'stiles',
    title: ({ uprights, bands, height, spacingIssue }, w) => {
      if (uprights.length === 0 || spacingIssue) return 'No stiles yet'
      const borders = bands.filter(({ role }) => role === 'border').length
      const columns = uprights.length + (borders > 0 ? -1 : 1)
      // a border on three sides has one rail of its own, at the head
      const rows = bands.filter(({ name }) => name.kind === 'gridRail').length + 1 - borders
      return `A grid of ${columns} by ${rows}, up to ${say(height, w)}`
    },
  },
  boxes: {
    ...UPRIGHTS,
    pick: 'Boxes',
    name: 'boxes of molding',
    one: 'box',
    many: 'boxes',
    strip: 'margin',
    strips: 'margins',
    gap: 'box',
    gaps: 'boxes',
    size: 'Width of a box',
    sized: 'wide',
    width: 'width of a box',
    each: 'each',
    of: 'of',
    matched: 'One width of box for all walls',
    near: 'Box near',
    onStuds: false,
    title: ({ uprights, frames, height }, w) =>
      uprights.length === 0
        ? 'No boxes yet'
        : `${count(frames.length, 'box', 'boxes')} under a rail at ${say(height, w)}`,
  },
  lines: {
    ...UPRIGHTS,
    pick: 'Lines',
    name: 'lines',
    one: 'upright',
    many: 'uprights',
    noSum: 'no frame and no uprights: no gaps to add up',
    title: ({ moves, height }, w) => {
      const struck = (moves?.moves ?? []).reduce((sum, { stripIds }) => sum + stripIds.length, 0)
      return struck === 0 ? 'No lines yet' : `${count(struck, 'line')}, up to ${say(height, w)}`
    },
  },
  rails: {
    ...UPRIGHTS,
    pick: 'Rails',
    name: 'rails alone',
    one: 'rail',
    many: 'rails',
    noSum: 'rails alone: no gaps to add up',
    title: ({ bands }) => (bands.length === 0 ? 'No rails yet' : count(bands.length, 'rail')),
  },
}

/** How one speaks of a pattern. No other sentence knows one pattern from another. */
export function patternWords({ pattern }: { readonly pattern: Pattern }): PatternWords {
  return WORDS[pattern]
}
