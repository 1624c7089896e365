import { capital, count } from './words'

/** What the stage of cutting says. */
export const cutText = {
  order: 'Longest first. 0° on the saw is a square cut.',
  columns: ['Mark', 'Piece', 'Length', 'How many', 'Ends, at the saw', 'Measured and fixed'],
  all: 'All pieces are cut',
  done: '✓ All pieces of this wall are cut.',
  notYet: 'Not after all',
  ready: '✓ Ready to cut: the readings close and nothing is in the way.',
  notReady: (open: number) => `Not ready to cut: ${count(open, 'thing')} to settle`,
  despite: 'Release with things to settle',
  stillOpen: (open: number) => `${capital(count(open, 'thing'))} to settle first:`,
  why: 'Reason to release now',
  whyFirst: 'Enter a reason. It is kept with the list.',
  notNow: 'Keep working',
  releasedDespite: (open: number, reason: string) =>
    `Released with ${count(open, 'thing')} to settle: ${reason}`,
} as const
