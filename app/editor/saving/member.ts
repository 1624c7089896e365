import { type Doer, MEMBER_HEADER } from '~/model'

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
