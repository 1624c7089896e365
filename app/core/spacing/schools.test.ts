import fc from 'fast-check'
import { inches, nanometers, toInches } from '~/length'
import { ENDS, type Spacing } from '~/model'
import { END_PARTS, fewestStrips, gapCount, placeStrips, type SpanContext } from '.'

function place(spacing: Spacing, span: number, strip: number, context?: SpanContext) {
  const result = placeStrips(spacing, inches(span), inches(strip), context)
  if (!result.ok) throw new Error(`no layout: ${result.issue.code}`)
  return result.value
}

describe('what stands at the ends', () => {
  // half bay: n strips share n gaps; arithmetic checked by hand, common practice, no source
  test('half a gap at each end: four strips of 2 on 100 leave gaps of 23, ends of 11 1/2', () => {
    const { gaps, leftEnd, rightEnd } = place({ school: 'equalByCount', strips: 4, ends: 'half' }, 100, 2)
    expect(gaps.map(toInches)).toEqual([23, 23, 23])
    expect([leftEnd, rightEnd].map(toInches)).toEqual([11.5, 11.5])
  })

  test('a strip at one end only', () => {
    const left = place({ school: 'equalByCount', strips: 4, ends: 'stripGap' }, 100, 2)
    expect([left.leftEnd, ...left.gaps, left.rightEnd].map(toInches)).toEqual([0, 23, 23, 23, 23])
    const right = place({ school: 'equalByCount', strips: 4, ends: 'gapStrip' }, 100, 2)
    expect([right.leftEnd, ...right.gaps, right.rightEnd].map(toInches)).toEqual([23, 23, 23, 23, 0])
  })

  test('law: every end condition closes, and each end is its part of the gap', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ENDS),
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: inches(80), max: inches(300) }),
        (ends, strips, span) => {
          fc.pre(strips >= fewestStrips(ends))
          const placed = placeStrips({ school: 'equalByCount', strips, ends }, nanometers(span), inches(1.5))
          if (!placed.ok) return
          const { gaps, leftEnd, rightEnd } = placed.value
          const sum = gaps.reduce<number>((total, gap) => total + gap, leftEnd + rightEnd)
          expect(sum + strips * inches(1.5)).toBe(span)
          const gap = (span - strips * inches(1.5)) / gapCount(strips, ends)
          expect(Math.abs(leftEnd - gap * END_PARTS[ends][0])).toBeLessThanOrEqual(1)
          expect(Math.abs(rightEnd - gap * END_PARTS[ends][1])).toBeLessThanOrEqual(1)
        },
      ),
    )
  })
})

describe('on the studs', () => {
  const studs = Array.from({ length: 8 }, (_, i) => inches(6 + 16 * i))
  const context: SpanContext = { studs, middles: new Map() }

  // IRC R602: usual stud spacing 16 or 24 in on center
  test('a strip centered on every stud, or on every second', () => {
    const every = place({ school: 'toStuds', every: 1 }, 130, 2.5, context)
    expect(every.nearEdges.map(toInches)).toEqual(studs.map((stud) => toInches(stud) - 1.25))
    const second = place({ school: 'toStuds', every: 2 }, 130, 2.5, context)
    expect(second.gaps.map(toInches)).toEqual([29.5, 29.5, 29.5])
  })

  test('studs a strip would not fit on are passed over; none known is an issue', () => {
    const close = place({ school: 'toStuds', every: 1 }, 100, 2.5, {
      studs: [inches(1), inches(50)],
      middles: new Map(),
    })
    expect(close.nearEdges.map(toInches)).toEqual([48.75])
    const none = placeStrips({ school: 'toStuds', every: 1 }, inches(100), inches(2))
    expect(none).toMatchObject({ ok: false, issue: { code: 'noStudsKnown' } })
  })
})

describe('each where it was put', () => {
  test('kept as they are; overlaps and overruns are refused by name', () => {
    const at = (...edges: number[]): Spacing => ({ school: 'placed', nearEdges: edges.map(inches) })
    expect(place(at(3, 20, 41), 60, 2).gaps.map(toInches)).toEqual([15, 19])
    expect(placeStrips(at(3, 4), inches(60), inches(2))).toMatchObject({
      issue: { code: 'stripsOverlap', strip: 1, by: inches(1) },
    })
    expect(placeStrips(at(3, 59), inches(60), inches(2))).toMatchObject({
      issue: { code: 'stripsOverlap', strip: 2, by: inches(1) },
    })
  })
})

describe('worked from the center of a thing', () => {
  const context: SpanContext = { studs: [], middles: new Map([['window', inches(40)]]) }
  const about = (centerOn: 'strip' | 'gap', thing: string | null): Spacing => ({
    school: 'fromCenter',
    wish: inches(10),
    measure: 'gap',
    centerOn,
    about: thing,
  })

  test('a strip or a gap sits on the middle of the window, the ends take what is left', () => {
    const strip = place(about('strip', 'window'), 120, 2, context)
    expect(strip.nearEdges.map(toInches)).toEqual([3, 15, 27, 39, 51, 63, 75, 87, 99, 111])
    const gap = place(about('gap', 'window'), 120, 2, context)
    expect(gap.nearEdges.map(toInches)).toContain(45)
    expect(gap.nearEdges.map(toInches)).toContain(33)
  })

  test('a thing that went away leaves the middle of the wall', () => {
    expect(place(about('strip', 'gone'), 120, 2, context)).toEqual(
      place(about('strip', null), 120, 2, context),
    )
  })
})
