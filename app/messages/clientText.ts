import type { SignedDifference } from '~/core/agree/clientWord'
import type { ShownPart } from '~/model'
import { listed } from './words'
import { partsText } from './savingText'

export const PART_NAMES: Readonly<Record<ShownPart, string>> = {
  photo: 'the photograph',
  colors: 'the colors',
  price: 'what the boards cost',
  hours: 'hours and days',
  notes: 'notes on the colors',
}

/** What the crew sees of a job's links. */
export const clientText = {
  title: 'Client’s page',
  help: 'A link to one page: the client looks, picks, writes and signs there, and reaches nothing else.',
  make: 'Make a link',
  made: 'The link is made. Send it to the client:',
  words: 'Words at its head',
  shows: 'Besides the drawings it shows',
  walls: 'Walls and options on it',
  noneChosen: 'Tick at least one option of one wall.',
  days: 'Open for',
  daysOf: (days: number) => `${days} days`,
  links: 'Links of this job',
  none: 'No link yet.',
  open: (until: string) => `open until ${until}`,
  over: 'ran out',
  ended: 'ended',
  end: 'End this link',
  copy: 'Copy the link',
  copied: 'copied',
  address: 'Address of the link',
  picked: (wall: string, option: string) => `${wall}: picked “${option}”`,
  pickedColors: (colors: readonly string[]) => `colors ${listed(colors)}`,
  nothingPicked: (wall: string) => `${wall}: nothing picked yet`,
  chooseIt: (option: string, wall: string) => `Choose “${option}” for ${wall}`,
  remarks: 'What was written',
  answer: 'Your answer',
  answerIt: 'It is done: answer',
  answered: (text: string) => (text === '' ? 'done' : `answered: ${text}`),
  signed: (name: string, when: string) => `Signed by ${name}, ${when}`,
  fingerprint: (text: string) => `fingerprint of the copy ${text.slice(0, 16)}…`,
  broken: 'Warning: the signed copy has been altered since it was signed.',
  same: 'The wall is as it was signed.',
  differs: (wall: string, difference: SignedDifference) => `${wall} ${differsText(difference)}`,
  asks: (text: string, where: string | null) =>
    `The client asks${where === null ? '' : ` at ${where}`}: ${text}`,
  toClient: 'Answer on the client’s page',
  full: 'This page is full of remarks. Answer some to make room.',
} as const

/** How a wall differs from what was signed. */
export function differsText({ option, parts }: SignedDifference): string {
  const what = [
    ...(option === null ? [] : [`the option “${option}” is chosen instead`]),
    ...(parts.length === 0 ? [] : [`changed since: ${partsText(parts)}`]),
  ]
  return `differs from what was signed: ${what.join('; ')}.`
}

/** The parts of a client's page that can change while it is read. */
export type ShownKind =
  'page' | 'wall' | 'choice' | 'remarks' | 'drawing' | 'colors' | 'price' | 'hours' | 'photo'

const KIND_NAMES: Readonly<Record<ShownKind, string>> = {
  page: 'the heading or the list of walls',
  wall: 'the name, the size or what you can choose',
  choice: 'the choice',
  remarks: 'the remarks',
  drawing: 'the drawing',
  colors: 'the colors',
  price: 'the price',
  hours: 'the hours',
  photo: 'the photo',
}

function kindsText(kinds: readonly ShownKind[]): string {
  return listed(kinds.map((kind) => KIND_NAMES[kind]))
}

/** What the client reads. */
export const pageText = {
  for: (client: string) => (client === '' ? '' : `For ${client}`),
  look: 'Look it over, choose, tell us what to change, and sign when it’s right.',
  options: 'Options',
  pick: (wall: string) => `Your choice for ${wall}`,
  picked: 'your choice so far',
  keep: 'Keep my choice',
  kept: 'Your choice is kept.',
  asShown: 'as it is drawn',
  color: (use: string) => `Color for: ${use}`,
  price: (sum: string) => `Boards about ${sum}`,
  noPrice: 'The price of the boards is not known yet.',
  hours: (hours: string, days: string) => `About ${hours} hours of work, ${days} days for one person`,
  photo: (wall: string, option: string) => `${wall} on its photograph, as ${option}`,
  drawing: (wall: string, option: string, title: string) => `${wall}, ${option}: ${title}`,
  remark: 'Write a remark',
  remarkOn: (wall: string) => `Remark on ${wall}`,
  remarkText: 'What would you change?',
  remarkHint: 'Tap the drawing first to show where. Otherwise it is about the whole wall.',
  remarkAt: (where: string) => `at ${where}`,
  send: 'Send it',
  sent: 'Your remark is kept. You are told here when it is done.',
  yours: 'Your remarks',
  waits: 'not answered yet',
  answered: (text: string) => (text === '' ? 'done' : `answer: ${text}`),
  sign: 'Sign',
  signHelp:
    'Type your name and sign. Today’s drawings, photos, sizes and prices are kept with your signature, unchanged.',
  name: 'Your name',
  line: 'Your signature, if you like: draw it here',
  clear: 'Clear the line',
  signIt: 'Sign my choice',
  signed: (name: string, when: string) => `Signed by ${name} on ${when}. It is shown as it was signed.`,
  fingerprint: (text: string) => `Fingerprint of the signed copy (SHA-256): ${text}`,
  place: (wall: string | null, option: string | null) =>
    [wall, option].filter((each) => each !== null).join(', ') || 'A wall or an option',
  changedHere: (kinds: readonly ShownKind[]) => `Changed since you opened this page: ${kindsText(kinds)}.`,
  changedAt: (where: string, kinds: readonly ShownKind[]) =>
    where === '' ? `The page: ${kindsText(kinds)}` : `${where}: ${kindsText(kinds)}`,
  over: 'This page is closed',
  overHelp: 'The link has ended or has run out. Ask whoever sent it for a new one.',
  unknown: 'There is no such page',
  unknownHelp: 'The link lost a letter, or it was never one. Ask whoever sent it to send it once more.',
  notKept: 'It was not kept, because the page was closed meanwhile. What you wrote:',
  problems: {
    noName: 'Type your name to sign.',
    longName: 'That name is too long for the line.',
    unread: 'It can’t be signed just now: something on this page can’t be read. Tell whoever sent the link.',
    line: 'The drawn line could not be read. Clear it and draw it again, or sign with your name alone.',
    notPicked: (wall: string) => `Pick an option for ${wall} first.`,
    already: (name: string, when: string) =>
      `It was signed already, by ${name} on ${when}. Nothing was signed twice.`,
    remark: 'Write a word or two first.',
    changed: 'Nothing was signed. This page changed since you opened it. Read what changed, then sign.',
    stale: 'Nothing was signed. This page was updated since you opened it. Read it again, then sign.',
    unsent: (wall: string) =>
      `Nothing was signed. You wrote a remark on ${wall} that is not sent. Send it or delete it, then sign.`,
    notOffered: 'This page does not offer that. Nothing was changed: choose from what it shows.',
    full: 'This page is full of remarks. Ask whoever sent the link to answer them first.',
  },
} as const
