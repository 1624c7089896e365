declare module 'perspective-transform' {
  /** Corners as x, y one after the other: from, to. */
  export default function PerspT(
    from: readonly number[],
    to: readonly number[],
  ): { transform(x: number, y: number): number[]; transformInverse(x: number, y: number): number[] }
}
