import { type Length, nearestNanometer } from '~/length'
import type { BesideWall, Design, Material, Settings, Survey } from '~/model'
import { longestOf } from '../stock/offers'
import { type Obstacle, obstaclesOf } from '../survey/obstacles'
import { type WallLines, wallLines } from '../survey/wallLines'
import { type WallShape, wallShape } from '../survey/wallShape'
import { isLeaning, type Lean, leanedSpan, leanOf } from './lean'

/**
 * What a layout is made in, resolved once and handed on: the wall as read, what stands on it, the part that is covered, the
 * job's stuff by its id. Plain data, so that a worker can hand it over.
 */
export interface Field {
  readonly survey: Survey
  readonly design: Design
  readonly settings: Settings
  /** What its rails meet in the corners of the room. */
  readonly beside?: BesideWall
  readonly shape: WallShape
  readonly lines: WallLines
  /** How uprights lean on this wall. */
  readonly lean: Lean
  readonly obstacles: readonly Obstacle[]
  /** The part of the wall that is covered. */
  readonly left: Length
  readonly right: Length
  readonly materials: ReadonlyMap<string, Material>
  /** The longest usable length among the boards on sale, by material; none where no board is listed. */
  readonly longest: ReadonlyMap<string, number>
  /** How much longer a piece is cut where it is measured in place. */
  readonly allowance: Length
}

/** The lines with the span that leaning uprights have. */
function leaned(lines: WallLines, { left, right }: { left: number; right: number }): WallLines {
  return { ...lines, left: nearestNanometer(left), right: nearestNanometer(Math.max(left, right)) }
}

/** Resolves a wall, its design and the job's settings. */
export function fieldOf(survey: Survey, design: Design, settings: Settings, beside?: BesideWall): Field {
  const shape = wallShape(survey)
  const upright = wallLines(survey, shape, design.levelRule)
  const lean = leanOf(design, survey, shape, upright)
  const lines = isLeaning(lean) ? leaned(upright, leanedSpan(shape, upright, lean, survey.height)) : upright
  const left = nearestNanometer(Math.max(lines.left, design.extent?.left ?? -Infinity))
  return {
    survey,
    design,
    settings,
    ...(beside ? { beside } : {}),
    shape,
    lines,
    lean,
    obstacles: obstaclesOf(survey).filter(({ id }) => !lines.followed.includes(id)),
    left,
    right: nearestNanometer(Math.max(left, Math.min(lines.right, design.extent?.right ?? Infinity))),
    materials: new Map(settings.materials.map((material) => [material.id, material])),
    longest: longestOf(settings),
    allowance: settings.shop.allowance,
  }
}

/** The material of that id. Throws when the job does not have it: documents are checked on read. */
export function materialIn({ materials }: Pick<Field, 'materials'>, id: string): Material {
  const found = materials.get(id)
  if (!found) throw new Error(`no material '${id}' in the job`)
  return found
}
