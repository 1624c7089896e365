import { type Length, nearestNanometer, tickOf, ZERO } from '~/length'
import type { Settings, Tool } from '~/model'
import { type Layout, liesFlat } from '../layout/layout'
import type { CutRow, EndCut, Piece } from '../pieces'
import type { BatchAdvice } from './batchAdvice'
import { detentAt, otherWay, type OtherWay, type SawLimits, sawLimits, type SawSetting } from './sawSetting'
import { rowSettingKey, rowSettings } from './setups'

/** One cut of a card: the setting, where the scale clicks in, and how else it is made where the saw does not reach it. */
export interface SawCut extends SawSetting {
  readonly detent: number | null
  readonly other: OtherWay | null
}

/** What is done to a piece besides its two ends, and with what of the crew's tools; null where they have none for it. */
export interface HandWork {
  readonly work: 'notch' | 'lap' | 'cope' | 'rip' | 'point'
  readonly count: number
  readonly tool: Tool | null
}

/** All a card says besides the piece itself. */
export interface CutCard {
  readonly row: CutRow
  readonly group: string
  readonly advice: BatchAdvice
  readonly start: readonly SawCut[]
  readonly end: readonly SawCut[]
  /** Cut so much over and crept up on, where the length is measured in place; null for a batch. */
  readonly creep: Length | null
  /** Ripped from the stuff's width to the piece's, first. */
  readonly rip: { readonly from: Length; readonly to: Length } | null
  readonly work: readonly HandWork[]
}

const FOR_WORK: Readonly<Record<HandWork['work'], readonly Tool[]>> = {
  notch: ['jigsaw', 'rotary', 'handSaw', 'tableSaw'],
  lap: ['router', 'tableSaw', 'handSaw'],
  cope: ['jigsaw', 'handSaw'],
  rip: ['tableSaw', 'ripGuide'],
  point: ['miterSaw', 'handSaw', 'ripGuide', 'jigsaw'],
}

/**
 * How much longer than planned a piece is first cut, in whole ticks: the shop's allowance, or how far the wall differs there where that is
 * more. Nothing for a batch. The card says it and the board keeps it.
 */
export function cutLongBy({ advice, spread }: BatchAdvice, { shop, tape }: Settings): Length {
  if (advice === 'batch') return ZERO
  const tick = tickOf(tape)
  return nearestNanometer(
    Math.max(Math.round(shop.allowance / tick) * tick, Math.ceil(spread / tick - 1e-9) * tick),
  )
}

/** The first of the crew's tools that does a work; null where they have none. */
export function toolFor(work: HandWork['work'], tools: readonly Tool[]): Tool | null {
  return FOR_WORK[work].find((tool) => tools.includes(tool)) ?? null
}

function cutsOf(settings: readonly SawSetting[], faceWidth: number, saw: SawLimits): SawCut[] {
  return settings.map((setting) => ({
    ...setting,
    detent: detentAt(setting.swingDeg, saw.detents),
    other: otherWay(setting, faceWidth, saw),
  }))
}

/** The width a piece is ripped to first: a cap or shelf that lies flat to its depth, others to their face; null where it is as it came. */
export function ripTo({ stripId, faceWidth, materialId }: Piece, layout: Layout): Length | null {
  const band = layout.bands.find(({ id }) => id === stripId)
  const stuff = layout.materials.get(materialId)
  if (!stuff) return null
  const width = band && liesFlat(band) && faceWidth === stuff.thickness ? band.standsOut : faceWidth
  return width < stuff.width ? width : null
}

/** What of a row is not its shape: how it is measured, and what it is ripped to. */
export interface RowFacts {
  readonly advice: BatchAdvice
  readonly ripTo: Length | null
}

/** The cards of a list, in its order: everything it takes to cut a row, with the job's saw and tools. */
export function cutCards(
  rows: readonly CutRow[],
  factsOf: (row: CutRow) => RowFacts,
  settings: Settings,
): CutCard[] {
  const { shop, materials } = settings
  const saw = sawLimits(shop)
  return rows.map((row): CutCard => {
    const { advice, ripTo: to } = factsOf(row)
    const { start, end } = rowSettings(row, saw)
    const from = materials.find(({ id }) => id === row.materialId)?.width
    const copes = [row.start, row.end].filter(({ kind }: EndCut) => kind === 'cope').length
    const points = [start, end].filter((each) => each.length > 1).length
    const work: [HandWork['work'], number][] = [
      ['rip', to === null ? 0 : 1],
      ['point', points],
      ['cope', copes],
      ['notch', row.notches.length],
      ['lap', row.laps.length],
    ]
    return {
      row,
      group: [row.materialId, rowSettingKey(row, saw)].join(' '),
      advice,
      start: cutsOf(start, row.faceWidth, saw),
      end: cutsOf(end, row.faceWidth, saw),
      creep: advice.advice === 'batch' ? null : cutLongBy(advice, settings),
      rip: to === null || from === undefined ? null : { from, to },
      work: work.flatMap(([each, count]) =>
        count > 0 ? [{ work: each, count, tool: toolFor(each, shop.tools) }] : [],
      ),
    }
  })
}

/** Cards of one stuff and one pair of settings. */
export interface CardGroup {
  readonly materialId: string
  readonly start: readonly SawCut[]
  readonly end: readonly SawCut[]
  readonly cards: readonly CutCard[]
}

/** Cards by stuff, then by how the saw stands, square cuts first; in each the longest stop first. */
export function cardGroups(cards: readonly CutCard[]): CardGroup[] {
  const groups = new Map<string, CutCard[]>()
  for (const card of cards) groups.set(card.group, [...(groups.get(card.group) ?? []), card])
  const materials = [...new Set(cards.map(({ row }) => row.materialId))]
  const turned = (card: CutCard) =>
    Math.max(0, ...[...card.start, ...card.end].map(({ swingDeg, tiltDeg }) => swingDeg + tiltDeg))
  return [...groups.values()]
    .flatMap((of): CardGroup[] => {
      const sorted = [...of].sort((a, b) => b.row.cutLength - a.row.cutLength)
      const [first] = sorted
      return first
        ? [{ materialId: first.row.materialId, start: first.start, end: first.end, cards: sorted }]
        : []
    })
    .sort((a, b) => {
      const [one, other] = [a.cards[0], b.cards[0]]
      return (
        materials.indexOf(a.materialId) - materials.indexOf(b.materialId) ||
        (one && other ? turned(one) - turned(other) || other.row.cutLength - one.row.cutLength : 0)
      )
    })
}
