/** What is said where a wall can't be shown as it is kept. */
export const mendingText = {
  title: 'This wall can’t be shown as it is kept',
  noPlan: (why: string) => `no plan comes of it (${why}).`,
  nothingLost:
    'Nothing of it is lost: it is kept as it is, and the other walls of the job go on. Go back to how it last could be shown, or save what is kept as a file.',
  goBack: 'Go back to how it last could be shown',
  save: 'Save what is kept as a file',
  noWayBack: 'Nothing that is kept of this wall can be shown. Save it as a file, and measure the wall anew.',
  settings: 'the job’s settings',
  inRoom: 'Walls of this room can’t be shown as they are kept. Open each by itself to mend it:',
  inJob: (walls: readonly string[]) =>
    `The job can’t go out as a file while walls of it can’t be read: ${walls.join(', ')}. Open each to mend it.`,
}
