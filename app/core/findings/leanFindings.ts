import { nearestNanometer } from '~/length'
import { inForce, type Workpiece } from '~/model'
import type { Layout } from '../layout/layout'
import { sightOf } from '../layout/sight'
import type { Finding } from './finding'

/** The eye takes an upright for plumb within so much of its height. Common practice, no source. */
const SEEN_BEYOND = 1 / 150

/** Uprights that lean so far that anyone sees it. */
export function leanFindings({ wall }: Workpiece, layout: Layout): Finding[] {
  const sight = sightOf(layout)
  const over = layout.uprightHead - layout.uprightFoot
  if (!sight || Math.abs(sight.offPlumb) <= over * SEEN_BEYOND) return []
  return [
    {
      stage: 'layout',
      severity: 'watch',
      says: {
        code: 'leansFar',
        by: nearestNanometer(sight.offPlumb),
        school: inForce(wall.design).stand.kind,
      },
      stripIds: [],
      waysOut: [
        {
          says: { code: 'standPlumb' },
          edits: [{ type: 'patchDesign', patch: { stand: { kind: 'plumb' } } }],
        },
      ],
    },
  ]
}
