import { count } from './words'

/** What the stage of cutting says. */
export const cutText = {
  order: 'Longest first. 0° on the saw is a square cut.',
  columns: ['Mark', 'Piece', 'Length', 'How many', 'Ends, at the saw', 'Measured and fixed'],
  all: 'All pieces are cut',
  done: '✓ All pieces of this wall are cut.',
  notYet: 'Not after all',
  ready: '✓ Ready to cut: the readings close and nothing is in the way.',
  notReady: (open: number) => `Not ready to cut: ${count(open, 'thing')} to settle`,
} as const
