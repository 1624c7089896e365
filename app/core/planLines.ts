import type { LengthFormat } from '~/length'
import type { Workpiece } from '~/model'
import { placeArch } from './companions/arch'
import { placeRow } from './companions/itemRow'
import { sawAdvice } from './cutting/batch'
import { lineOrder } from './cutting/lineOrder'
import { lineLook } from './judgement/lineLook'
import type { Layout } from './layout/layout'
import { lineMarks } from './marks/lineMarks'
import type { Piece } from './pieces'
import { said } from './saidLength'

/**
 * What a plan file says of a design in lines: what each move came to, the marks by what they are made on, which slants are alike, how it
 * weighs; and of arches and rows, how they are struck and where they hang. Each is left out where there is none.
 */
export function saidOfLines(
  layout: Layout,
  pieces: readonly Piece[],
  workpiece: Workpiece,
  format: LengthFormat,
) {
  const { moves } = layout
  const { arches, rows } = layout.design.companions
  const length = (value: number) => said(Math.round(value), format)
  const look = lineLook(layout, pieces)
  const { settings } = workpiece
  const marks = lineMarks(layout, pieces, settings.tape)
  return {
    ...(moves
      ? {
          lines: {
            moves: moves.moves.map(({ id, kind, on, stripIds, issues }) => ({
              id,
              kind,
              on,
              strips: stripIds,
              issues,
            })),
            marks: marks.map(({ on, marks: made, spacer }) => ({
              on,
              marks: made.map(({ pieceId, end, near, far }) => ({
                piece: pieceId,
                end,
                near: said(near.tick, format),
                far: said(far.tick, format),
              })),
              spacer: spacer && {
                along: said(spacer.along.tick, format),
                square: said(spacer.square.tick, format),
              },
            })),
            order: lineOrder(layout, pieces, marks),
            groups: sawAdvice({ layout, pieces }, workpiece)
              .groups()
              .map(({ moveId, pieces: count, alike, short, differs, advice }) => ({
                move: moveId,
                pieces: count,
                alike,
                short,
                differs: said(differs, format),
                way: advice.advice,
              })),
            ...(look ? { look } : {}),
          },
        }
      : {}),
    ...(arches.length > 0
      ? {
          arches: arches.map((arch) => {
            const placed = placeArch(arch, layout)
            return {
              id: arch.id,
              struck: placed && {
                apex: length(placed.apex),
                curve: length(placed.struck.length),
                centers: placed.centers.map(({ x, y, string, outer }) => ({
                  x: length(x),
                  y: length(y),
                  string: length(string),
                  outer: outer === null ? null : length(outer),
                })),
                offsets: placed.offsets.map(({ from, height }) => ({
                  from: length(from),
                  height: length(height),
                })),
              },
            }
          }),
        }
      : {}),
    ...(rows.length > 0
      ? {
          rows: rows.map((row) => {
            const placed = placeRow(row, layout, pieces, (id) => layout.materials.get(id)?.thickness ?? 0)
            return {
              id: row.id,
              items: placed?.items.map(({ name, left, width, lies }) => ({
                name,
                left: length(left),
                right: length(left + width),
                lies,
              })),
              packing: placed?.packing ? said(placed.packing, format) : null,
            }
          }),
        }
      : {}),
  }
}
