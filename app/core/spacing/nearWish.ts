import { fail, type Length, nearestNanometer } from '~/length'
import type { SpacingOf } from '~/model'
import { equalGap, fewestStrips, placeEqualByCount } from './equalGaps'
import { MOST_STRIPS, type SchoolOf } from './placement'

/** A count of strips that closes the span with equal gaps, and how far its gap is from the wish. */
export interface CountChoice {
  readonly strips: number
  /** Exact gap in nanometers, may be fractional. */
  readonly gap: number
  readonly offWish: number
  readonly withinLimits: boolean
}

/**
 * Every count whose equal gap lies within the limits, plus the nearest on either side, ordered by gap from
 * wide to narrow. Empty when not even one strip fits. The wish may be clear (gap) or center to center.
 */
export function countChoices(wanted: SpacingOf<'nearWish'>, span: Length, stripWidth: Length): CountChoice[] {
  const wish = clearWish(wanted, stripWidth)
  const choices: CountChoice[] = []
  for (let strips = fewestStrips(wanted.ends); strips <= MOST_STRIPS; strips++) {
    const gap = equalGap(span, stripWidth, strips, wanted.ends)
    if (gap < 0) break
    choices.push({
      strips,
      gap,
      offWish: gap - wish,
      withinLimits: isEnough(gap, wanted) && gap <= wanted.most,
    })
    if (!isEnough(gap, wanted) && gap < wish) break
  }
  return choices
}

/** A gap is as wide as is asked for: so much at least, or more than that. Half a nanometer is nothing. */
export function isEnough(
  gap: number,
  { least, moreThan }: Pick<SpacingOf<'nearWish'>, 'least' | 'moreThan'>,
): boolean {
  return moreThan === true ? gap > least + 0.5 : gap >= least
}

/** The wish as a clear gap, whichever way it was given. */
export function clearWish(wanted: { wish: Length; measure: 'gap' | 'pitch' }, stripWidth: Length): Length {
  return wanted.measure === 'gap' ? wanted.wish : nearestNanometer(wanted.wish - stripWidth)
}

/** The choice within the limits nearest to the wish; a tie goes to fewer strips. Undefined when none is. */
export function nearestChoice(choices: readonly CountChoice[]): CountChoice | undefined {
  return choices
    .filter((choice) => choice.withinLimits)
    .reduce<CountChoice | undefined>(
      (best, each) => (!best || Math.abs(each.offWish) < Math.abs(best.offWish) ? each : best),
      undefined,
    )
}

/** The few choices nearest to the wish, wide gap first, for showing side by side. */
export function choicesAround(choices: readonly CountChoice[], howMany: number): CountChoice[] {
  return [...choices]
    .sort((a, b) => Math.abs(a.offWish) - Math.abs(b.offWish))
    .slice(0, howMany)
    .sort((a, b) => a.strips - b.strips)
}

/** A wished gap with limits: the count whose equal gap is nearest, or the count picked by hand. */
export const placeNearWish: SchoolOf<SpacingOf<'nearWish'>> = (wanted, span, stripWidth, context) => {
  if (wanted.measure === 'pitch' && wanted.wish <= stripWidth)
    return fail({ code: 'pitchWithinStrip', pitch: wanted.wish, stripWidth })
  const strips = wanted.strips ?? nearestChoice(countChoices(wanted, span, stripWidth))?.strips
  if (strips === undefined) {
    return span < stripWidth
      ? fail({ code: 'noStripFits', span, stripWidth })
      : fail({
          code: 'noCountInLimits',
          least: wanted.least,
          most: wanted.most,
          ...(wanted.moreThan === true ? { moreThan: true } : {}),
        })
  }
  return placeEqualByCount({ school: 'equalByCount', strips, ends: wanted.ends }, span, stripWidth, context)
}
