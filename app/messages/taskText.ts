import { readTaskId } from '~/core/sequence/kindRules'
import type { Caution, Check, Task, TaskKind, Why, WorkTool } from '~/core/sequence/task'
import type { FitGroup } from '~/core/sequence/fitSteps'
import type { Wait } from '~/model'

const NAMES: Readonly<Record<Exclude<TaskKind, 'own'>, string>> = {
  protect: 'Clear and protect',
  remove: 'Take old trim off',
  floorBefore: 'Floor is laid (another trade)',
  fillOld: 'Fill old holes',
  skim: 'Skim the wall',
  sandWall: 'Sand the wall',
  buy: 'Buy boards and supplies',
  prepare: 'Sand, seal and prime boards',
  boxes: 'Box extenders (licensed electrician)',
  panels: 'Put panels up',
  wallFirst: 'First coat on the wall',
  mark: 'Mark out',
  cut: 'Cut',
  stain: 'Stain boards',
  paintAhead: 'Paint strips before they go up',
  fit: 'Fit',
  shift: 'Move furniture to the other half',
  trimBack: 'Put side trim back on',
  fill: 'Set nails, fill holes and joints',
  sandFill: 'Sand what was filled',
  dust: 'Vacuum and wipe',
  caulk: 'Caulk seams',
  aboveCoat: 'Paint above the trim',
  fieldCoat: 'Paint between the trim',
  trimCoat: 'Paint the trim',
  varnish: 'Varnish the trim',
  paper: 'Hang the paper',
  plates: 'Put plates back on',
  floorAfter: 'Floor is laid (another trade)',
  touchUp: 'Touch up',
  clear: 'Clear up and move back',
}

/** The places of a job by their ids. */
export interface Places {
  readonly rooms: ReadonlyMap<string, string>
  readonly walls: ReadonlyMap<string, string>
}

/** What a task is called, with its place: Paint the trim, coat 2: Dining room. */
export function taskName(
  { kind, number, name, room, wall }: Pick<Task, 'kind' | 'number' | 'name' | 'room' | 'wall'>,
  { rooms, walls }: Places,
): string {
  const what = taskWhat({ kind, number, name })
  const place = wall !== null ? walls.get(wall) : room !== null ? rooms.get(room) : undefined
  return place === undefined ? what : `${what}: ${place}`
}

/** What is done, without its place. */
export function taskWhat({ kind, number, name }: Pick<Task, 'kind' | 'number' | 'name'>): string {
  const coat = ['aboveCoat', 'fieldCoat', 'trimCoat', 'varnish'].includes(kind)
  const half = kind === 'fit' && number !== null ? `, half ${number} of 2` : ''
  return kind === 'own' ? (name ?? '') : `${NAMES[kind]}${coat ? `, coat ${number}` : half}`
}

/** What kind of work it is, without its place or number. */
export const taskKindName = (kind: TaskKind): string => (kind === 'own' ? 'Your own' : NAMES[kind])

/** A task by its id alone, where the order has it no more. */
export function taskIdName(id: string, places: Places): string {
  const read = readTaskId(id)
  return read ? taskName(read, places) : id
}

const WHYS: Readonly<Record<Exclude<Why, 'pin' | 'own'>, string>> = {
  protected: 'the room is cleared and protected first',
  behindTrim: 'old trim is off first',
  dry: 'what was filled or skimmed has to be dry',
  dustFirst: 'dust is away first',
  floorFirst: 'heights go by the floor that is laid first',
  boardsHere: 'boards have to be here',
  boxesFirst: 'boxes are brought forward first',
  panelsFirst: 'the panels are what it goes on',
  paintedWall: 'the wall is painted before it is marked',
  marksFirst: 'pieces are set to its marks',
  measured: 'some pieces are measured at the marks',
  prepared: 'boards are sanded and primed first',
  cutFirst: 'its pieces are cut first',
  paintedFirst: 'its pieces are painted first',
  corner: 'what is coped or butted in the corner comes after what it is cut to',
  wayOut: 'the wall with the only door comes last, so that the way out stays free',
  moved: 'the furniture stands in the other half',
  fitted: 'everything is up first',
  filled: 'filler has to be dry',
  sanded: 'it is sanded first',
  clean: 'dust is wiped off first',
  caulked: 'caulk has to skin over before paint',
  coat: 'the coat before has to be dry',
  above: 'it is cut in from the top down',
  painted: 'the last coat has to be dry',
  last: 'it is the last thing but this',
}

/** Why a task has to be done before another. */
export function whyText(why: Why | null): string {
  if (why === null) return 'what it waits for waits for that'
  if (why === 'pin') return 'you moved it so'
  return why === 'own' ? 'you said so' : WHYS[why]
}

const TOOLS: Readonly<Record<WorkTool, string>> = {
  pryBar: 'pry bar',
  level: 'level',
  laser: 'laser',
  tapeMeasure: 'tape',
  saw: 'saw',
  blocks: 'blocks',
  nailer: 'nailer',
  gluing: 'adhesive gun',
  puttyKnife: 'putty knife',
  sander: 'sander',
  vacuum: 'vacuum',
  caulkGun: 'caulk gun',
  brush: 'brush',
  roller: 'foam roller',
  sprayer: 'sprayer',
  drill: 'drill',
  paperKnife: 'sharp blade, smoother',
  tester: 'voltage tester',
  ladder: 'ladder',
  dropCloth: 'drop cloths',
}
export const toolText = (tool: WorkTool): string => TOOLS[tool]

const CAUTIONS: Readonly<Record<Caution, string>> = {
  dust: 'MDF and wood dust: respirator and extraction, cut outside if you can, vacuum and never sweep. NIOSH recommends no more than 1 mg of wood dust in a cubic meter of air.',
  saw: 'Saw and router: eyes, ears, hands clear of the blade, small pieces clamped.',
  nailer: 'Nailer: never toward a hand. Take the air hose off, or unload it, before you clear a jam.',
  inTheWall:
    'Cables and pipes: nothing is driven over a keep-out, and no nail is longer than its card says. Power off where you can’t be sure.',
  power: 'Power off at the breaker while a plate is off, and test that it is.',
  boxes:
    'A box behind a new panel needs an extender (NFPA 70, 314.20). That is work for a licensed electrician, by the local code.',
  oldPaint:
    'A building before 1978, or of unknown age: paint may hold lead (EPA, 40 CFR 745). Test before you sand, scrape or pry.',
  texture:
    'Old textured coatings may hold asbestos: test before you sand or scrape. Its removal is for licensed trades.',
  fumes: 'Adhesive, shellac, paint: open the windows, no flame. Read the label.',
  ladder: 'Ladder: three points of contact, and move it rather than lean.',
  heavy: 'Heavy pieces and furniture: two people.',
  child: 'A child’s room: nothing loose or heavy over a bed or a crib.',
  rented: 'A rented room: ask the owner first.',
  heat: 'Trim that burns keeps clear of fire and stove: local code and the maker’s listing first.',
}
export const cautionText = (caution: string): string =>
  caution in CAUTIONS ? CAUTIONS[caution as Caution] : caution
/** Said under all cautions. */
export const CAUTION_ALWAYS =
  'Follow the tool maker’s instructions and local codes; licensed trades do electrical work, plumbing and hazardous-material work.'

const CHECKS: Readonly<Record<Check, string>> = {
  levelLine: 'Level line checked before the second piece goes on.',
  plumb: 'Each upright plumb, or as the wall’s school has it, before the second nail.',
  lookBack: 'A look back along the line before anything is covered.',
  marksAgain: 'Paint covers marks: go over them again once it is dry.',
  readOpenings: 'Openings of pieces that are measured in place: read them all in one visit.',
  sameBatch: 'Batch numbers of the cans alike; else mix them.',
  nailDepth: 'One nail in scrap: it sits just under the face. Else mind pressure and depth.',
  laserAgain: 'The laser stands elsewhere: it has to find its own line again.',
  wayFree: 'The way out stays free.',
  dryTouch: 'Dry to the touch, and over the wait on the label: it rules over the hours here.',
  tapeWet: 'Tape off while the last coat is wet.',
  endsSealed: 'Cut ends of MDF sealed, cut ends of primed boards primed.',
  numbersUp: 'Drops in the order of their numbers, each with its arrow up.',
  boardsLie: 'Boards lie flat in the room they go into, as long as can be.',
  blocksFirst: 'Blocks and props cut first, from offcuts.',
}
export const checkText = (check: Check): string => CHECKS[check]

const GROUPS: Readonly<Record<FitGroup, string>> = {
  border: 'border and rails',
  uprights: 'uprights',
  horizontals: 'horizontals',
  slanted: 'slanted strips',
  frames: 'boxes',
  ledges: 'caps and shelves',
  back: 'trim that goes back',
}
/** What goes on in which order: border and rails (4), then uprights (9), each longest first. */
export function stepsText(steps: readonly { readonly group: FitGroup; readonly pieces: number }[]): string {
  return steps.map(({ group, pieces }) => `${GROUPS[group]} (${pieces})`).join(', then ')
}

const WAITED: Readonly<Record<Wait, string>> = {
  paint: 'paint',
  primer: 'primer',
  filler: 'filler',
  caulk: 'caulk',
  adhesive: 'adhesive',
  shellac: 'shellac',
  skim: 'joint compound',
  stain: 'stain',
  varnish: 'varnish',
  floor: 'the floor',
}
export const waitName = (wait: Wait): string => WAITED[wait]
