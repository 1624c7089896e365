import type { LengthFormat } from '~/length'
import type { Workpiece } from '~/model'
import type { Plan } from './computePlan'
import { cutCards } from './cutting/cutCards'
import { jointRows } from './cutting/joints'
import { sawLimits } from './cutting/sawSetting'
import { planSetups, sawRows } from './cutting/setups'
import { toRelease } from './cutting/toRelease'
import { kitOf } from './marks/kit'
import { panelsOf } from './panels/panels'
import { said } from './saidLength'
import { planRipped } from './sheets/planRipped'

/** What a plan file says of the saw: set-ups, joints of runs, blocks, sheets that strips are ripped from, panels under the trim. */
export function saidOfSaw(workpiece: Workpiece, plan: Plan, format: LengthFormat) {
  const { settings } = workpiece
  const { cutList, pieces, layout } = plan
  const release = toRelease(plan, workpiece)
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))
  const cards = cutCards(
    cutList,
    (row) => {
      const piece = byId.get(row.pieceIds[0] ?? '')
      return { advice: release.adviceOf(row), ripTo: piece ? release.ripTo(piece) : null }
    },
    settings,
  )
  const setups = planSetups(sawRows(cards, settings.materials), sawLimits(settings.shop))
  const runs = jointRows(workpiece, layout, pieces).flatMap((row) => (row.kind === 'run' ? [row] : []))
  const sheets = planRipped(cutList, settings)
  const panels = panelsOf(workpiece, layout)
  return {
    setups: {
      count: setups.count,
      bound: setups.bound,
      proven: setups.proven,
      visits: setups.visits.map(({ setting, stop, firsts, lengths, turned }) => ({
        setting,
        stop: stop.kind === 'length' ? said(stop.length, format) : stop.kind,
        firsts,
        lengths,
        turned,
      })),
    },
    ...(runs.length > 0
      ? {
          joints: runs.map(({ run, joint, placed, joints }) => ({
            run,
            joint,
            placed,
            at: joints.map(({ at, onStud, inSight, inLine }) => ({
              ...said(at, format),
              onStud,
              inSight,
              inLine,
            })),
          })),
        }
      : {}),
    kit: kitOf(layout, pieces, settings.tape).map(({ id, kind, length }) => ({
      id,
      kind,
      length: said(length, format),
    })),
    ...(sheets.length > 0
      ? {
          sheets: sheets.map(({ sheet, result }) =>
            result.ok
              ? {
                  sheet: sheet.id,
                  cost: result.value.cost,
                  sheets: result.value.sheets.map(({ number, strips, left }) => ({
                    number,
                    left: said(left, format),
                    strips: strips.map(({ materialId, width, from, pieces: of }) => ({
                      material: materialId,
                      width: said(width, format),
                      from: said(from, format),
                      pieces: of.map(({ id, from: at, length }) => ({
                        piece: id,
                        from: said(at, format),
                        length: said(length, format),
                      })),
                    })),
                  })),
                }
              : { sheet: sheet.id, issue: result.issue },
          ),
        }
      : {}),
    ...(panels?.ok
      ? {
          panels: panels.value.panels.map(({ id, width, height, filler, cuts }) => ({
            id,
            width: said(width, format),
            height: said(height, format),
            filler,
            cuts: cuts.map((cut) => ({
              kind: cut.kind,
              thing: cut.thingId,
              across: [cut.left, cut.width, cut.right].map((each) => said(each, format)),
              up: [cut.bottom, cut.height, cut.top].map((each) => said(each, format)),
            })),
          })),
        }
      : {}),
  }
}
