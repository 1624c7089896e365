/** What the gate says to requests it does not let through. */
export const guardText = {
  host: 'Regla does not answer to this address. Use the one it printed when it was started; other names are let in with REGLA_NAMES.',
  path: 'There is nothing at an address like this one.',
  method: 'Pages here are read with GET and changed with POST.',
  foreign: 'This came from a page of another site, which may change nothing here.',
  length: 'Say how long the body is (Content-Length).',
  tooLarge: (most: number) =>
    `This is more than Regla takes at once: ${Math.floor(most / 1_000_000)} MB is the most.`,
  type: (wanted: readonly string[]) => `The body must be ${wanted.join(' or ')}.`,
}
