import { ZERO } from '~/length'
import { type Design, type Edit, inForce, sharedOf } from '~/model'
import { layOutStanding } from '../layout/layOutWall'
import { rulesOf } from '../patterns/rules'
import { railId } from '../strips/stripId'
import type { WallOfRoom } from './matchWalls'

/**
 * The edits that lay every other wall of a room out like one of them: same pattern, material, rails and height, its
 * height typed so that rails run on round the corners. What belongs to a wall alone (its corners, what it does at
 * things that stand on it) is left to it; so are a locked wall and one that is left out. Counts go by the wish, or, where
 * `counts` is `own`, stay as each wall has them.
 */
export function roomLayoutEdits(
  walls: readonly WallOfRoom[],
  like: string,
  counts: 'wish' | 'own' = 'wish',
): Map<string, Edit[]> {
  const model = walls.find(({ id }) => id === like)
  const edits = new Map<string, Edit[]>()
  if (!model) return edits
  const { survey } = model.workpiece.wall
  const design = inForce(model.workpiece.wall.design)
  const layout = layOutStanding(survey, design, model.workpiece.settings)
  const tops = new Map(layout.bands.map(({ id, top }) => [id, top]))
  for (const { id, workpiece } of walls) {
    const own = inForce(workpiece.wall.design)
    if (id === like || own.locked || own.apart) continue
    const onBase = workpiece.wall.survey.baseboard?.fate === 'keep'
    edits.set(id, [
      {
        type: 'patchDesign',
        patch: {
          ...sharedOf(design),
          foot: design.foot.kind === 'baseboard' && !onBase ? { kind: 'floor' } : design.foot,
          height: design.height.rule === 'full' ? design.height : { rule: 'typed', value: layout.height },
          rails: design.rails.map((rail) => {
            const top = tops.get(railId(rail.id))
            return top === undefined || rail.top.rule === 'full'
              ? rail
              : { ...rail, top: { rule: 'typed', value: top } }
          }),
          ...rulesOf(design).withoutCount(design),
          ...(counts === 'own' ? ownCounts(design, own) : { sectionOwn: {} }),
          shift: ZERO,
          fillers: null,
        },
      },
    ])
  }
  return edits
}

/** What a wall laid out like another keeps of its own counts: only those of the same pattern mean the same. */
function ownCounts(like: Design, own: Design): Partial<Design> {
  if (like.pattern !== own.pattern) return { sectionOwn: {} }
  if (rulesOf(like).places === 'margins') return { boxes: { ...like.boxes, count: own.boxes.count } }
  const strips = 'strips' in own.spacing ? own.spacing.strips : null
  return like.spacing.school === 'nearWish' && strips !== null ? { spacing: { ...like.spacing, strips } } : {}
}
