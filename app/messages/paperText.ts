import type { Tears } from '~/core/takedown/takeDown'
import type { TapeReading } from '~/length'
import type { BookletPart, PaperSize, PaintUse, Rod, TableKind, TemplateKind } from '~/model'
import { count, listed } from './words'
import { rateName } from './workText'

const PARTS: Readonly<Record<BookletPart, string>> = {
  wall: 'Wall and dimensions',
  marks: 'Marks and heights',
  cut: 'Cut cards',
  boards: 'Board plan',
  shopping: 'Shopping list',
  work: 'Order of work',
  finish: 'Finish list',
  takeDown: 'Taking it down',
  client: 'For the client',
}
const USES: Readonly<Record<PaintUse, string>> = {
  trim: 'trim',
  field: 'between the trim',
  above: 'above',
  plates: 'plates',
}

/** What stands on printed sheets. Left out here are names of things, which the lists bring with them. */
export const paperText = {
  parts: PARTS,
  headOf: (wall: string, part: string) => `${wall}: ${part.toLowerCase()}`,
  foot: (job: string, day: string, revision: number) => `${job} · ${day} · revision ${revision}`,
  pageOf: (page: number, of: number) => `page ${page} of ${of}`,
  dimensionsNote: (datum: 'left' | 'right') =>
    `Running dimensions: along the foot from the ${datum} corner to both edges of each strip, over the head to what is on the wall, heights up from the floor. Figures that have no room stand in the tables. Not to scale: never measure a print.`,
  painted: (uses: readonly { readonly use: PaintUse; readonly name: string }[]) =>
    `Painted: ${uses.map(({ use, name }) => `${USES[use]} in ${name}`).join(', ')}.`,
  things: 'On the wall',
  thingColumns: ['What', 'Where'],
  fromCorner: (datum: 'left' | 'right') => `from the ${datum} corner`,
  side: { on: '', over: ' +', under: ' −' } satisfies Readonly<Record<TapeReading['side'], string>>,
  sideNote: 'A + after a reading is a hair over the tick, a − a hair under.',
  edgeColumns: ['Near edge', 'Far edge'],
  headColumns: ['Near edge at the head', 'Far edge at the head'],
  hooked: (line: string, leans: boolean) =>
    `The tape hooked along ${line}.${leans ? ' An end or the strips lean: at the head marks are others.' : ''}`,
  block: (length: string, checks: readonly number[]) =>
    `Spacer block ${length} between strips${checks.length === 0 ? '' : `; the running mark must agree at ${checks.join(', ')}`}.`,
  heightColumn: 'Height of',
  heightFrom: 'Up from the floor',
  present: 'From the floor there is',
  heights: 'Heights',
  stripColumn: 'Strip',
  itemColumn: 'Item',
  itemEdges: ['Left edge', 'Right edge'],
  nothing: 'There is nothing to mark on this wall yet.',
  released: (day: string) => `As released to the saw on ${day}.`,
  notReleased: 'Not released to the saw yet: names may still change.',
  setups: 'Set-ups at the saw, in order',
  cutColumns: ['', 'Card', 'Pieces', 'Cut to', 'Ends', 'How'],
  group: (material: string, setting: string) => `${material}, ${setting}`,
  noPieces: 'This wall has no pieces to cut.',
  boardColumns: ['', 'Board', 'Cut in this order', 'Left over'],
  boardMade: (proven: boolean) =>
    proven
      ? 'Proven: nothing costs less.'
      : 'A good plan, not proven the cheapest: the job’s page of boards goes on looking.',
  noBoards: 'There is nothing left to cut from boards.',
  without: (name: string, why: string) => `${name}: ${why}`,
  shoppingColumns: ['', 'What', 'Each', 'Together'],
  nobody: 'No supplier said',
  toGet: (open: number, need: number) => (open === need ? String(need) : `${open} of ${need}`),
  supplies: 'Supplies',
  sum: 'Together',
  nothingToBuy: 'There is nothing to buy.',
  workColumns: ['', 'When', 'What', 'Takes', 'Look at'],
  noWork: 'There is nothing to do on this job yet.',
  trade: 'another trade',
  byLogs: (rates: readonly string[]) =>
    `Paced by the crew’s logs: ${listed(rates.map((rate) => (rateName(rate.split('.')[0] ?? rate).split(',')[0] ?? '').toLowerCase()))}. All else by the job’s own rates.`,
  dried:
    'Waits for what dries are common practice; the product’s label rules, and cold and damp take longer.',
  finishColumns: ['', 'What', 'Wait first'],
  wait: (hours: number, what: string) => `${hours} h after: ${what}`,
  after: (what: string) => `after: ${what}`,
  cautions: 'Caution',
  takeDownLead:
    'For whoever takes this trim off again: where it is held, what that does to the wall, what to patch. Kept with the lease or with the house.',
  takeDownColumns: [
    'Piece',
    'Where',
    'Held by',
    'Nails, from the left corner and up from the floor',
    'Leaves',
  ],
  takeDownOrder: 'In this order: what went up last comes off first.',
  cutSeams: (length: string) =>
    `First cut every painted or caulked seam with a knife: ${length} of them. What still holds tears the paper.`,
  holes: (holes: number) =>
    holes === 0 ? 'No nail holes.' : `${count(holes, 'nail hole')} to fill, sand and touch up.`,
  torn: (beads: string | null, dabs: number) =>
    `Adhesive tears the wallboard’s paper${beads === null ? '' : ` along ${beads} of beads`}${dabs === 0 ? '' : `${beads === null ? '' : ' and'} under ${count(dabs, 'dab')}`}: cut loose paper away, seal what is brown, skim, sand, prime.`,
  earlier: (piece: string, holes: number, at: string) =>
    `${piece} was pulled off earlier: ${count(holes, 'hole')}${at === '' ? '' : ` at ${at}`}.`,
  tears: {
    holes: 'nail holes',
    paper: 'torn paper under the adhesive',
    specks: 'specks: warm it, lift it with a blade',
    nothing: 'nothing: pull the strips down along the wall',
  } satisfies Readonly<Record<Tears, string>>,
  nailsMore: (more: number) => `and ${more} more`,
  placed: (left: string, up: string) => `${left} from the left, ${up} up`,
  beads: (many: number) => (many === 1 ? 'a bead down its middle' : `${many} beads side by side`),
  dabs: (places: string) => `dabs at ${places}`,
  panels: (panels: number, fasteners: number) =>
    `Last the ${count(panels, 'panel')} under the trim: ${count(fasteners, 'fastener')} on the studs, and adhesive between them.`,
  takeDownCaution:
    'Eyes covered. Before the first pry bar: power off where cables may run, and ask before old paint is scraped or sanded (it may hold lead); in older houses wallboard and its filler may hold asbestos. Local codes and licensed trades rule.',
  clientLead: (client: string) => (client === '' ? 'As laid out for you.' : `As laid out for ${client}.`),
  clientNote:
    'A drawing to agree on, not to build from. Prices and days are estimates until they are signed on the client’s page.',
  clientPrice: (price: string) => `Boards and supplies: ${price}.`,
  booklet: 'booklet',
  empty: 'Nothing of this job was chosen to be printed.',
  broken: (names: readonly string[]) =>
    `Left out, as they can’t be planned just now: ${listed(names)}. Their pages say what to mend.`,
  sketchOf: (wall: string) => `${wall}, as it will look`,
} as const

export const paperNames: Readonly<Record<PaperSize, string>> = { letter: 'Letter', a4: 'A4' }
export const rodNames: Readonly<Record<Rod, string>> = {
  foot: 'Long rod',
  head: 'Long rod at the head',
  height: 'Height rod',
  bottom: 'Lines along the foot of the field',
  top: 'Lines along the head of the field',
  left: 'Lines up the left side of the field',
  right: 'Lines up the right side of the field',
}
export const templateNames: Readonly<Record<TemplateKind, string>> = {
  ends: 'Ends of slanted pieces',
  gauges: 'Cope and scarf gauges',
  plates: 'Plate holes of panels',
  arches: 'Arch halves',
  rows: 'Letters and hooks, with spacers',
}
export const tableNames: Readonly<Record<TableKind, string>> = {
  marks: 'Marks',
  cuts: 'Cut list',
  boards: 'Boards',
  takeoff: 'Take-off',
  log: 'Log',
}

/** Why there is no such file. */
export const paperTroubleText = {
  badAsk: 'There is no such file here.',
  noJob: 'There is no such job here, or its settings can’t be read: its page says what to do.',
  noWall: 'There is no such wall in this job, or it can’t be read: its page says what to do.',
  nothing: 'There is nothing of this kind on this wall yet.',
  broken: 'This could not be put on paper. The wall’s page says what to mend; nothing is lost.',
  tooLong: 'It took too long and was given up. Ask for fewer parts or walls at once.',
  busy: 'Many files are being made just now. Try again in a moment.',
  left: 'Given up.',
} as const

/** The page on which a job goes on paper and into files. */
export const paperPageText = {
  title: 'Paper and files',
  lead: 'Everything here is a view of the plan as it is now: for the shop, for the wall, for other programs.',
  booklet: 'Booklet',
  bookletHow: 'The parts and walls you pick, as one PDF in the order of the work.',
  parts: 'Parts',
  walls: 'Walls',
  allWalls: 'All walls',
  noWalls: 'No walls',
  paper: 'Paper',
  look: 'Look for boards and days',
  looks: { moment: 'a moment', proven: 'until proven, up to a minute' },
  getBooklet: 'Make the booklet',
  pickSome: 'Pick at least one part and one wall.',
  picked: (parts: number, walls: number) => `${count(parts, 'part')} of ${count(walls, 'wall')}`,
  partOf: {
    wall: 'each wall drawn with running dimensions',
    marks: 'every mark along the tape and up from the floor',
    cut: 'cards by set-up, with boxes to tick',
    boards: 'what is cut from which board',
    shopping: 'boards and supplies, with prices',
    work: 'every task, when, what to look at',
    finish: 'nails, seams, coats, in order',
    takeDown: 'where each nail and bead is, what tears',
    client: 'walls in their colors, and what they come to',
  } satisfies Readonly<Record<BookletPart, string>>,
  wall: 'Wall',
  onPaper: 'Paper and files',
  rodOnPaper: 'Rods at full size',
  datum: 'Marks run from',
  corner: { left: 'from the left corner', right: 'from the right corner' },
  none: 'What is gray this wall has nothing of.',
  full: 'At full size',
  fullHow:
    'Printed at 100 % over as many sheets as it takes: cut, lay the crosses over one another, tape them together. Measure the bars on the first sheet before you trust it.',
  on: 'Print on',
  roll: 'a roll, 4 in wide',
  bar: 'The 6-in bar measures, in',
  barMm: 'The 100-mm bar measures, mm',
  barHow:
    'Print one sheet first. Where the bar is off, say what it measures, and everything but the bars makes up for it.',
  barFar: 'A bar so far off is a printer that fits to the page: set it to 100 %.',
  rods: 'Rods',
  templates: 'Templates',
  labels: 'Labels',
  labelSheet: 'Sheet of labels',
  labelName: (across: number, down: number, size: string) =>
    `${across * down} to a sheet (${across} × ${down}), ${size}`,
  skip: 'Labels gone already',
  shiftRight: 'Shift right, mm',
  shiftDown: 'Shift down, mm',
  files: 'For other programs',
  drawings: 'Drawings',
  drawing: {
    wall: 'Wall',
    pieces: 'Pieces, true size',
    boards: 'Board plan',
    panels: 'Panels, true size',
  },
  tables: 'Tables',
  dxf: 'DXF',
  dxfOld: 'DXF, R12',
  dxfHow: 'True size in the job’s unit, a layer for each kind. R12 is for programs that read nothing newer.',
  calendar: 'Calendar of the work',
  jobFile: 'The job as a file',
  jobFileHow: 'Whole, and taken in again on any Regla.',
  backup: 'Everything in one file',
  backupHow:
    'All jobs, books, stock, logs and photographs. Taken in on an empty machine it is all there again.',
  making: (seconds: number) => (seconds < 2 ? 'Making it…' : `Making it… ${seconds} s`),
  cancel: 'Cancel',
  made: (name: string) => `${name} is in your downloads.`,
  unmade: 'It could not be fetched: is the server away? Nothing is lost.',
  pieceSvg: 'SVG',
  png: 'PNG',
  csv: 'CSV',
  preview: (wall: string) => `${wall}, as it is printed`,
  noWallsYet: 'This job has no wall yet: nothing to put on paper.',
  unreadable: (names: readonly string[]) => `Left out, as they can’t be read: ${listed(names)}.`,
} as const
