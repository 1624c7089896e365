/** What is said of a wall on its job's page where its layout can't be. */
export const jobText = {
  tooLong: 'takes too long to plan here; open it',
  broken: 'can’t be shown; open it to see why',
} as const
