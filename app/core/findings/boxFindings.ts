import { inForce, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import type { Finding } from './finding'

/** Boxes that are left out, since a thing that strips are cut round would part their frames: by the thing, with what else can be done. */
export function boxFindings({ wall }: Workpiece, layout: Layout): Finding[] {
  const { things } = wall.survey
  const { meets } = inForce(wall.design)
  return things.flatMap((thing): Finding[] => {
    const boxes = layout.broken.filter(({ thingIds }) => thingIds.includes(thing.id)).length
    if (boxes === 0) return []
    return [
      {
        stage: 'layout',
        severity: 'wrong',
        says: { code: 'boxBroken', boxes, thingId: thing.id, kind: thing.kind },
        stripIds: [],
        waysOut: [
          {
            says: { code: 'splitAround', kind: thing.kind },
            edits: [{ type: 'patchDesign', patch: { meets: { ...meets, [thing.id]: 'clear' } } }],
          },
          {
            says: { code: 'removeThing', kind: thing.kind },
            edits: [
              {
                type: 'patchSurvey',
                patch: {
                  things: things.map((each) => (each === thing ? { ...each, fate: 'remove' } : each)),
                },
              },
            ],
          },
        ],
        blocks: { key: `boxes.${thing.id}`, figure: boxes },
      },
    ]
  })
}
