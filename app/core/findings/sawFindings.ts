import { inches, nearestNanometer, ZERO } from '~/length'
import { type Edit, inForce, type Tool, usualSheets, type Workpiece } from '~/model'
import { toolFor } from '../cutting/cutCards'
import { jointRows, moveJoint } from '../cutting/joints'
import { otherWay, sawLimits, settingsOf } from '../cutting/sawSetting'
import { applyEdits } from '../edits/applyEdit'
import { laidOut } from '../edits/laidOut'
import type { Layout } from '../layout/layout'
import { panelsOf } from '../panels/panels'
import { rulesOf } from '../patterns/rules'
import type { Piece } from '../pieces'
import type { Finding, WayOut } from './finding'

/** Ends that the saw does not reach as it stands, the one that is farthest past it named. */
function pastSaw({ settings }: Workpiece, pieces: readonly Piece[]): Finding[] {
  const saw = sawLimits(settings.shop)
  const ends = pieces.flatMap(({ start, end, faceWidth, stripId }) =>
    [start, end].flatMap((cut, i) =>
      settingsOf(cut, i === 0, faceWidth, saw).flatMap((setting) => {
        const other = otherWay(setting, faceWidth, saw)
        // a piece turned over is cut as well as any
        return other && other.way !== 'turnOver' ? [{ stripId, setting, other }] : []
      }),
    ),
  )
  const worst = ends.reduce<(typeof ends)[number] | null>(
    (most, each) =>
      !most || each.setting.swingDeg + each.setting.tiltDeg > most.setting.swingDeg + most.setting.tiltDeg
        ? each
        : most,
    null,
  )
  if (!worst) return []
  const { swingDeg, hand, tiltDeg, tilt } = worst.setting
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'pastSaw',
        stripId: worst.stripId,
        setting: { swingDeg, hand, tiltDeg, tilt },
        other: worst.other,
        ends: ends.length,
      },
      stripIds: [...new Set(ends.map(({ stripId }) => stripId))],
      waysOut: [],
    },
  ]
}

/** Tools that a work on a piece could be done with, for who has them after all. */
const WORKS = {
  notch: ['jigsaw', 'handSaw'],
  lap: ['router', 'tableSaw'],
  cope: ['jigsaw', 'handSaw'],
} as const

function withoutTool({ settings }: Workpiece, pieces: readonly Piece[]): Finding[] {
  const { tools } = settings.shop
  return (['notch', 'lap', 'cope'] as const).flatMap((work): Finding[] => {
    const of = pieces.filter(({ notches, laps, start, end }) =>
      work === 'notch'
        ? notches.length > 0
        : work === 'lap'
          ? laps.length > 0
          : start.kind === 'cope' || end.kind === 'cope',
    )
    const [first] = of
    if (!first || toolFor(work, tools) !== null) return []
    return [
      {
        stage: 'buy',
        severity: 'watch',
        says: { code: 'noTool', stripId: first.stripId, work, pieces: of.length },
        stripIds: [...new Set(of.map(({ stripId }) => stripId))],
        waysOut: WORKS[work].map((tool: Tool): WayOut => ({
          says: { code: 'haveTool', tool },
          edits: [{ type: 'patchSettings', patch: { shop: { ...settings.shop, tools: [...tools, tool] } } }],
        })),
      },
    ]
  })
}

function kerfOverPiece({ settings }: Workpiece, pieces: readonly Piece[]): Finding[] {
  const { kerf } = settings.shop
  const short = pieces.filter(({ cutLength }) => cutLength <= kerf)
  const [first] = short
  if (!first) return []
  return [
    {
      stage: 'buy',
      severity: 'wrong',
      says: { code: 'kerfOverPiece', stripId: first.stripId, length: first.cutLength, kerf },
      stripIds: [...new Set(short.map(({ stripId }) => stripId))],
      waysOut: [
        {
          says: { code: 'thinnerKerf', kerf: inches(1 / 8) },
          edits: [{ type: 'patchSettings', patch: { shop: { ...settings.shop, kerf: inches(1 / 8) } } }],
        },
      ],
    },
  ]
}

function jointsThatGaveWay(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  return jointRows(workpiece, layout, pieces).flatMap((row): Finding[] =>
    row.kind === 'run' && row.gaveWay
      ? [
          {
            stage: 'buy',
            severity: 'watch',
            says: { code: 'jointGaveWay', stripId: row.stripId },
            stripIds: [row.stripId],
            waysOut: [{ says: { code: 'jointsByRule' }, edits: moveJoint(row, 0, null, workpiece) }],
          },
        ]
      : [],
  )
}

/** Strips that are to be ripped from a sheet that is gone, or that is narrower than they are. */
function rippedFindings({ settings }: Workpiece, pieces: readonly Piece[]): Finding[] {
  const { shop, materials } = settings
  return [...new Set(pieces.map(({ materialId }) => materialId))].flatMap((materialId): Finding[] => {
    const sheetId = shop.ripped[materialId]
    const material = materials.find(({ id }) => id === materialId)
    if (sheetId === undefined || !material) return []
    const { [materialId]: _, ...others } = shop.ripped
    const waysOut: WayOut[] = [
      {
        says: { code: 'buyStrips', materialId },
        edits: [{ type: 'patchSettings', patch: { shop: { ...shop, ripped: others } } }],
      },
    ]
    const sheet = shop.sheets.find(({ id }) => id === sheetId)
    const stripIds = pieces.filter((piece) => piece.materialId === materialId).map(({ stripId }) => stripId)
    const said = { stage: 'buy', severity: 'wrong', stripIds: [...new Set(stripIds)], waysOut } as const
    if (!sheet) return [{ ...said, says: { code: 'sheetMissing', of: 'strips', materialId } }]
    const across = nearestNanometer(sheet.width - 2 * sheet.edge)
    return material.width > across
      ? [{ ...said, says: { code: 'widerThanSheet', materialId, width: material.width, sheet: across } }]
      : []
  })
}

/** Strips set on studs so that one comes over every seam, where that can be. */
function coverSeams(workpiece: Workpiece): WayOut[] {
  const { wall } = workpiece
  const { studs } = wall.survey.behind
  const design = inForce(wall.design)
  if (studs.length === 0 || rulesOf(design).places !== 'uprights') return []
  for (const every of [3, 2, 1]) {
    const edits: Edit[] = [
      { type: 'patchDesign', patch: { spacing: { school: 'toStuds', every }, shift: ZERO } },
    ]
    const now = applyEdits(workpiece, edits)
    const layout = laidOut(workpiece, edits)
    const found = layout.spacingIssue === null ? panelsOf(now, layout) : null
    if (found?.ok && found.value.seams.every(({ coveredBy }) => coveredBy !== null))
      return [{ says: { code: 'coverSeams', strips: layout.uprights.length }, edits }]
  }
  return []
}

/** What the backer asks for: a sheet, room, a look at the boxes behind it, strips over its seams. */
function backerFindings(workpiece: Workpiece, layout: Layout): Finding[] {
  const found = panelsOf(workpiece, layout)
  if (!found) return []
  const { shop } = workpiece.settings
  const away: WayOut = {
    says: { code: 'noBacker' },
    edits: [{ type: 'patchDesign', patch: { backer: null } }],
  }
  if (!found.ok) {
    const backer = inForce(workpiece.wall.design).backer
    const sheets = usualSheets(inches(1 / 4)).slice(1)
    const [sheet] = sheets
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says:
          found.issue.code === 'noSheet'
            ? { code: 'sheetMissing', of: 'backer', materialId: null }
            : { code: 'backerNoRoom', from: found.issue.from, to: found.issue.to },
        stripIds: [],
        waysOut: [
          ...(found.issue.code === 'noSheet' && sheet && backer
            ? [
                {
                  says: { code: 'listSheets' as const },
                  edits: [
                    {
                      type: 'patchSettings' as const,
                      patch: {
                        shop: {
                          ...shop,
                          sheets: [...shop.sheets.filter(({ id }) => id !== sheet.id), sheet],
                        },
                      },
                    },
                    { type: 'patchDesign' as const, patch: { backer: { ...backer, sheet: sheet.id } } },
                  ],
                },
              ]
            : []),
          away,
        ],
      },
    ]
  }
  const { plates, sheet, seams } = found.value
  const [box] = plates
  const bare = seams.filter(({ coveredBy, onStud }) => coveredBy === null || !onStud)
  const [seam] = bare
  return [
    ...(box
      ? [
          {
            stage: 'layout' as const,
            severity: 'watch' as const,
            says: {
              code: 'boxBehindPanel' as const,
              thickness: sheet.thickness,
              boxes: plates.length,
              wide: plates.filter(({ gangs }) => gangs > 1).length,
              thingId: box.thingId,
            },
            stripIds: [],
            waysOut: [],
          },
        ]
      : []),
    ...(seam
      ? [
          {
            stage: 'layout' as const,
            severity: 'note' as const,
            says: {
              code: 'seamShows' as const,
              at: seam.at,
              seams: bare.length,
              offStud: !seam.onStud,
            },
            stripIds: [],
            waysOut: coverSeams(workpiece),
          },
        ]
      : []),
  ]
}

/** What the saw and the tools do not make as they are, joints that gave way, and the skin of sheets. */
export function sawFindings(workpiece: Workpiece, layout: Layout, pieces: readonly Piece[]): Finding[] {
  return [
    ...pastSaw(workpiece, pieces),
    ...withoutTool(workpiece, pieces),
    ...kerfOverPiece(workpiece, pieces),
    ...jointsThatGaveWay(workpiece, layout, pieces),
    ...rippedFindings(workpiece, pieces),
    ...backerFindings(workpiece, layout),
  ]
}
