/** Whoever of the crew does something: who is signed in on this device. */
export interface Doer {
  readonly id: string
  readonly name: string
}

/** What is posted says whose it is; of a device on which somebody else has signed in since it is not taken. */
export const MEMBER_HEADER = 'x-regla-member'

/** Why an answer says no, for scripts. */
export const REFUSED_HEADER = 'x-regla-refused'
