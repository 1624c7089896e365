import type { FinishWhat } from '~/core/finish/finishList'
import type { Against } from '~/core/takeoff/seams'
import type { Paint } from '~/model'
import { feetText, sizeText } from './supplyText'
import { count, sayWithUnit, type Wording } from './words'

const AGAINST: Readonly<Record<Against, string>> = {
  wall: 'trim to wall',
  sideWall: 'ends at the side walls',
  base: 'feet on the baseboard',
  ceiling: 'trim to ceiling',
  thing: 'trim to casing and what stays on the wall',
  floor: 'foot to floor',
}
const ON = { trim: 'Trim', field: 'Between the trim', above: 'Above the trim', varnish: 'Varnish' } as const
const NEVER = {
  floor: 'The seam to the floor stays open: the floor moves.',
  joints: 'Joints of trim to trim are filled, not caulked: caulk shrinks.',
  stained: 'Stained trim is not caulked.',
  chosen: 'Nothing is caulked on this job: every joint fits tight.',
} as const

const feetOf = (nm: number, w: Wording) => feetText(nm / (25_400_000 * 12), w.format.units)

/** What is to be done, in words. */
export function finishText(what: FinishWhat, w: Wording, paints: readonly Paint[]): string {
  const paintName = (id: string | null) => paints.find((paint) => paint.id === id)?.name
  switch (what.kind) {
    case 'nailer':
      return 'Nailer: were pressure and depth checked? A low compressor leaves nails proud.'
    case 'nails':
      return `Set proud nails: ${what.count} to look at`
    case 'pulled':
      return `Fill ${count(what.count, 'nail hole')} where ${what.piece} was pulled off`
    case 'holes':
      return `Fill ${count(what.count, 'nail hole')}`
    case 'joints':
      return `Fill ${count(what.count, 'joint')}, ${feetOf(what.length, w)} in all`
    case 'sand':
      return `Sand at ${what.grits.join(', then ')}`
    case 'vacuum':
      return 'Vacuum wall, trim and floor'
    case 'wipe':
      return 'Wipe damp, and let it dry'
    case 'knots':
      return `Seal knots with shellac: about ${what.count}`
    case 'seam':
      return `Caulk ${AGAINST[what.against]}: ${feetOf(what.length, w)}, ${sizeText(what.bead, w)} bead`
    case 'never':
      return NEVER[what.what]
    case 'coat': {
      const name = paintName(what.paint)
      return `${ON[what.on]}, coat ${what.number} of ${what.of}${name ? `: ${name}` : ''}`
    }
    case 'tapeOff':
      return 'Tape off while the last coat is wet'
    case 'plates': {
      const name = paintName(what.paint)
      return `Put ${count(what.count, 'plate')} back on${name ? `: ${name}` : ''}. Power off first.`
    }
    case 'sideTrim':
      return `Put ${count(what.count, 'piece')} of side trim back on`
    case 'drop':
      return `Drop ${what.number}, arrow up: cut ${sayWithUnit(Math.round(what.cut), w)} from roll ${what.roll} as its cut ${what.turn}, ${sayWithUnit(what.width, w)} wide`
    case 'panel':
      return `Panel ${what.number}, arrow up`
    case 'touchUp':
      return 'Touch up, looking along the wall with a lamp'
  }
}

/** How it is done, where that is worth a word. */
export function finishHow(what: FinishWhat): string | null {
  switch (what.kind) {
    case 'seam':
      return 'Tip cut small, a thin bead, a wet finger along it.'
    case 'holes':
      return 'Filler or spackle, not caulk; a little proud, for sanding.'
    case 'plates':
      return what.paint === null ? 'Which color are the covers? Say it under Colors.' : null
    case 'coat':
      return what.number === 1 ? 'Cut in first, then roll.' : null
    default:
      return null
  }
}

export const finishWords = {
  list: 'Finish list',
  done: (done: number, all: number) => `${done} of ${all} done`,
  allDone: 'This wall is finished.',
  none: 'There is no trim on this wall, so there is nothing to finish.',
  tick: (name: string) => `Done: ${name}`,
  show: (name: string) => `Show on the wall: ${name}`,
  note: 'What was found',
  found: (note: string) => `Found: ${note}`,
  waitsItem: (name: string) => `after “${name}”`,
  waitsUntil: (time: string) => `not before ${time}`,
  told: 'left alone',
  caution:
    'Paint, filler and caulk: windows open. Sanding: respirator and vacuum. Paint from before 1978 may hold lead: test before you sand.',
  shown: (name: string) => `On the drawing: ${name}`,
} as const

/** A time of the clock of whoever reads it. */
export function clockText(at: number): string {
  return new Intl.DateTimeFormat('en-US', { weekday: 'short', hour: 'numeric', minute: '2-digit' }).format(
    new Date(at),
  )
}
