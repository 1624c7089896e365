/** What is said about who may do what. */
export const roleText = {
  refused: 'Your role does not include this. Nothing was changed. Ask the owner or a lead.',
  layout: 'Only a lead can change the layout or the settings. Nothing was changed.',
  lastOwner: 'Someone has to be the owner. Make another member an owner first.',
  ofMember: (name: string) => `Role of ${name}`,
  seesPrices: 'Sees prices',
  showPrices: 'Show prices',
  hidePrices: 'Hide prices',
  names: { owner: 'Owner', lead: 'Lead', helper: 'Helper' },
  help: {
    owner: 'Backups, members, codes, and all a lead does',
    lead: 'Jobs, layouts, prices and client links',
    helper: 'Measures, marks, cuts, fits, logs and photos',
  },
  closed: { tab: 'Not in your role', title: 'Not in your role' },
} as const

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
  firstIsOwner: 'The first member is the owner.',
  role: 'Role',
  devices: 'Devices',
  devicesHelp:
    'A laser or stud finder on your network sends readings with its own token, and can do nothing else.',
  deviceName: 'Name of the device',
  deviceUsed: (when: string | null) => (when === null ? 'Not used yet' : `Last reading ${when}`),
  noDevice: 'Enter a name for the device. A crew has at most 20: end one you no longer use.',
  token: (name: string) => `Token of ${name}`,
  tokenHelp:
    'Shown only once. Enter it on the device: it goes with each reading as “Authorization: Bearer TOKEN”.',
  by: { passphrase: 'with a passphrase', code: 'with a code' },
  codeGood: (name: string, minutes: number) =>
    `Lets one phone in as ${name}, once, within ${minutes} minutes.`,
} as const
