/** An answer or the reason there is none; used where a person can mend what is wrong. */
export type Result<T, E> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issue: E }

/** Wraps an answer. */
export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value }
}

/** Wraps a reason. */
export function fail<E>(issue: E): { readonly ok: false; readonly issue: E } {
  return { ok: false, issue }
}
