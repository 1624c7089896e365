/** Layers by kind: names that every version takes, and colors by their index. */
export const LAYERS = {
  WALL: 7,
  TRIM_THERE: 8,
  STRIPS: 1,
  THINGS: 3,
  STUDS: 9,
  KEEP_OUTS: 6,
  COMPANIONS: 4,
  MARKS: 5,
  DIMENSIONS: 2,
} as const
export type LayerName = keyof typeof LAYERS

/** A drawing as a program that cuts or draws takes it: closed outlines, lines and words, in one unit. */
export interface Traced {
  readonly unit: 'inches' | 'mm'
  readonly outlines: readonly {
    readonly layer: LayerName
    readonly closed: boolean
    readonly points: readonly (readonly [number, number])[]
  }[]
  readonly words: readonly {
    readonly layer: LayerName
    readonly at: readonly [number, number]
    readonly height: number
    readonly text: string
  }[]
}
