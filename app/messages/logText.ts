import type { ActClash } from '~/core/log/clashes'
import type { LearnedKey, LogStage, NoteKind } from '~/model'

export const logText = {
  title: 'Log',
  running: (minutes: string) => `Running, ${minutes}`,
  start: (stage: LogStage) => `Start ${STAGE_WORK[stage]}`,
  stop: 'Pause',
  done: (stage: LogStage) => `Done with ${STAGE_WORK[stage]}`,
  worked: (minutes: string) => `${minutes} so far`,
  startTask: 'Start the clock',
  stopTask: 'Pause the clock',
  timeIt: 'Time it took, in minutes',
  day: 'The day',
  noDay: 'Nothing was logged yet. Start the clock at a stage, or tick what you do: the page writes itself.',
  note: 'What happened',
  noteWhat: 'What it was',
  noteLine: 'In a line',
  addNote: 'Write it down',
  whereHow: 'Press on the drawing.',
  here: (x: string, y: string) => `${x} from the left corner, ${y} up`,
  photo: 'Take a photo',
  photoAdded: 'Photo added',
  photoBad: 'That picture can’t be read here. Take it as JPEG, PNG or WebP.',
  used: 'Used on this wall',
  product: 'Product',
  color: 'Color',
  batch: 'Batch',
  addUsed: 'Add',
  strike: 'Strike out',
  by: (name: string) => `by ${name}`,
  ticks: 'by ticks',
  typed: 'written down later',
  pressed: 'by the clock',
  backwards:
    'Ends before it starts: this phone’s clock was set back. It counts nothing until you strike it out and write the time down.',
  leftRunning: 'Still running. Pause it where it ended.',
  waiting: (count: number) =>
    count === 1 ? '1 thing done here is not sent yet.' : `${count} things done here are not sent yet.`,
  full: 'This phone is full: what you do is kept by this page alone. Leave it open until it is sent.',
  refused: (count: number) =>
    count === 1
      ? 'The server would not take 1 thing done here.'
      : `The server would not take ${count} things done here.`,
  isSpare: 'Yes: put it on the rack',
  isOne: 'No, it is one piece',
  forget: 'All right',
  clockBack: (minutes: string) => `This phone’s clock went back by ${minutes}. What you do is kept in order.`,
  newBuild: 'A newer Regla is there.',
  takeBuild: 'Take it',
  jobTitle: 'Log and pace',
  estimate: 'Estimated and actual',
  estimateChart: 'Minutes estimated and worked, by kind of work',
  unpriced: (count: number) => `${count} without a price.`,
  working: 'Working out the estimates …',
  estimateNone: 'Nothing with an estimate was timed yet.',
  kind: 'Work',
  planned: 'Estimated',
  actual: 'Worked',
  cost: 'What it cost',
  costLine: (sum: string) => `Paid so far: ${sum}`,
  costNone: 'Nothing was bought with a price yet.',
  rates: 'The crew’s rates',
  ratesLead:
    'The median of your own times, older ones counting less (half after a year). What is far off does not count; leave more out by hand.',
  rateNone: 'No times yet. Start the clock at a stage or tick pieces as you go.',
  rateIs: (value: string, low: string, high: string, jobs: number) =>
    `${value}, mostly ${low} to ${high}, from ${jobs} ${jobs === 1 ? 'job' : 'jobs'}`,
  outlier: 'far off, not counted',
  outHand: 'left out',
  leaveOut: 'Leave out',
  takeIn: 'Count it',
  fromLog: (jobs: number) => `from your log, ${jobs} ${jobs === 1 ? 'job' : 'jobs'}`,
  samples: (count: number) => `${count} ${count === 1 ? 'time' : 'times'}`,
  photos: 'Photos',
} as const

const STAGE_WORK: Readonly<Record<LogStage, string>> = {
  measure: 'measuring',
  mark: 'marking',
  cut: 'cutting',
  fit: 'fitting',
  finish: 'finishing',
}
export const stageWork = (stage: string): string => STAGE_WORK[stage as LogStage] ?? stage

export const noteName = (what: NoteKind): string =>
  ({
    note: 'A note',
    readWrong: 'Read wrong',
    cutShort: 'Cut short',
    outOfLevel: 'Out of level',
    split: 'Split',
    nailThrough: 'Nail came through',
    glueLet: 'Glue let go',
    badBoard: 'Bad board',
    hitSomething: 'Hit something in the wall',
    waited: 'Had to wait',
  })[what]

/** A rate with its unit. */
export function learnedName(rate: LearnedKey): string {
  const [name = '', way] = rate.split('.')
  const plain: Readonly<Record<string, string>> = {
    markOne: 'Minutes a mark',
    cutOne: 'Minutes a piece cut',
    fitOne: 'Minutes a piece fitted',
    sandBoard: 'Minutes a board sanded',
    coatBoard: 'Minutes a board, one coat',
    wallFeet: 'Square feet of wall an hour',
    skimFeet: 'Square feet skimmed an hour',
    caulkFeet: 'Feet caulked an hour',
    fillOne: 'Holes filled an hour',
    removeFeet: 'Feet of trim taken off an hour',
    dropOne: 'Minutes a drop of paper',
    sheetOne: 'Minutes a sheet of backer',
  }
  return `${plain[name] ?? name}${way ? `, ${way}` : ''}`
}

/** A number of a rate: one digit behind the point, none where it is large. */
export const rateSaid = (value: number): string =>
  value >= 20 ? String(Math.round(value)) : String(Math.round(value * 10) / 10)

/** Two acts that can't both hold. */
export function actClashText(
  clash: ActClash,
  who: (member: string | null) => string,
  time: (at: number) => string,
): string {
  const two = clash.acts.map(({ member, at }) => `${who(member)} ${time(at)}`).join('; ')
  return {
    upTwice: `${clash.piece} was fitted twice: ${two}. One of them is another piece.`,
    cutTwice: `${clash.piece} was cut twice: ${two}. Is one of them a spare?`,
    spoiledUp: `${clash.piece} was spoiled and fitted at about the same time: ${two}.`,
    readTwice: `${clash.piece} was read twice and differently: ${two}. The last counts.`,
  }[clash.kind]
}
