/**
 * Whether equal pieces may be cut at one stop, and why. `spread` is how far the wall, or what else the length hangs on, may make them
 * differ, nanometers.
 */
export interface BatchAdvice {
  readonly advice: 'batch' | 'measureInPlace' | 'scribe'
  readonly why:
    | 'betweenStrips'
    | 'readingsAgree'
    | 'readingsDiffer'
    | 'readTooSeldom'
    | 'widthOnce'
    | 'heightOnce'
    | 'slantsDiffer'
    | 'intoCorner'
    | 'meetsThing'
    | 'goesBack'
  readonly spread: number
}
