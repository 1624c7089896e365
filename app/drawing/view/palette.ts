/** The colors a drawing is made with; a print or a file brings its own. */
export interface Palette {
  readonly wall: string
  readonly field: string
  readonly strip: string
  readonly stripEdge: string
  readonly shade: string
  readonly ink: string
  readonly soft: string
  readonly paper: string
  readonly chalk: string
  readonly chalkWash: string
  readonly red: string
  readonly rod: string
  readonly rodEdge: string
  readonly rodInk: string
  /** What is painted by itself; left out, it is drawn as ever. */
  readonly running?: string
  readonly above?: string | null
  readonly seam?: string
  readonly plate?: string | null
  readonly shadeOpacity?: number
}

/** On the screen the theme decides. */
export const SCREEN: Palette = {
  wall: 'var(--wall)',
  field: 'var(--wall-below)',
  strip: 'var(--strip)',
  stripEdge: 'var(--strip-edge)',
  shade: 'var(--shade)',
  ink: 'var(--ink)',
  soft: 'var(--ink-soft)',
  paper: 'var(--paper)',
  chalk: 'var(--chalk)',
  chalkWash: 'var(--chalk-wash)',
  red: 'var(--red)',
  rod: 'var(--rod)',
  rodEdge: 'var(--rod-edge)',
  rodInk: 'var(--rod-ink)',
}
