import type { LengthFormat } from '~/length'
import type { Workpiece } from '~/model'
import { askMatters } from './asbuilt/matters'
import type { Plan } from './computePlan'
import { flatAdvice } from './cutting/flat'
import { bracketsOf } from './layout/brackets'
import { sightOf } from './layout/sight'
import { blockCards } from './marks/blocks'
import { saidOfLines } from './planLines'
import { saidOfSaw } from './planSaw'
import { said } from './saidLength'
import { preparationsOf } from './stock/preparing'
import { usualMisses } from './survey/usualMisses'

/**
 * What a plan file says besides marks, pieces and boards: the blocks by what they stand on, how uprights stand, strips that the wall is
 * not flat behind, brackets, what the stuff needs before paint, and the readings to take again. Each is left out where there is none.
 */
export function saidOfWall(
  workpiece: Workpiece,
  plan: Plan,
  format: LengthFormat,
  /** When no more figures are asked for. */
  over: () => boolean = () => false,
) {
  const { layout, pieces } = plan
  const { settings } = workpiece
  const flat = flatAdvice(pieces, workpiece)
  const brackets = bracketsOf(layout, pieces)
  const sight = sightOf(layout)
  const leans = sight !== null && layout.design.stand.kind !== 'plumb'
  const { suspects, unasked } = askMatters(workpiece, usualMisses(settings.units), over)
  return {
    blocks: blockCards(layout, settings.tape).map(({ datum, blocks }) => ({
      from: datum,
      blocks: blocks.map(({ kind, bandId, row, length }) => ({
        kind,
        carries: bandId ?? `row ${row}`,
        length: said(length.tick, format),
      })),
    })),
    ...(leans
      ? {
          stand: {
            ...layout.design.stand,
            offPlumb: said(sight.offPlumb, format),
            leftCorner: said(sight.leftCorner, format),
            rightCorner: said(sight.rightCorner, format),
            offFloor: said(sight.offFloor, format),
            offCeiling: said(sight.offCeiling, format),
          },
        }
      : {}),
    ...(flat.length > 0
      ? {
          flat: flat.map(({ pieceId, behind, way, tooFar }) => ({
            piece: pieceId,
            shape: behind.shape,
            depth: said(behind.depth, format),
            length: said(behind.length, format),
            at: said(behind.at, format),
            // what a seam on one side has to fill, for the caulk to come
            seamSquareNm: behind.area,
            way,
            tooFar,
          })),
        }
      : {}),
    ...(brackets.length > 0
      ? {
          brackets: brackets.map(({ bandId, x, y, arm }) => ({
            under: bandId,
            x: said(Math.round(x), format),
            y: said(Math.round(y), format),
            arm: said(arm, format),
          })),
        }
      : {}),
    preparations: preparationsOf(pieces, workpiece).map(({ materialId, make, steps, length, ends }) => ({
      material: materialId,
      make,
      steps,
      length: said(length, format),
      ends,
    })),
    ...saidOfLines(layout, pieces, workpiece, format),
    ...saidOfSaw(workpiece, plan, format),
    readAgain: suspects.map(({ key, value, misses }) => ({
      figure: key,
      value: said(value, format),
      misses: misses.map(({ by, scrap, trim }) => ({ by: said(by, format), scrap, trim })),
    })),
    // figures read once that there was no time to ask for: more may matter
    ...(unasked > 0 ? { readAgainUnasked: unasked } : {}),
  }
}
