import { ZERO } from '~/length'
import { type Edit, inForce, sharedOf } from '~/model'
import { layOut } from '../layout/layOutWall'
import { rulesOf } from '../patterns/rules'
import { railId } from '../strips/stripId'
import type { WallOfRoom } from './matchWalls'

/**
 * The edits that lay every other wall of a room out like one of them: same pattern, material, rails and height, its
 * height typed so that rails run on round the corners. What belongs to a wall alone (its corners, what it does at
 * things that stand on it, its counts) is left to it; a locked wall is left as it is.
 */
export function roomLayoutEdits(walls: readonly WallOfRoom[], like: string): Map<string, Edit[]> {
  const model = walls.find(({ id }) => id === like)
  const edits = new Map<string, Edit[]>()
  if (!model) return edits
  const { survey } = model.workpiece.wall
  const design = inForce(model.workpiece.wall.design)
  const layout = layOut(survey, design, model.workpiece.settings)
  const tops = new Map(layout.bands.map(({ id, top }) => [id, top]))
  for (const { id, workpiece } of walls) {
    if (id === like || inForce(workpiece.wall.design).locked) continue
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
          sectionOwn: {},
          shift: ZERO,
          fillers: null,
        },
      },
    ])
  }
  return edits
}
