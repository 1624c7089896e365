import type { Survey } from '~/model'
import type { Plan } from '../computePlan'
import { type Polygon, rectangle } from '../geometry'
import type { Role } from '../pieces'

/** One thing on the drawing, in wall units, y up. Ids are stable while the thing keeps its place in the plan. */
export type SceneNode =
  | { readonly kind: 'wall'; readonly id: string; readonly polygon: Polygon }
  /** The part of the wall the layout covers, painted with it. */
  | { readonly kind: 'field'; readonly id: string; readonly polygon: Polygon }
  | {
      readonly kind: 'running'
      readonly id: 'baseboard' | 'crown'
      readonly polygon: Polygon
      readonly kept: boolean
    }
  | {
      readonly kind: 'strip'
      readonly id: string
      readonly stripId: string
      readonly role: Role
      readonly polygon: Polygon
    }
  | {
      readonly kind: 'gap'
      readonly id: string
      readonly left: number
      readonly right: number
      readonly bottom: number
      readonly top: number
    }

/** The drawing as plain data. `width` and `height` are the wall's. */
export interface Scene {
  readonly width: number
  readonly height: number
  readonly nodes: readonly SceneNode[]
}

function runningNodes(survey: Survey): SceneNode[] {
  const { baseboard, crown, width, height } = survey
  const nodes: SceneNode[] = []
  if (baseboard)
    nodes.push({
      kind: 'running',
      id: 'baseboard',
      kept: baseboard.fate === 'keep',
      polygon: rectangle(0, 0, width, baseboard.height),
    })
  if (crown)
    nodes.push({
      kind: 'running',
      id: 'crown',
      kept: crown.fate === 'keep',
      polygon: rectangle(0, height - crown.height, width, height),
    })
  return nodes
}

function fieldNodes({ layout }: Plan, survey: Survey): SceneNode[] {
  const top = Math.min(layout.top, layout.lines.headLine)
  if (top <= layout.lines.baseTop) return []
  return [{ kind: 'field', id: 'field', polygon: rectangle(0, layout.lines.baseTop, survey.width, top) }]
}

/** Draws a plan: the wall, what stays on it, the strips, and the spaces between them. */
export function buildScene(plan: Plan, survey: Survey): Scene {
  const { layout } = plan
  const edges = [
    0,
    ...layout.battens.flatMap((batten) => [batten.left as number, batten.right as number]),
    survey.width as number,
  ]
  const gaps: SceneNode[] = []
  for (let i = 0; i + 1 < edges.length && layout.battens.length > 0; i += 2) {
    const [left, right] = [edges[i] ?? 0, edges[i + 1] ?? 0]
    if (right > left)
      gaps.push({
        kind: 'gap',
        id: `gap-${i / 2}`,
        left,
        right,
        bottom: layout.battenFoot,
        top: layout.battenHead,
      })
  }
  return {
    width: survey.width,
    height: survey.height,
    nodes: [
      { kind: 'wall', id: 'wall', polygon: rectangle(0, 0, survey.width, survey.height) },
      ...fieldNodes(plan, survey),
      ...runningNodes(survey),
      ...gaps,
      ...plan.pieces.map((piece): SceneNode => ({
        kind: 'strip',
        id: piece.id,
        stripId: piece.stripId,
        role: piece.role,
        polygon: piece.polygon,
      })),
    ],
  }
}
