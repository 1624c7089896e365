import { type Counted, LIMITS } from '~/model'

const WHERE: Readonly<Record<Counted, string>> = {
  readings: 'readings a wall keeps',
  flatness: 'straightedge readings a wall keeps',
  things: 'things a wall holds',
  studs: 'studs a wall holds',
  keepOuts: 'places to keep clear a wall holds',
  rails: 'rails a wall takes',
  moves: 'moves a design in lines takes',
  arches: 'arches a wall takes',
  itemRows: 'rows of letters or hooks a wall takes',
  items: 'letters or hooks a row takes',
  materials: 'materials a job has',
  sheets: 'sheets a job has on its list',
  offers: 'boards a job has on its list',
  rooms: 'rooms a job has',
  wallsInRoom: 'walls a room has, those put away too',
  options: 'options a wall has, those put away too',
  paints: 'colors a job has, those dropped too',
  photos: 'photographs a wall has',
  links: 'links for the client a job has',
  cutOuts: 'things are cut out of a photograph',
  photoPoints: 'points are put on a photograph',
  book: 'entries a book of the crew has',
  ownTasks: 'tasks of your own a job has',
  pins: 'moves by hand an order of work has',
  deliveries: 'deliveries a job waits for',
  daysOff: 'days off a plan has',
}

/** Said where one more would be one too many. */
export function fullText(what: Counted): string {
  return `${LIMITS[what]} is the most ${WHERE[what]}. Take one away to make room.`
}

/** Said where several at once would be too many. */
export function tooManyText(what: Counted, has: number, more: number): string {
  return `${LIMITS[what]} is the most ${WHERE[what]}. There ${has === 1 ? 'is' : 'are'} ${has} already, and this would bring ${more} more.`
}
