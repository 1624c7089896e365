import type { KnownPlace } from '~/core/photo/photoScene'
import type { PhotoDistance, PhotoFault } from '~/core/photo/photoMap'
import { NM_PER_INCH, NM_PER_MM } from '~/length'
import { LIMITS } from '~/model'
import { sayWithUnit, type Wording } from './words'

/** Why a picture was not taken in, and what to do. */
export function photoProblemText(
  problem:
    | { readonly code: 'noWall' | 'empty' | 'broken' | 'tooLarge' | 'heic' }
    | { readonly code: 'kind'; readonly kind: string }
    | { readonly code: 'tooManyPixels'; readonly megapixels: number },
): string {
  switch (problem.code) {
    case 'noWall':
      return 'There is no such wall in this job.'
    case 'empty':
      return 'There was no picture in that. Pick a JPEG, PNG or WebP file.'
    case 'broken':
      return 'That file is no picture that can be read: it is broken, cut short, or something else under a picture’s name. Pick another.'
    case 'tooLarge':
      return `That file is larger than ${LIMITS.photoBytes / 1e6} MB. Send it smaller from the phone.`
    case 'heic':
      return 'That is a HEIC picture, which can’t be read here. On the phone choose “most compatible”, or send it as JPEG.'
    case 'kind':
      return `That is a ${problem.kind.toUpperCase()} file. JPEG, PNG and WebP can be read.`
    case 'tooManyPixels':
      return `That picture has ${problem.megapixels} million pixels; ${LIMITS.photoPixels / 1e6} million is the most. Send it smaller.`
  }
}

/** Why a plan can't be laid over a photograph, and what to do. */
export function photoFaultText(fault: PhotoFault): string {
  switch (fault) {
    case 'fewPoints':
      return 'Put at least four points on the picture.'
    case 'inLine':
      return 'Three of the four points lie in a line, on the picture or on the wall: move one of them.'
    case 'crossed':
      return 'The four points are crossed: two of them stand on each other’s corner. Swap them.'
    case 'bentInward':
      return 'One of the four points lies inside the other three: no wall looks like that. Move it out.'
    case 'noMap':
      return 'These points fit no wall: look for one that stands on the wrong corner.'
  }
}

const CORNERS: Readonly<Record<KnownPlace['corner'], string>> = {
  bottomLeft: 'lower left',
  bottomRight: 'lower right',
  topRight: 'upper right',
  topLeft: 'upper left',
}

/** Lower left corner of the wall, upper right of the left window. */
export function placeName({ of, corner }: KnownPlace, { things }: Pick<Wording, 'things'>): string {
  if (of === 'wall') return `${CORNERS[corner]} corner of the wall`
  const name = things?.get(of.thingId) ?? 'thing'
  return `${CORNERS[corner]} of the ${name.toLowerCase()}`
}

/** About 14 in, give or take 1/2: a reading to be confirmed. Read no finer than its error allows. */
export function photoDistanceText({ distance, likely }: PhotoDistance, { format }: Wording): string {
  const metric = format.units === 'mm'
  const unit = metric ? NM_PER_MM : NM_PER_INCH
  const steps = metric ? [1, 2, 5, 10, 20, 50, 100] : [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4]
  const off = likely / unit
  const step = steps.find((each) => each >= off) ?? steps.at(-1) ?? 1
  const read = Math.round(distance / unit / step) * step
  const w = { format: { ...format, tape: metric ? format.tape : ('1/16' as const) }, materials: [] }
  return `about ${sayWithUnit(read * unit, w)}, give or take ${sayWithUnit(Math.max(step, Math.ceil(off / step) * step) * unit, w)}`
}

export const photoText = {
  title: 'On the photograph',
  help: 'JPEG, PNG or WebP. Take the picture from as far back as the room allows, the whole wall on it. Where it was taken is not kept.',
  add: 'Add a photograph',
  sending: 'Reading the picture…',
  none: 'No photograph of this wall yet.',
  pick: 'Photograph',
  archive: 'Archive this photograph',
  restore: 'Restore it',
  alt: (name: string) => `Photograph ${name} with the plan on it`,
  points: 'Points on the wall',
  pointsHelp:
    'Pull each point to its place on the picture, or push it with the arrow keys. More than four say how far they miss; from six on the curve of the lens can be taken out, eight are better.',
  point: (number: number, place: string) => `Point ${number}, ${place}. Arrow keys move it.`,
  own: 'a place of its own',
  addPoint: 'Add a point at',
  pickPlace: 'pick a place',
  takeOff: (number: number) => `Take point ${number} off`,
  miss: (pixels: number) => `misses by ${pixels < 10 ? pixels.toFixed(1) : Math.round(pixels)} px`,
  fromLeft: 'From the left corner',
  fromFloor: 'Over the floor',
  lens: 'Take out the curve of the lens',
  light: 'Light comes from',
  lights: {
    none: 'no shadows',
    right: 'the right',
    upRight: 'above right',
    up: 'above',
    upLeft: 'above left',
    left: 'the left',
  },
  compare: 'Plan shown on',
  comparePart: (part: number) => `${part} % of the picture, from the left`,
  cutOuts: 'What stands before the wall',
  addCutOut: 'Cut something out',
  cutOut: (name: string, corner: number) => `${name}, corner ${corner}. Arrow keys move it.`,
  addCorner: (name: string) => `One more corner for ${name}`,
  removeCutOut: (name: string) => `Take ${name} off`,
  thing: 'Thing',
  tools: 'Read off the picture',
  measure: 'Measure between two places',
  measureEnd: (name: string) => `End ${name} of what is measured. Arrow keys move it.`,
  measured: (text: string) => `${text}. A reading to be confirmed with the tape: it counts nowhere.`,
  takeColor: 'Take a color from the picture',
  colorSpot: 'Where the color is taken. Arrow keys move it.',
  addColor: 'Add it to the colors',
  taken: 'From the photograph',
  save: 'Save as a PNG picture',
} as const
