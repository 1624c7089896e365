/** Outlines that reach over each other by less than this only touch: a tenth of a millimeter, the thickness of paint. Nanometers. */
export const TOUCHING = 100_000
