import { LONGEST } from '~/length'

/**
 * How much of everything there may be: read by schemas, told by whoever adds one, before it is one too many.
 * Chosen well above what a wall, a room or a job can be; common practice, no source.
 */
export const LIMITS = {
  /** The longest length anything may have, either side of zero. */
  length: LONGEST,
  /** A corner of the room, in degrees between the two walls' faces. */
  cornerDeg: { least: 20, most: 340 },
  readings: 400,
  things: 100,
  studs: 200,
  keepOuts: 100,
  overruled: 60,
  flatness: 100,
  materials: 60,
  offers: 400,
  sheets: 30,
  /** Joints of one run that are placed by hand; pieces of one release. */
  joints: 12,
  released: 2_000,
  /** Things still to settle when a list was released all the same. */
  despite: 60,
  rails: 12,
  rows: 40,
  strips: 400,
  /** Ways of spacing there are. */
  schools: 7,
  boxes: 200,
  /** Moves of a design in lines, strips it may come to, marks on one of them. */
  moves: 60,
  lines: 800,
  marksOnStrip: 60,
  arches: 6,
  itemRows: 8,
  items: 40,
  rooms: 60,
  wallsInRoom: 60,
  /** Designs of one wall, put away ones too; paints of a job; photographs of a wall; links for clients of a job. */
  options: 12,
  paints: 60,
  panelsOfPaper: 60,
  photos: 12,
  links: 40,
  /** Points put on a photograph, things cut out of it and their corners. */
  photoPoints: 40,
  cutOuts: 20,
  cutOutCorners: 60,
  /** Remarks of one client's link; layouts and notes kept in the crew's books. */
  remarks: 200,
  book: 200,
  /** Tasks of one's own in a job, moves by hand, deliveries, days off; the longest wait, in hours. */
  ownTasks: 60,
  pins: 100,
  deliveries: 40,
  daysOff: 120,
  waitHours: 2_000,
  /** Photographs in one wall's log. */
  logPhotos: 200,
  /** Characters of a name; of a note. */
  name: 80,
  note: 400,
  /** Bytes of a job file, and of any other request that brings one. */
  fileBytes: 20_000_000,
  /** Bytes of a photograph as it comes, its pixels, and the longer side of what is kept. */
  photoBytes: 40_000_000,
  /** Everything in one file: with photographs of many jobs. */
  backupBytes: 500_000_000,
  photoPixels: 50_000_000,
  photoSide: 3000,
  /** Bytes of any other request. */
  requestBytes: 4_000_000,
} as const

/** What is counted by people and may run out of room. */
export type Counted =
  | 'readings'
  | 'flatness'
  | 'things'
  | 'studs'
  | 'keepOuts'
  | 'rails'
  | 'moves'
  | 'arches'
  | 'itemRows'
  | 'items'
  | 'materials'
  | 'offers'
  | 'sheets'
  | 'rooms'
  | 'wallsInRoom'
  | 'options'
  | 'paints'
  | 'photos'
  | 'links'
  | 'cutOuts'
  | 'photoPoints'
  | 'book'
  | 'ownTasks'
  | 'pins'
  | 'deliveries'
  | 'daysOff'

/** How many copies of the database are kept of each kind, the newest: one a day, before an update, before something is put back, made by hand. */
export const COPIES_KEPT = { daily: 14, update: 5, restore: 5, hand: 20 } as const
