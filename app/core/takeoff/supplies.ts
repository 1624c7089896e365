import type { Pack, Paper, Product, Settings, Work } from '~/model'
import { costOf, type PackCount, packsFor } from './packs'
import { cutDrops, muralFit, type MuralFit } from './papering'
import { PRODUCT_RULES, productOf } from './products'
import { beadSection, feet, feetPerPack, fluidOunces, squareFeet } from './volumes'
import type { WallFacts } from './wallFacts'

/** What an amount rests on, in figures: the sentence is made of it. Lengths in feet, areas in square feet, volumes in fluid ounces. */
export type Basis =
  | {
      readonly kind: 'seams'
      readonly feet: number
      readonly bead: number
      readonly perPack: number
      readonly hollow: number
    }
  | { readonly kind: 'glue'; readonly beads: number; readonly bead: number; readonly dabs: number }
  | {
      readonly kind: 'nails'
      readonly places: number
      readonly holes: number
      readonly length: number
      readonly gauge: number
    }
  | { readonly kind: 'filled'; readonly holes: number; readonly joints: number; readonly old: number }
  | { readonly kind: 'covered'; readonly area: number; readonly coats: number; readonly cover: number }
  | { readonly kind: 'knots'; readonly feet: number; readonly knots: number }
  | { readonly kind: 'sanded'; readonly area: number; readonly grit: number }
  | { readonly kind: 'run'; readonly feet: number }
  | { readonly kind: 'miters'; readonly count: number }
  /** Pieces that nothing is driven through: propped or taped until the adhesive has set. */
  | { readonly kind: 'propped'; readonly pieces: number }
  | { readonly kind: 'sheets'; readonly panels: number }
  | { readonly kind: 'drops'; readonly drops: number; readonly repeat: number; readonly tooShort: boolean }
  | { readonly kind: 'mural'; readonly fit: MuralFit; readonly panels: number }
  | { readonly kind: 'walls'; readonly walls: number }

/** One thing to buy: how much of it, what that rests on, in which packs. */
export interface Supply {
  readonly key: string
  readonly product: Product
  /** The paint or paper it is. */
  readonly of: string | null
  /** In the product's unit. */
  readonly amount: number
  readonly byWall: Readonly<Record<string, number>>
  readonly basis: Basis
  readonly packs: readonly Pack[]
  /** What would be bought with none on hand, and what that costs; null where a price is not known. */
  readonly buy: readonly PackCount[]
  readonly cost: number | null
}

/** A rate of 0 with which nothing can be worked out. */
export type RateGap = keyof Pick<
  Work['spread'],
  'paintCover' | 'primerCover' | 'stainCover' | 'varnishCover' | 'skimCover' | 'paperSheet'
>

export interface TakeOff {
  readonly supplies: readonly Supply[]
  readonly gaps: readonly RateGap[]
}

/** A nail hole as filler sees it, 3/32 in across and 1/16 deep; a joint 1/16 wide and deep; an old hole 1/4 across and 1/2 deep. Common practice, no source. */
const HOLE = (Math.PI / 4) * (25_400_000 * (3 / 32)) ** 2 * 25_400_000 * (1 / 16)
const JOINT = (25_400_000 / 16) ** 2
const OLD_HOLE = (Math.PI / 4) * (25_400_000 / 4) ** 2 * (25_400_000 / 2)
/** As much filler again is scraped off. Common practice, no source. */
const FILLER_WASTE = 2
/** Fluid ounces of shellac a knot takes, of glue a miter. Common practice, no source. */
const KNOT_OUNCES = 0.05
const MITER_OUNCES = 0.02
/** A stick of hot glue: 7/16 across and 4 in long. Common practice, no source. */
const STICK = (Math.PI / 4) * (25_400_000 * (7 / 16)) ** 2 * 25_400_000 * 4
/** Feet of wall a dust sheet lies under, masks a wall that is cut and sanded takes. Common practice, no source. */
const SHEET_FEET = 12
const MASKS_A_WALL = 2
/** Props, or strips of tape, that a piece held by adhesive alone takes. Common practice, no source. */
const PROPS_A_PIECE = 2

/** What of a wall's seams is caulked, in nanometers. Between stained wood nothing is. */
export function caulked(facts: WallFacts, { caulk, trim }: Work): number {
  if (caulk === 'none' || trim === 'stained') return 0
  if (caulk === 'open') return facts.openSeams
  const { floor, ...others } = facts.seams
  void floor
  return Object.values(others).reduce((sum, each) => sum + each, 0)
}

const nailHoles = ({ nails }: WallFacts) => nails.reduce((sum, { holes }) => sum + holes, 0)
const bare = (facts: WallFacts) => facts.stuff.filter(({ steps }) => steps.includes('primeAll'))
/** What of a wall is painted as trim: faces, free edges, and the baseboard where it goes with them. */
const trimArea = ({ areas, baseArea, paints }: WallFacts) =>
  paints.trim === null ? 0 : areas.faces + areas.edges + baseArea

/** The grits a wall's trim is sanded with, by the school. */
export function gritsOf({ stuff }: Pick<WallFacts, 'stuff'>, { sanding }: Pick<Work, 'sanding'>): number[] {
  const fine = sanding === 'fine' || stuff.some(({ mdf }) => mdf)
  return fine ? [150, 220] : [150]
}

interface Part {
  readonly of: string | null
  readonly byWall: Record<string, number>
  readonly basis: Basis
}

function merged(a: Basis, b: Basis): Basis {
  const out: Record<string, unknown> = { ...a }
  const SUMMED = [
    'feet',
    'hollow',
    'beads',
    'dabs',
    'places',
    'holes',
    'joints',
    'old',
    'area',
    'knots',
    'count',
    'panels',
    'drops',
    'walls',
    'pieces',
  ]
  for (const key of SUMMED) {
    const [one, other] = [(a as never)[key], (b as never)[key]] as [unknown, unknown]
    if (typeof one === 'number' && typeof other === 'number') out[key] = one + other
  }
  return out as unknown as Basis
}

/** Everything a job, a room or a wall takes besides boards, by product, with what each rests on. */
export function takeOff(walls: readonly WallFacts[], settings: Settings): TakeOff {
  const { work } = settings
  const { spread } = work
  const parts = new Map<string, Part>()
  const add = (key: string, wall: string, amount: number, basis: Basis, of: string | null = null) => {
    if (!(amount > 0) || !Number.isFinite(amount)) return
    const known = parts.get(key)
    parts.set(key, {
      of,
      byWall: { ...known?.byWall, [wall]: (known?.byWall[wall] ?? 0) + amount },
      basis: known ? merged(known.basis, basis) : basis,
    })
  }
  const gaps = new Set<RateGap>()
  const more = 1 + spread.waste
  const packsOf = (key: string): readonly Pack[] => work.packs[key] ?? PRODUCT_RULES[productOf(key)].packs
  /** Fluid ounces that cover an area so many times; a rate of 0 is told. */
  const cover = (area: number, coats: number, rate: RateGap): number => {
    if (area <= 0 || coats <= 0) return 0
    if (spread[rate] <= 0) {
      gaps.add(rate)
      return 0
    }
    return (squareFeet(area) * coats * 128) / spread[rate]
  }
  const papers = new Map<
    string,
    { paper: Paper; heights: number[]; walls: { wall: string; drops: number }[] }
  >()

  for (const facts of walls) {
    const { wall, areas } = facts
    if (facts.pieces === 0 && facts.paper === null && facts.panels === null) continue
    const section = beadSection(spread.caulkBead, spread.caulkShape)
    const seam = caulked(facts, work)
    const hollow = seam > 0 ? facts.hollow * spread.caulkBead : 0
    add('caulk', wall, fluidOunces(seam * section + hollow) * more, {
      kind: 'seams',
      feet: feet(seam),
      bead: spread.caulkBead,
      perPack: feetPerPack(packsOf('caulk')[0]?.size ?? 0, spread.caulkBead, spread.caulkShape),
      hollow: fluidOunces(hollow),
    })
    add('adhesive', wall, fluidOunces(facts.held.glue) * more, {
      kind: 'glue',
      beads: feet(facts.held.beads),
      bead: spread.glueBead,
      dabs: facts.held.dabs,
    })
    add('hotGlue', wall, facts.held.hotGlue / STICK, { kind: 'run', feet: feet(facts.held.hotGlue) })
    add('mountTape', wall, feet(facts.held.tape), { kind: 'run', feet: feet(facts.held.tape) })
    for (const { kind, gauge, length, places, holes } of facts.nails)
      add(kind === 'pin' ? `pins/${gauge}/${length}` : `nails/${gauge}/${length}`, wall, holes, {
        kind: 'nails',
        places,
        holes,
        length,
        gauge,
      })
    const holes = nailHoles(facts)
    const old = work.prepare === 'none' ? 0 : work.oldHoles
    add(
      'filler',
      wall,
      fluidOunces((holes * HOLE + facts.joints.length * JOINT + old * OLD_HOLE) * FILLER_WASTE),
      { kind: 'filled', holes, joints: feet(facts.joints.length), old },
    )
    if (facts.textured || work.prepare === 'skim')
      add('skim', wall, cover(areas.field + areas.faces, 1, 'skimCover'), {
        kind: 'covered',
        area: squareFeet(areas.field + areas.faces),
        coats: 1,
        cover: spread.skimCover,
      })
    addFinish(facts)
    const softwood = facts.stuff
      .filter((stuff) => stuff.softwood)
      .reduce((sum, { length }) => sum + length, 0)
    const knots = (feet(softwood) / 10) * spread.knots
    if (work.trim === 'painted')
      add('shellac', wall, knots * KNOT_OUNCES, { kind: 'knots', feet: feet(softwood), knots })
    if (facts.pieces > 0) {
      const area = squareFeet(areas.faces + areas.edges)
      if (spread.paperSheet <= 0) gaps.add('paperSheet')
      else
        for (const grit of gritsOf(facts, work))
          add(`sandpaper/${grit}`, wall, area / spread.paperSheet, { kind: 'sanded', area, grit })
      add('mask', wall, MASKS_A_WALL, { kind: 'walls', walls: 1 })
    }
    add('tape', wall, feet(facts.taped), { kind: 'run', feet: feet(facts.taped) })
    add('miterGlue', wall, facts.joints.miters * MITER_OUNCES, { kind: 'miters', count: facts.joints.miters })
    add('props', wall, facts.propped * PROPS_A_PIECE, { kind: 'propped', pieces: facts.propped })
    add('dustSheet', wall, feet(facts.width) / SHEET_FEET, { kind: 'run', feet: feet(facts.width) })
    if (facts.panels)
      add(`panels/${facts.panels.sheet}`, wall, facts.panels.sheets, {
        kind: 'sheets',
        panels: facts.panels.pieces,
      })
    if (facts.paper?.paper.kind === 'mural') {
      const { paper, width, height } = facts.paper
      add(
        `mural/${wall}`,
        wall,
        1,
        { kind: 'mural', fit: muralFit(paper, width, height), panels: paper.panels },
        paper.name,
      )
    } else if (facts.paper) {
      const { paper, heights } = facts.paper
      const key = `paper/${paper.name === '' ? `${paper.width}-${paper.height}` : paper.name}`
      const known = papers.get(key) ?? { paper, heights: [], walls: [] }
      known.heights.push(...heights)
      known.walls.push({ wall, drops: heights.length })
      papers.set(key, known)
    }
  }

  function addFinish(facts: WallFacts) {
    const { wall, areas } = facts
    const trim = trimArea(facts)
    const raw = bare(facts).reduce((sum, { area }) => sum + area, 0)
    if (work.trim === 'stained') {
      for (const [key, rate, coats] of [
        ['stain', 'stainCover', 1],
        ['varnish', 'varnishCover', work.coats.trim],
      ] as const)
        add(key, wall, cover(trim, coats, rate) * more, {
          kind: 'covered',
          area: squareFeet(trim),
          coats,
          cover: spread[rate],
        })
    } else {
      // raw stuff is primed all round: its back is about as much as its face; joint compound drinks paint
      const skimmed = facts.textured || work.prepare === 'skim' ? areas.field : 0
      const primed = (facts.paints.trim === null ? 0 : raw * 2) + skimmed
      add('primer', wall, cover(primed, 1, 'primerCover') * more, {
        kind: 'covered',
        area: squareFeet(primed),
        coats: 1,
        cover: spread.primerCover,
      })
    }
    for (const use of ['trim', 'field', 'above'] as const) {
      const paint = facts.paints[use]
      if (paint === null || (use === 'trim' && work.trim === 'stained')) continue
      const area = use === 'trim' ? trim : areas[use]
      const coats = work.coats[use]
      const key = paint === 'open' ? `paint/open-${use}` : `paint/${paint}`
      add(
        key,
        wall,
        cover(area, coats, 'paintCover') * more,
        { kind: 'covered', area: squareFeet(area), coats, cover: spread.paintCover },
        paint === 'open' ? use : paint,
      )
    }
  }

  for (const [key, { paper, heights, walls: on }] of papers) {
    const { rolls, tooShort } = cutDrops(heights, paper)
    for (const { wall, drops } of on)
      add(
        key,
        wall,
        (rolls * drops) / Math.max(1, heights.length),
        { kind: 'drops', drops, repeat: paper.height, tooShort },
        paper.name,
      )
  }
  const order = Object.keys(PRODUCT_RULES)
  const supplies = [...parts]
    .map(([key, { of, byWall, basis }]): Supply => {
      const product = productOf(key)
      const sum = Object.values(byWall).reduce((all, each) => all + each, 0)
      const whole = PRODUCT_RULES[product].unit === 'pieces' ? Math.ceil(sum - 1e-9) : sum
      const sheetPrice = walls.find(({ panels }) => key === `panels/${panels?.sheet}`)?.panels?.price
      const packs =
        product === 'panels' && work.packs[key] === undefined
          ? [{ size: 1, price: sheetPrice ?? null }]
          : packsOf(key)
      const buy = packsFor(whole, packs)
      return { key, product, of, amount: whole, byWall, basis, packs, buy, cost: costOf(buy) }
    })
    .sort((a, b) => order.indexOf(a.product) - order.indexOf(b.product) || a.key.localeCompare(b.key))
  return { supplies, gaps: [...gaps] }
}
