import type { Basis, RateGap, Supply } from '~/core/takeoff/supplies'
import type { SupplyLine } from '~/core/yard/supplyLines'
import { PRODUCT_RULES } from '~/core/takeoff/products'
import type { MuralFit } from '~/core/takeoff/papering'
import { formatExact } from '~/length'
import type { Paint, Product, Spread } from '~/model'
import { count, money, sayWithUnit, type Wording } from './words'

type UnitsOf = Wording['format']['units']

const NAMES: Readonly<Record<Product, string>> = {
  adhesive: 'Construction adhesive',
  hotGlue: 'Hot glue sticks',
  mountTape: 'Removable mounting tape',
  nails: 'Nails',
  pins: 'Pins',
  filler: 'Filler',
  skim: 'Joint compound',
  caulk: 'Paintable caulk',
  primer: 'Primer',
  paint: 'Paint',
  stain: 'Stain',
  varnish: 'Varnish',
  shellac: 'Shellac for knots',
  sandpaper: 'Sandpaper',
  tape: 'Masking tape',
  miterGlue: 'Miter glue',
  props: 'Props, or tape to hold',
  panels: 'Backer sheets',
  paper: 'Wallpaper',
  mural: 'Mural',
  dustSheet: 'Dust sheets',
  mask: 'Dust masks',
}
export const productName = (product: Product): string => NAMES[product]

const OPEN: Readonly<Record<string, string>> = {
  trim: 'for the trim',
  field: 'for the field',
  above: 'for above',
}

/** What a supply is called: Finish nails 2 in, 16 ga; Paint Barley husk; Sandpaper 150. */
export function supplyName(
  { product, key, of }: Pick<Supply, 'product' | 'key' | 'of'>,
  paints: readonly Paint[],
  w: Wording,
): string {
  const parts = key.split('/')
  const name = NAMES[product]
  if (product === 'nails' || product === 'pins') {
    const [, gauge, length] = parts
    const what = product === 'pins' ? 'Pins' : gauge === '16' ? 'Finish nails' : 'Brads'
    return `${what} ${sayWithUnit(Number(length), w)}, ${gauge} ga`
  }
  if (product === 'sandpaper') return `${name} ${parts[1] ?? ''}`
  if (product === 'paint') {
    const paint = paints.find(({ id }) => id === of)
    return paint ? `${name} ${paint.name}` : `${name} ${OPEN[of ?? ''] ?? ''}, color still open`
  }
  return of ? `${name} ${of}` : name
}

const OUNCE_ML = 29.5735
const round = (value: number, to: number) => String(Math.round(value / to) * to)
const tenth = (value: number) => String(Math.round(value * 10) / 10)

function volume(ounces: number, units: UnitsOf): string {
  if (units === 'mm') {
    const ml = ounces * OUNCE_ML
    return ml >= 1_000 ? `${Math.round(ml / 100) / 10} l` : `${round(ml, 5)} ml`
  }
  if (ounces >= 128) return `${tenth(ounces / 128)} gal`
  return ounces >= 32 ? `${tenth(ounces / 32)} qt` : `${tenth(ounces)} fl oz`
}

export function feetText(feet: number, units: UnitsOf): string {
  return units === 'mm' ? `${tenth(feet * 0.3048)} m` : `${feet < 10 ? tenth(feet) : Math.round(feet)} ft`
}

export function areaText(squareFeet: number, units: UnitsOf): string {
  return units === 'mm' ? `${tenth(squareFeet * 0.092903)} m²` : `${tenth(squareFeet)} sq ft`
}

/** How much of it there is, in its own unit. */
export function amountText({ product, amount }: Pick<Supply, 'product' | 'amount'>, units: UnitsOf): string {
  const { unit } = PRODUCT_RULES[product]
  if (unit === 'ounces') return volume(amount, units)
  return unit === 'feet' ? feetText(amount, units) : String(Math.ceil(amount - 1e-9))
}

/** What a pack is called: quart, 10.1 fl oz, box of 1000. */
export function packName(product: Product, size: number, units: UnitsOf): string {
  const { unit } = PRODUCT_RULES[product]
  if (unit === 'feet') return `roll of ${feetText(size, units)}`
  if (unit === 'pieces')
    return (
      {
        panels: 'sheet',
        paper: 'roll',
        mural: 'set',
        dustSheet: 'sheet',
      }[product as string] ?? (size === 1 ? 'piece' : `pack of ${size}`)
    )
  if (units === 'mm') return volume(size, units)
  if (size === 32) return 'quart'
  if (size === 128) return 'gallon'
  return volume(size, units)
}

/** What to buy: 1 gallon and 2 quarts. */
export function buyText({ product, buy }: Pick<Supply, 'product' | 'buy'>, units: UnitsOf): string {
  if (buy.length === 0) return 'nothing'
  return buy.map(({ count: n, size }) => `${n} × ${packName(product, size, units)}`).join(', ')
}

function muralText({ left, right, up, shortAcross, shortUp }: MuralFit, w: Wording): string {
  const lacks = [
    ...(shortAcross > 0 ? [`${sayWithUnit(shortAcross, w)} short at the sides of what should run over`] : []),
    ...(shortUp > 0 ? [`${sayWithUnit(shortUp, w)} short at head and foot`] : []),
  ]
  const cut = `${sayWithUnit(left, w)} to cut off at the left, ${sayWithUnit(right, w)} at the right, ${sayWithUnit(up, w)} at head and foot`
  return lacks.length > 0 ? `${cut}; ${lacks.join(', ')}` : cut
}

/** A small size as it is, whatever the tape reads: 5/32 in. */
export function sizeText(length: number, { format: { units } }: Wording): string {
  return units === 'mm' ? `${tenth(length / 1_000_000)} mm` : `${formatExact(length, 'inches')} in`
}

/** What an amount rests on: 184 ft of seam, 3/16 in bead, one pack does 55 ft. */
export function basisText(basis: Basis, w: Wording): string {
  const { units } = w.format
  switch (basis.kind) {
    case 'seams':
      return `${feetText(basis.feet, units)} of seam, ${sizeText(basis.bead, w)} bead, one pack does ${feetText(basis.perPack, units)}${basis.hollow > 0 ? `, and ${volume(basis.hollow, units)} for hollows` : ''}`
    case 'glue':
      return [
        ...(basis.beads > 0 ? [`${feetText(basis.beads, units)} of bead, ${sizeText(basis.bead, w)}`] : []),
        ...(basis.dabs > 0 ? [count(basis.dabs, 'dab')] : []),
      ].join(', ')
    case 'nails':
      return basis.holes === basis.places
        ? count(basis.places, 'place')
        : `${count(basis.places, 'place')}, ${basis.holes} holes: two where they are crossed or a face is wide`
    case 'filled':
      return [
        ...(basis.holes > 0 ? [count(basis.holes, 'nail hole')] : []),
        ...(basis.joints > 0 ? [`${feetText(basis.joints, units)} of joint`] : []),
        ...(basis.old > 0 ? [count(basis.old, 'old hole')] : []),
      ].join(', ')
    case 'covered':
      return `${areaText(basis.area, units)}, ${count(basis.coats, 'coat')}, ${coverText(basis.cover, units)}`
    case 'knots':
      return `about ${count(Math.round(basis.knots), 'knot')} in ${feetText(basis.feet, units)} of raw softwood`
    case 'sanded':
      return `${areaText(basis.area, units)} of trim at ${basis.grit}`
    case 'run':
      return feetText(basis.feet, units)
    case 'miters':
      return count(basis.count, 'miter')
    case 'propped':
      return `${count(basis.pieces, 'piece')} held by adhesive alone until it sets; props come from offcuts`
    case 'sheets':
      return count(basis.panels, 'panel')
    case 'drops':
      return `${count(basis.drops, 'drop')}${basis.repeat > 0 ? `, repeat ${sayWithUnit(basis.repeat, w)}` : ', no repeat'}${basis.tooShort ? '; a drop is longer than a roll' : ''}`
    case 'mural':
      return `${count(basis.panels, 'panel')}: ${muralText(basis.fit, w)}`
    case 'walls':
      return count(basis.walls, 'wall')
  }
}

function coverText(cover: number, units: UnitsOf): string {
  return units === 'mm' ? `${tenth(cover * 0.024543)} m² a liter` : `${Math.round(cover)} sq ft a gallon`
}

export const supplyText = {
  title: 'Supplies',
  ofWall: 'What else this wall takes',
  help: 'Worked out from the plan of every wall. Each says what it rests on; rates and packs are yours to set.',
  whole: 'the whole job',
  scope: 'Supplies for',
  working: 'Working out what the walls take…',
  failed: 'The walls can’t be worked out just now. Nothing is lost; load the page again.',
  none: 'No wall of this has a layout yet, so it takes nothing.',
  heads: ['What', 'How much', 'To buy', 'A pack costs', 'On hand', 'Comes to'],
  price: (name: string, pack: string) => `Price of ${name}, ${pack}`,
  onHand: (name: string) => `On hand of ${name}, packs`,
  sum: (sum: string, open: number) =>
    open > 0 ? `${sum}, and ${count(open, 'supply', 'supplies')} without a price` : sum,
  comesTo: 'Supplies come to',
  rates: 'How far things go',
  usual: 'common practice, no source',
  own: 'your own',
  ownCount: (n: number) => `${n} of your own`,
  back: (name: string) => `As is usual: ${name}`,
  caulk: 'What is caulked',
  gap: (name: string) => `“${name}” is 0, so what it covers can’t be worked out.`,
  muralSheet: 'Size sheet for the supplier',
  muralSize: (width: string, height: string) => `${width} wide and ${height} high, what runs over counted in`,
} as const

const SPREADS: Readonly<Record<keyof Spread, string>> = {
  caulkBead: 'Bead of caulk',
  caulkShape: 'Its end',
  glueBead: 'Bead of adhesive',
  dab: 'Dab, across',
  dabThick: 'Dab, thick',
  dabsApart: 'Dabs apart',
  nailsApart: 'Nails apart',
  nailFromEnd: 'First nail from the end',
  waste: 'Stays in the tube, %',
  paintCover: 'Paint covers, sq ft a gallon',
  primerCover: 'Primer covers, sq ft a gallon',
  stainCover: 'Stain covers, sq ft a gallon',
  varnishCover: 'Varnish covers, sq ft a gallon',
  skimCover: 'Joint compound covers, sq ft a gallon',
  paperSheet: 'A sheet of sandpaper does, sq ft',
  knots: 'Knots in 10 ft',
}
export const spreadName = (key: keyof Spread): string => SPREADS[key]
export const rateGapText = (gap: RateGap): string => supplyText.gap(SPREADS[gap])
export const beadShapes: Readonly<Record<Spread['caulkShape'], string>> = {
  round: 'round',
  fillet: 'three-cornered',
  square: 'square',
}

/** Supplies as lines of a text to send. */
export function suppliesAsText(
  lines: readonly SupplyLine[],
  paints: readonly Paint[],
  w: Wording & { readonly currency: string },
): string[] {
  if (lines.length === 0) return []
  const said = lines.map(({ supply, size, need, inCart, price }) => {
    const open = need - inCart
    const cost = price === null ? '' : ` at ${money(price, w.currency)}`
    return `${open > 0 ? `[ ] ${open}` : '[x] 0'} × ${supplyName(supply, paints, w)}, ${packName(supply.product, size, w.format.units)}${cost}`
  })
  return ['', supplyText.title, ...said]
}
