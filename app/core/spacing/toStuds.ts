import { fail } from '~/length'
import type { SpacingOf } from '~/model'
import { placementAt, type SchoolOf } from './placement'

/**
 * A strip centered on every stud, or on every second, third ..., counted from the first one a strip fits on.
 * Everything nails to wood; the gaps follow the studs. Common practice, no source.
 */
export const placeToStuds: SchoolOf<SpacingOf<'toStuds'>> = ({ every }, span, stripWidth, { studs }) => {
  const fitting = [...studs]
    .sort((a, b) => a - b)
    .filter((stud) => stud >= stripWidth / 2 && stud <= span - stripWidth / 2)
  if (studs.length === 0) return fail({ code: 'noStudsKnown' })
  const centers = fitting.filter((_, i) => i % every === 0)
  const crowded = centers.findIndex((center, i) => i > 0 && center - (centers[i - 1] ?? 0) < stripWidth)
  if (crowded > 0) return fail({ code: 'noStripFits', span, stripWidth })
  return placementAt(
    centers.map((center) => center - stripWidth / 2),
    span,
    stripWidth,
  )
}
