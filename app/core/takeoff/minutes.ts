import type { Work, WorkRates } from '~/model'
import { caulked, gritsOf } from './supplies'
import { feet, squareFeet } from './volumes'
import type { WallFacts } from './wallFacts'

/** Work on a wall that takes time. */
export const ACTIVITIES = [
  'remove',
  'fillOld',
  'skim',
  'sandWall',
  'panels',
  'mark',
  'prepare',
  'cut',
  'fit',
  'trimBack',
  'fill',
  'sandFill',
  'caulk',
  'trimCoat',
  'fieldCoat',
  'aboveCoat',
  'paper',
  'plates',
] as const
export type Activity = (typeof ACTIVITIES)[number]

/** Minutes a plate takes to go back on, a piece of side trim, a board's touch of sandpaper after filling. A guess of ours, no source. */
const PLATE = 4
const TRIM_BACK = 12
/** Sanding what was filled takes so much of filling it; sanding a wall so much of skimming it. A guess of ours, no source. */
const SAND_PART = 0.5

/** Minutes by the hour's rate; nothing can be worked out with a rate of 0, and it is told elsewhere. */
const byHour = (amount: number, rate: number) => (amount <= 0 || rate <= 0 ? 0 : (amount / rate) * 60)

/** Minutes each activity takes on one wall; a coat is one coat. */
export function minutesOf(facts: WallFacts, work: Work): Record<Activity, number> {
  const { rates, paintWith } = work
  const { areas, paints } = facts
  const holes = facts.nails.reduce((sum, nails) => sum + nails.holes, 0)
  const old = work.prepare === 'none' || facts.pieces === 0 ? 0 : work.oldHoles
  const isSkimmed = facts.pieces > 0 && (facts.textured || work.prepare === 'skim')
  const skin = isSkimmed ? squareFeet(areas.field + areas.faces) : 0
  const fill = byHour(holes + facts.joints.count, rates.fillOne)
  const wall = (area: number) => byHour(squareFeet(area), rates.wallFeet[paintWith])
  const base = paints.trim === null ? 0 : wall(facts.baseArea)
  const drops =
    facts.paper?.paper.kind === 'mural' ? facts.paper.paper.panels : (facts.paper?.heights.length ?? 0)
  return {
    remove: byHour(feet(facts.comesOff.length), rates.removeFeet),
    fillOld: byHour(old, rates.fillOne),
    skim: byHour(skin, rates.skimFeet),
    sandWall: byHour(skin, rates.skimFeet) * SAND_PART + byHour(old, rates.fillOne) * SAND_PART,
    panels: (facts.panels?.pieces ?? 0) * rates.sheetOne,
    mark: facts.strips * rates.markOne,
    prepare: facts.boards * rates.sandBoard * gritsOf(facts, work).length,
    cut: facts.pieces * rates.cutOne + facts.setUps * rates.setUp,
    fit: facts.pieces * rates.fitOne,
    trimBack: facts.goesBack.pieces * TRIM_BACK,
    fill,
    sandFill: fill * SAND_PART,
    caulk: byHour(feet(caulked(facts, work)), rates.caulkFeet),
    trimCoat: paints.trim === null ? 0 : facts.boards * rates.coatBoard[paintWith] + base,
    fieldCoat: paints.field === null ? 0 : wall(areas.field),
    aboveCoat: paints.above === null ? 0 : wall(areas.above),
    paper: drops * rates.dropOne,
    plates: facts.plates * PLATE,
  }
}

/** Rates of 0 with which a time can't be worked out, or that make work take none. */
export function ratesOfNothing({ rates, paintWith }: Work): (keyof WorkRates)[] {
  return (Object.keys(rates) as (keyof WorkRates)[]).filter((key) => {
    const rate = rates[key]
    return (typeof rate === 'number' ? rate : rate[paintWith]) <= 0
  })
}
