import { count } from './words'

/** What is said of a wall on its job's page where its layout can't be. */
export const jobText = {
  tooLong: 'takes too long to plan here; open it',
  broken: 'can’t be shown; open it to see why',
} as const

/** Where a wall stands: measured, laid out, ready, cut. Null while it is not planned yet. */
export function wallStanding({
  toMeasure,
  cut,
  planned,
}: {
  readonly toMeasure: boolean
  readonly cut: boolean
  readonly planned: { readonly wrong: number; readonly open: number } | null
}): { readonly text: string; readonly done: boolean } | null {
  if (cut) return { text: 'cut', done: true }
  if (toMeasure) return { text: 'to be measured', done: false }
  if (!planned) return null
  const { wrong, open } = planned
  if (wrong > 0) return { text: `measured; ${count(wrong, 'thing')} to mend in the layout`, done: false }
  if (open > 0) return { text: `laid out; ${count(open, 'thing')} to settle before cutting`, done: false }
  return { text: 'ready to cut', done: true }
}
