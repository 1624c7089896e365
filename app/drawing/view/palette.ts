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

/** Paper: black and white, and the tones between that any printer has. */
export const PRINT: Palette = {
  wall: '#ffffff',
  field: '#ffffff',
  strip: '#e2e2e2',
  stripEdge: '#000000',
  shade: '#ffffff',
  shadeOpacity: 0,
  ink: '#000000',
  soft: '#555555',
  paper: '#ffffff',
  chalk: '#000000',
  chalkWash: '#f0f0f0',
  red: '#000000',
  rod: '#ffffff',
  rodEdge: '#777777',
  rodInk: '#000000',
}
