import { type Counted, LIMITS } from '~/model'

/** Thrown where one more does not go in. */
export class FullError extends Error {
  constructor(readonly what: Counted) {
    super(`${what}: ${LIMITS[what]} is the most`)
  }
}
