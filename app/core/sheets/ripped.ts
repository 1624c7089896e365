import { inches, type Length, type Result } from '~/length'
import type { Material, Settings, Sheet } from '~/model'
import { makeOf } from '../stock/preparing'
import type { CutRow } from '../pieces'
import { planBoardsQuickly } from '../stock'
import type { SheetDemand, SheetIssue, SheetPlan } from './stripSheets'

/** Whether a sheet can give a material: as thick, and of the same stuff; of plywood anything square is ripped. */
export function givesStrips({ thickness, stuff }: Sheet, material: Material): boolean {
  const make = makeOf(material)
  if (material.thickness !== thickness || make?.profile === 'molded') return false
  return !make || stuff === 'plywood' || make.stuff === stuff
}

/** What materials that are ripped from one sheet ask of it. */
export function demandsOf(cutList: readonly CutRow[], settings: Settings, sheetId: string): SheetDemand[] {
  return settings.materials
    .filter(({ id }) => settings.shop.ripped[id] === sheetId)
    .map(({ id, width }) => ({
      materialId: id,
      width,
      pieces: cutList
        .filter(({ materialId }) => materialId === id)
        .flatMap(({ pieceIds, label, cutLength }) =>
          pieceIds.map((pieceId) => ({ id: pieceId, label, length: cutLength })),
        ),
    }))
    .filter(({ pieces }) => pieces.length > 0)
}

/** The same pieces bought as strips: how many, and what they cost as far as prices are known; null where none is on sale. */
export interface BoughtReady {
  readonly boards: number
  readonly cost: number | null
}

export function boughtReady(demands: readonly SheetDemand[], { shop }: Settings): BoughtReady | null {
  const plans = demands.map(({ materialId, pieces }) =>
    planBoardsQuickly({
      materialId,
      kerf: shop.kerf,
      endTrim: shop.endTrim,
      pieces,
      offers: shop.offers
        .filter(({ material }) => material === materialId)
        .map(({ id, length, price }) => ({ id, length, price })),
    }),
  )
  const made = plans.flatMap((plan) => (plan.ok ? [plan.value] : []))
  if (made.length < plans.length) return null
  return {
    boards: made.reduce((sum, { boards }) => sum + boards.length, 0),
    cost: made.reduce<number | null>(
      (sum, { cost }) => (sum === null || cost === null ? null : sum + cost),
      0,
    ),
  }
}

// A minute and a half a rip, six to carry, mark and square a sheet. Common practice, no source.
const MINUTES_A_RIP = 1.5
const MINUTES_A_SHEET = 6

/** What ripping takes besides money: minutes, and the dust of its kerfs in cubic nanometers. */
export function ripWork({ sheets, sheet }: SheetPlan, kerf: Length): { minutes: number; dust: number } {
  const rips = sheets.reduce((sum, { strips }) => sum + strips.length, 0)
  return {
    minutes: Math.round(rips * MINUTES_A_RIP + sheets.length * MINUTES_A_SHEET),
    dust: rips * kerf * sheet.length * sheet.thickness,
  }
}

/** Cubic nanometers as cubic inches. */
export function cubicInches(volume: number): number {
  return volume / inches(1) ** 3
}

/** A plan beside that of another size of sheet. */
export interface SheetOffer {
  readonly sheet: Sheet
  readonly result: Result<SheetPlan, SheetIssue>
}
