import type { ForwardWay } from '~/core/sequence/bringForward'
import { DAY, dayNumber } from '~/core/sequence/dates'
import type { WorkIssue } from '~/core/sequence/planWork'
import type { Applier, FitOrder, Work } from '~/model'
import { waitName } from './taskText'

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
export const weekdayName = (weekday: number): string => WEEKDAYS[weekday] ?? ''
export const weekdayShort = (weekday: number): string => weekdayName(weekday).slice(0, 3)

const shortDay = new Intl.DateTimeFormat('en-US', {
  weekday: 'short',
  month: 'short',
  day: 'numeric',
  timeZone: 'UTC',
})
const longDay = new Intl.DateTimeFormat('en-US', {
  weekday: 'long',
  month: 'long',
  day: 'numeric',
  timeZone: 'UTC',
})
const clock = new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit', timeZone: 'UTC' })

/** A day of a minute: Mon, Nov 30. */
export const dayShort = (minute: number): string =>
  shortDay.format(new Date(Math.floor(minute / DAY) * 86_400_000))
export const dayLong = (minute: number): string =>
  longDay.format(new Date(Math.floor(minute / DAY) * 86_400_000))
/** The time of a minute: 6:45 PM. */
export const timeText = (minute: number): string => clock.format(new Date(minute * 60_000)).replace(/ /g, ' ')
export const whenText = (minute: number): string => `${dayLong(minute)}, ${timeText(minute)}`
/** A day as typed or picked: Mon, Nov 30. */
export const dateText = (day: string): string => {
  const number = dayNumber(day)
  return number === null ? day : dayShort(number * DAY)
}

/** Minutes in words: 2 h 15 min. */
export function durationText(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)]
  if (hours === 0) return `${rest} min`
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}
/** A span of the calendar: 2 days 3 h. */
export function spanText(minutes: number): string {
  const days = Math.floor(minutes / DAY)
  if (days === 0) return durationText(minutes)
  const hours = Math.round((minutes - days * DAY) / 60)
  return `${days} ${days === 1 ? 'day' : 'days'}${hours > 0 ? ` ${hours} h` : ''}`
}

export const orderText = {
  title: 'Work',
  today: 'Today',
  order: 'Order of work',
  chart: 'When',
  chartLabel: 'Tasks over the days, with what dries in between',
  calendar: 'Calendar file',
  scope: 'Plan for',
  whole: 'the whole job',
  working: 'Fitting the work into the days…',
  cancel: 'Stop looking',
  stoppedLooking: 'Stopped. Change anything and it is fitted again.',
  failed: 'The plan can’t be made just now. Nothing is lost; load the page again.',
  none: 'No wall of this has a layout yet, so there is nothing to do.',
  done: (end: string) => `Done by ${end}`,
  allDone: 'Everything is done.',
  proven: 'No plan ends sooner.',
  bounded: (bound: string) => `Perhaps a little sooner, but not before ${bound}.`,
  noPlan: 'There are no hours to do it in. Say when you work.',
  days: 'Days and hours',
  start: 'First day',
  wished: 'Wished end',
  addOff: 'Add a day off',
  noOff: 'No days off said.',
  backOn: (day: string) => `Work on ${day} after all`,
  ownRate: 'your own',
  waitHours: (what: string) => `Hours for ${what}`,
  quiet: 'No noise after',
  from: (day: string) => `${day} from`,
  to: (day: string) => `${day} to`,
  works: (day: string) => `Work on ${day}`,
  presets: 'Fill in',
  evenings: 'evenings',
  weekends: 'weekends',
  wholeDays: 'whole days',
  forward: 'What would bring it forward',
  noForward: 'Nothing of what Regla knows brings it forward.',
  looking: 'Trying what would bring it forward…',
  take: 'Take it',
  pins: 'Moved by hand',
  pin: (first: string, then: string) => `${first} before ${then}`,
  unpin: (first: string, then: string) => `Take back: ${first} before ${then}`,
  how: 'How it is done',
  rates: 'How long it takes',
  ratesNote:
    'Sanding, painting and caulking begin as common practice has it, the rest as a guess of ours. Put in your own.',
  waits: 'What dries and sets',
  waitsNote: 'Common practice to begin with. The product’s label rules; cold and damp take longer.',
  own: 'Tasks of your own',
  ownName: 'Task',
  ownMinutes: 'Minutes',
  ownWho: 'Who does it',
  ownCrew: 'the crew',
  ownTrade: 'another trade',
  ownAfter: 'After',
  ownBefore: 'Before',
  anytime: 'any time',
  addOwn: 'Add this task',
  removeOwn: (name: string) => `Remove ${name}`,
  deliveries: 'What comes on a day',
  deliveryName: 'What comes',
  deliveryOn: 'On',
  deliveryFor: 'Waits for it',
  addDelivery: 'Add it',
  removeDelivery: (name: string) => `Remove ${name}`,
  comes: (name: string, on: string) => `waits for ${name}, ${on}`,
  drag: (name: string) => `Move ${name}`,
  earlier: 'Earlier',
  later: 'Later',
  first: 'There is nothing before it that could come after.',
  last: 'There is nothing after it that could come before.',
  tick: (name: string) => `Done: ${name}`,
  untick: (name: string) => `Not done after all: ${name}`,
  takes: 'It takes, in all',
  planned: (minutes: string) => `worked out: ${minutes}`,
  skip: 'Leave it out',
  skipped: (names: readonly string[]) => `Left out: ${names.join(', ')}`,
  bringBack: 'Bring them back',
  tight: 'tight',
  tightNote: 'A quarter of an hour more here, and the end comes later.',
  after: 'After',
  tools: 'Tools',
  supplies: 'Takes',
  checks: 'Look at',
  cautions: 'Caution',
  seen: 'Seen',
  seenFirst: 'See the cautions first, then it can be ticked.',
  steps: 'In this order',
  finishOf: (wall: string) => `Finish list of ${wall}`,
  closeTask: 'Put this task away',
  people: (people: number) => (people === 0 ? 'another trade' : people === 2 ? 'two people' : ''),
  slipEnd: (end: string, before: string) => `The end moves from ${before} to ${end}.`,
  slipSame: (end: string) => `The end stays: ${end}.`,
  refused: (first: string, then: string, why: string) => `${first} can’t come before ${then}: ${why}.`,
  moved: (first: string, then: string) => `${first} comes before ${then} now.`,
  waiting: (count: number) => `${count} not sent yet; it goes by itself.`,
  nothingToday: 'Nothing more is planned for today.',
  todayUntil: (until: string) => `Until ${until}.`,
  doneToday: 'Done today',
  doneHead: 'Done',
  inParts: (tasks: number) => `${tasks} tasks are longer than any day’s hours, and are done in parts.`,
  parts: (part: number, parts: number) => `part ${part} of ${parts}`,
  drying: 'drying, setting, coming',
  atWork: 'at work',
  tightWork: 'at work, tight',
} as const

const FIT_ORDER_WORDS: Readonly<Record<FitOrder, string>> = {
  borderFirst: 'the border first',
  uprightsFirst: 'uprights first',
  horizontalsFirst: 'horizontals first',
  bottomUp: 'from the bottom up',
}
const PAINT_WORDS: Readonly<Record<Work['paintSchool'], string>> = {
  after: 'everything painted after fitting',
  edgesAhead: 'the wall and the perimeter’s strips painted before fitting',
  allAhead: 'the wall and all strips painted before fitting',
}
const APPLIER_WORDS: Readonly<Record<Applier, string>> = {
  brush: 'a brush',
  roller: 'a roller',
  sprayer: 'a sprayer',
}

/** The words of the sentence in which the work is said, by what they choose. */
export const workWords = {
  people: { '1': 'One person', '2': 'Two people' },
  fitOrder: FIT_ORDER_WORDS,
  paintSchool: PAINT_WORDS,
  paintWith: APPLIER_WORDS,
  trim: { painted: 'painted', stained: 'stained and varnished' },
  sanding: { keep: '120 or 150 and left there', fine: 'finished at 220' },
  caulk: { every: 'every seam caulked', open: 'only open seams caulked', none: 'nothing caulked' },
  prepare: { holes: 'old holes filled', skim: 'the walls skimmed', none: 'the walls left as they are' },
  coatsOf: { trim: 'Coats on the trim', field: 'Coats between the trim', above: 'Coats above' },
  on: { trim: 'on the trim', field: 'between', above: 'above' },
  wayOut: { yes: 'the door’s wall last', no: 'walls in any order' },
} as const

const FORWARD: Readonly<Record<ForwardWay, string>> = {
  paintAhead: 'Paint the wall and the strips before they go up',
  secondPerson: 'A second person',
  quickFiller: 'Filler that sets within the hour',
  saturday: 'Saturday, 9 to 5',
  hourMore: 'An hour more each day',
  sprayer: 'Paint with a sprayer',
}
export const forwardText = (way: ForwardWay): string => FORWARD[way]
export const forwardEnd = (end: number, sooner: number): string =>
  `${dayShort(end)}, ${timeText(end)}: ${spanText(sooner)} sooner`

const RATES: Readonly<Record<string, string>> = {
  markOne: 'Marking a strip, minutes',
  cutOne: 'Cutting a piece, minutes',
  setUp: 'Setting the saw, minutes',
  fitOne: 'Fitting a piece, minutes',
  sandBoard: 'Sanding a board, minutes',
  coatBoard: 'A coat on a board, minutes',
  wallFeet: 'Wall painted an hour, sq ft',
  skimFeet: 'Wall skimmed an hour, sq ft',
  caulkFeet: 'Seam caulked an hour, ft',
  fillOne: 'Holes and joints filled an hour',
  removeFeet: 'Old trim taken off an hour, ft',
  dropOne: 'A drop of paper, minutes',
  sheetOne: 'A panel, minutes',
  day: 'Hours a working day has',
}
export const rateName = (rate: string): string => RATES[rate] ?? rate

/** What a plan says of itself. `nameOf` calls a task by its name. */
export function workIssueText(issue: WorkIssue, nameOf: (id: string) => string): string {
  switch (issue.kind) {
    case 'ring':
      return `${issue.tasks.map(nameOf).join(' and ')} would wait for each other, so ${issue.by === 'pin' ? 'that move' : 'that'} is left out.`
    case 'gone':
      return `A ${{ pin: 'move', own: 'task of your own', delivery: 'delivery' }[issue.what]} speaks of a task there is no longer: ${nameOf(issue.id)}.`
    case 'noHours':
      return `${weekdayName(issue.weekday)} ends before it begins, so nobody works then.`
    case 'noDays':
      return 'No day has hours to work in.'
    case 'endBeforeStart':
      return `The wished end, ${dateText(issue.end)}, lies before the first day, ${dateText(issue.start)}.`
    case 'noSuchDay':
      return `There is no day ${issue.day}.`
    case 'noRate':
      return `“${rateName(issue.rate)}” is 0, so what it tells takes no time here.`
    case 'longWait':
      return `${issue.hours} h for ${waitName(issue.wait)} is longer than all the work without waiting.`
    case 'inParts':
      return `${nameOf(issue.task)} is longer than any day’s hours, and is done in ${issue.parts} parts.`
    case 'noLoudHours':
      return 'All hours lie after the time from which no noise is made, so nothing can be cut or nailed.'
    case 'late':
      return `The wished end, ${dateText(issue.wished)}, is missed by ${spanText(issue.by)}.`
  }
}
