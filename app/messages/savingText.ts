import type { ChangedPart, Clash, HistoryStep } from '~/model'

/** What a change is about, as it is called on the page. */
const PARTS: Readonly<Record<ChangedPart, string>> = {
  'survey.width': 'wall width',
  'survey.height': 'wall height',
  'survey.baseboard': 'baseboard',
  'survey.crown': 'crown',
  'survey.readings': 'readings',
  'survey.things': 'things on the wall',
  'survey.behind': 'what is behind the wall',
  'survey.walkRound': 'walk round the room',
  'survey.turns': 'corners of the room',
  'survey.flatness': 'how flat the wall is',
  'survey.floorToCome': 'floor to come',
  'survey.readAgain': 'what was read again',
  'survey.overruled': 'what was overruled',
  'design.pattern': 'pattern',
  'design.battenMaterial': 'material',
  'design.spacing': 'spacing',
  'design.foot': 'foot',
  'design.topRail': 'top rail',
  'design.cap': 'cap',
  'design.height': 'height',
  'design.sections': 'sections',
  'design.border': 'border',
  'design.rows': 'rows',
  'design.boxes': 'boxes',
  'design.lines': 'lines',
  'design.joints': 'joints',
  'design.backer': 'backer',
  'design.companions': 'arches and letters',
  'design.rails': 'rails',
  'design.through': 'what runs through',
  'design.railJoint': 'rail joints',
  'design.proud': 'thicker battens',
  'design.fixing': 'fixing',
  'design.stand': 'how uprights stand',
  'design.unflat': 'strips over hollows',
  'design.paint': 'colors',
  'design.extent': 'part that is covered',
  'design.corners': 'corner ends',
  'design.meets': 'strips at things',
  'design.levelRule': 'line of the rails',
  'design.tops': 'tops of the uprights',
  'design.sides': 'stiles at the ends',
  'design.smallPieces': 'small pieces',
  'design.locked': 'lock',
  'design.apart': 'left out or not',
  'design.judgement': 'what a layout is judged by',
  'design.sectionOwn': 'counts of sections',
  'design.shift': 'shift',
  'design.schools': 'spacing',
  'design.fillers': 'fillers',
  'options.chosen': 'chosen option',
  'options.list': 'names of options',
  'photo.points': 'points on a photograph',
  'photo.lens': 'curve of the lens',
  'photo.lightDeg': 'light on a photograph',
  'photo.cutOuts': 'cut-outs of a photograph',
  'settings.units': 'units',
  'settings.tape': 'tape',
  'settings.currency': 'money',
  'settings.materials': 'list of materials',
  'settings.shop': 'boards on sale',
  'settings.closure': 'reading tolerance',
  'settings.fit': 'fitting tolerance',
  'settings.caulk': 'widest seam',
  'settings.paints': 'list of colors',
  'settings.work': 'plan of the work',
}

const SAID_AT_MOST = 3

function list(words: readonly string[]): string {
  const said = words.slice(0, SAID_AT_MOST)
  const others = words.length - said.length
  const all = others > 0 ? [...said, `${others} more`] : said
  return all.length < 2 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`
}

/** The parts of documents by name: spacing, height and 2 more. */
export function partsText(parts: readonly ChangedPart[]): string {
  return list([...new Set(parts.map((part) => PARTS[part]))])
}

/** What a change is about: spacing and height; with the walls where they are not only `here`. */
function changeText({ parts, walls }: Pick<HistoryStep, 'parts' | 'walls'>, here: string | null): string {
  const what = parts.length === 0 ? 'a change' : list([...new Set(parts.map((part) => PARTS[part]))])
  const elsewhere = walls.some((wall) => wall !== here)
  return elsewhere ? `${what} on ${list(walls)}` : what
}

/** What two windows both changed. */
export function clashText(clashes: readonly Clash[], here: string | null): string {
  const parts = clashes.flatMap((clash) => clash.parts)
  const walls = clashes.flatMap(({ wall }) => (wall === null ? [] : [wall]))
  return `Another window also changed the ${changeText({ parts, walls }, here)}.`
}

/** The name of a step's button: Undo: spacing. */
export function stepName(way: 'undo' | 'redo', step: HistoryStep | null, here: string | null): string {
  const name = { undo: 'Undo', redo: 'Redo' }[way]
  return step ? `${name}: ${changeText(step, here)}` : name
}

/** How what is shown stands to what the server has. */
export interface CopySaid {
  readonly at: string | null
  readonly state: 'fresh' | 'checking' | 'away'
}

/** Of a kept copy: since when, and what is done about it. */
export function copyText({ at, state }: CopySaid): string {
  const since = `Kept on this device as of ${at ?? 'before'}`
  return state === 'away'
    ? `${since}: the server is away. Figures may have changed since.`
    : `${since}: checking whether anything has changed…`
}

/** How saving stands, in a word; after a step with what it did. */
export function savingWord(
  kind: 'saved' | 'waiting' | 'saving' | 'failed' | 'clash',
  stepped: { readonly way: 'undo' | 'redo'; readonly step: HistoryStep } | null,
  here: string | null,
  copy: CopySaid = { at: null, state: 'fresh' },
): string {
  if (kind === 'waiting' || kind === 'saving') return 'saving…'
  if (kind !== 'saved') return 'not saved'
  // of what only this device has nobody knows whether it is what the server has
  if (copy.state !== 'fresh') return `as of ${copy.at ?? 'before'}`
  if (!stepped) return '✓ saved'
  const did = { undo: 'taken back', redo: 'done again' }[stepped.way]
  return `✓ saved, ${did}: ${changeText(stepped.step, here)}`
}

/** Why the server did not do what a page asked. */
export const refusalText = {
  notUnderstood: 'This page is from before an update or can’t be read: load it again.',
  otherPage: 'Walls of this page have changed meanwhile: load it again.',
  noSuchPage: 'It is not here any more. It may have been on another machine.',
  noMaterial: (wall: string, material: string) => `${wall}: there is no material "${material}" in the job.`,
  inUse: (walls: readonly string[]) =>
    `That step takes away a material that is in use on: ${walls.join(', ')}.`,
  unreadable: 'What that would bring back was kept in a way that can’t be read any more.',
  changedSince: (walls: readonly string[]) =>
    walls.length > 0
      ? `The same was changed again since, on ${list(walls)}: take that back there first.`
      : 'The job’s settings were changed again since, on another wall: take that back there first.',
}

/** How saving stands, in full. */
export const savingText = {
  unreachable:
    'The server can’t be reached. Your changes are kept in this browser, and it tries again by itself.',
  stepUnreachable: 'The server can’t be reached, so this can’t be stepped now.',
  moved: 'Another window changed this meanwhile. What it saved is shown now; press again to go on.',
  putAside: 'What could not be saved is taken back.',
  settingsStay: 'The job’s settings were changed again since, so they stay as they are.',
  tooLong: 'The server does not answer. Your changes are kept in this browser, and it tries again by itself.',
  shut: 'The server can’t use its database just now; load the list of jobs to see why. Your changes are kept in this browser, and it tries again by itself.',
  full: 'The server’s disk is full. Your changes are kept in this browser, and it tries again by itself.',
  signedOut:
    'This browser is signed out. Sign in in another tab; your changes are kept here, and it tries again by itself.',
  otherMember:
    'Somebody else signed in on this device since this page was opened. What is here waits for whoever did it; load the page anew to go on.',
  othersWait: (name: string, count: number) =>
    `${count === 1 ? 'One thing' : `${count} things`} that ${name} did on this device ${count === 1 ? 'waits' : 'wait'} until ${name} signs in here.`,
  takeOver: (me: string) => `Send as ${me}`,
  kept: 'Changes that had not reached the server were kept in this browser; they are saved now.',
  keptRefused: (problems: readonly string[]) =>
    `Changes kept in this browser from an earlier visit could not be saved: ${problems.join(' ')}`,
}
