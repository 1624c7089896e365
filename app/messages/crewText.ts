/** What is said about who may come in. */
export const crewText = {
  wrong: 'That name and passphrase do not go together.',
  wrongCode: 'That code is not good, was used already, or its time is over. Ask for a new one at the desk.',
  tooOften: 'Too many tries from here. Wait a minute, then try once more.',
  nobody: 'Nobody can sign in yet. On the machine Regla runs on: npm run crew -- add NAME',
  nameMissing: 'Give the member a name.',
  nameTaken: 'There is a member of that name already.',
  passphraseShort: 'Use 10 characters or more: a few words in a row are easy to keep.',
  passphraseLong: 'Keep it under 200 characters.',
  local:
    'Regla answers on this machine only, and nobody signs in. To use it from phones on your own network, add whoever may come in, then start it with REGLA_HOST=0.0.0.0. How, step by step, is in docs/crew.md.',
  onNetwork: (url: string) => `Regla is on your network at ${url}. Nobody comes in without signing in.`,
  by: { passphrase: 'with a passphrase', code: 'with a code' },
  codeGood: (name: string, minutes: number) =>
    `Lets one phone in as ${name}, once, within ${minutes} minutes.`,
} as const
