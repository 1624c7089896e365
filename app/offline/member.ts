/** Whoever of the crew does something: who is signed in on this device. */
export interface Doer {
  readonly id: string
  readonly name: string
}

/** What is posted says whose it is; of a device on which somebody else has signed in since it is not taken. */
export const MEMBER_HEADER = 'x-regla-member'

/** Why an answer says no, for scripts. */
export const REFUSED_HEADER = 'x-regla-refused'

/** Who is signed in, as the page says; null on the machine itself, where nobody signs in, and on the server. */
export function memberHere(): Doer | null {
  if (typeof document === 'undefined') return null
  const { member, memberName } = document.documentElement.dataset
  return member ? { id: member, name: memberName ?? '' } : null
}

/** The header that says whose something is. */
export function memberHeader(): Record<string, string> {
  return { [MEMBER_HEADER]: memberHere()?.id ?? '' }
}
