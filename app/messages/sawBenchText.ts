/** What stands about the saw and the other tools. */
export const sawBenchText = {
  title: 'Saw and tools',
  swingLeft: 'How far the saw swings to the left',
  swingRight: 'How far the saw swings to the right',
  tiltLeft: 'How far the blade tilts to the left',
  tiltRight: 'How far the blade tilts to the right',
  crosscut: 'Widest square cut',
  fence: 'Height of the fence',
  detents: 'Where its scale clicks in, in degrees',
  tools: 'What you have to cut with',
  name: 'This saw’s name',
  keep: 'Keep it for the crew',
  kept: (name: string) => `Kept: ${name} can be taken for any job.`,
  notKept: 'It could not be kept: the server is away. Try again.',
  take: (name: string) => `Cut with ${name}`,
} as const
