import { inches, type Length, nearestNanometer, ZERO } from '~/length'
import { type Design, LIMITS, type Spacing, type SpacingOf } from '~/model'

/** Carries what is there over to another school, so that the wall changes as little as it can. */
function carriedOver(school: Spacing['school'], gapNow: number, edges: readonly Length[]): Spacing {
  const count = Math.max(1, edges.length)
  const gap = nearestNanometer(Math.max(inches(0.25), gapNow))
  switch (school) {
    case 'equalByCount':
      return { school, strips: Math.max(1, count), ends: 'gap' }
    case 'nearWish':
      return {
        school,
        wish: gap,
        measure: 'gap',
        least: nearestNanometer(gap * 0.6),
        most: nearestNanometer(gap * 1.5),
        ends: 'gap',
        strips: null,
      }
    case 'fromCenter':
      return { school, wish: gap, measure: 'gap', centerOn: 'strip', about: null }
    case 'fromEnd':
      return { school, wish: gap, measure: 'gap', end: 'left', startWith: 'gap' }
    case 'centerMarks':
      return { school, bays: Math.max(2, count + 1) }
    case 'toStuds':
      return { school, every: 1 }
    case 'placed':
      return { school, nearEdges: edges.length > 0 ? [...edges] : [gap] }
  }
}

/**
 * Turns a layout to another school: as it was left there before, else with what is there carried over. The school that is
 * left is kept with its shift, for the way back.
 */
export function changeSchool(
  { spacing, shift, schools }: Pick<Design, 'spacing' | 'shift' | 'schools'>,
  school: Spacing['school'],
  gapNow: number,
  edges: readonly Length[],
): Pick<Design, 'spacing' | 'shift' | 'schools'> {
  const before = schools.find((each) => each.spacing.school === school)
  const others = schools.filter((each) => ![school, spacing.school].includes(each.spacing.school))
  return {
    // a shift was chosen for the school it was made in, and stays with it
    ...(before ?? { spacing: carriedOver(school, gapNow, edges), shift: ZERO }),
    schools: [{ spacing, shift }, ...others].slice(0, LIMITS.schools),
  }
}

/** What the school last left had that the one in force does not: what a switch has dropped. */
export interface Dropped {
  readonly school: Spacing['school']
  /** To the right where positive; 0 is none. */
  readonly shift: Length
  readonly wish: Pick<SpacingOf<'nearWish'>, 'wish' | 'measure'> | null
  readonly limits: Pick<SpacingOf<'nearWish'>, 'least' | 'most' | 'moreThan'> | null
  readonly ends: SpacingOf<'equalByCount'>['ends'] | null
  readonly strips: number | null
}

/** What was dropped with the school last left; null where nothing was, or none was left. */
export function droppedSchool({
  spacing,
  shift,
  schools,
}: Pick<Design, 'spacing' | 'shift' | 'schools'>): Dropped | null {
  const [left] = schools
  if (!left) return null
  const was = left.spacing
  const wish = 'wish' in was && !('wish' in spacing) ? { wish: was.wish, measure: was.measure } : null
  const limits =
    was.school === 'nearWish' ? { least: was.least, most: was.most, moreThan: was.moreThan } : null
  const ends =
    'ends' in was && was.ends !== 'gap' && !('ends' in spacing && spacing.ends === was.ends) ? was.ends : null
  const strips = was.school === 'equalByCount' ? was.strips : was.school === 'nearWish' ? was.strips : null
  const dropped = {
    school: was.school,
    shift: left.shift === shift ? ZERO : left.shift,
    wish,
    limits,
    ends,
    strips,
  }
  return dropped.shift === 0 && !wish && !limits && ends === null && strips === null ? null : dropped
}
