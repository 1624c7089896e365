import fc from 'fast-check'
import { inches, type Length, nanometers, readOnTape, tickOf, toInches } from '~/length'
import { type Ends, ENDS, type Spacing } from '~/model'
import { choicesAround, countChoices, equalGap, nearestChoice, placeStrips, type Placement } from '.'

function place(spacing: Spacing, span: number, strip: number): Placement {
  const result = placeStrips(spacing, inches(span), inches(strip))
  if (!result.ok) throw new Error(`no layout: ${result.issue.code}`)
  return result.value
}

function issue(spacing: Spacing, span: number, strip: number) {
  const result = placeStrips(spacing, inches(span), inches(strip))
  return result.ok ? null : result.issue
}

const ins = (lengths: readonly number[]) => lengths.map(toInches)
const equal = (strips: number, ends: Ends = 'gap'): Spacing => ({
  school: 'equalByCount',
  strips,
  ends,
})
const near = (wish: number, least: number, most: number, strips: number | null = null) =>
  ({
    school: 'nearWish',
    wish: inches(wish),
    measure: 'gap',
    least: inches(least),
    most: inches(most),
    ends: 'gap',
    strips,
  }) as const

// Worked layouts A1 to A14: common practice, no source; arithmetic checked by hand.
describe('equal gaps', () => {
  test('A1: span 119, three strips 1 1/2: gap 28 5/8', () => {
    const { nearEdges, leftEnd, rightEnd, gaps } = place(equal(3), 119, 1.5)
    expect(ins(nearEdges)).toEqual([28.625, 58.75, 88.875])
    expect(ins(nearEdges.map((edge) => edge + inches(0.75)))).toEqual([29.375, 59.5, 89.625])
    expect(ins([leftEnd, ...gaps, rightEnd])).toEqual([28.625, 28.625, 28.625, 28.625])
    expect(toInches(((nearEdges[1] ?? 0) - (nearEdges[0] ?? 0)) as Length)).toBe(30.125)
  })

  test('A3: wall 216, six strips 3 1/2 with strips at the ends: five gaps of 39', () => {
    expect(ins(place(equal(6, 'strip'), 216, 3.5).gaps)).toEqual([39, 39, 39, 39, 39])
  })

  test('A4: the wall is 217: even is 39 1/5, to 1/16 four of 39 3/16 and one of 39 1/4', () => {
    const { nearEdges, gaps } = place(equal(6, 'strip'), 217, 3.5)
    expect(ins(gaps)).toEqual([39.2, 39.2, 39.2, 39.2, 39.2])
    const ticks = nearEdges.map((edge) => readOnTape(edge, '1/16'))
    ticks.forEach(({ off }) => expect(Math.abs(off)).toBeLessThanOrEqual(inches(1 / 32)))
    const onTape = ticks
      .slice(1)
      .map(({ tick }, i) => toInches((tick - (ticks[i]?.tick ?? 0) - inches(3.5)) as Length))
    expect([...onTape].sort()).toEqual([39.1875, 39.1875, 39.1875, 39.1875, 39.25])
  })

  test('A11: equal gaps on 120: 8 strips leave 10 2/9, 7 leave 11 15/16', () => {
    expect(equalGap(inches(120), inches(3.5), 8, 'gap')).toBeCloseTo(inches(1) * (10 + 2 / 9), 0)
    expect(toInches(equalGap(inches(120), inches(3.5), 7, 'gap') as Length)).toBe(11.9375)
  })

  test('strips wider than the wall, one strip at both ends, too many strips', () => {
    expect(issue(equal(30), 100, 3.5)).toMatchObject({
      code: 'stripsWiderThanSpan',
      strips: 30,
      mostStrips: 28,
    })
    expect(issue(equal(1, 'strip'), 100, 3.5)).toEqual({ code: 'needTwoStrips' })
    expect(issue({ ...near(20, 20, 10) }, 100, 3.5)).toMatchObject({ code: 'noCountInLimits' })
    expect(issue({ ...near(20, 10, 30), measure: 'pitch', wish: inches(2) }, 100, 3.5)?.code).toBe(
      'pitchWithinStrip',
    )
    expect(
      issue(
        { school: 'fromEnd', wish: inches(0.001), measure: 'gap', end: 'left', startWith: 'gap' },
        1e3,
        0.01,
      )?.code,
    ).toBe('tooManyStrips')
  })
})

describe('near a wish', () => {
  test('the nearest count within the limits is taken, the neighbors are offered', () => {
    const choices = countChoices(near(10, 8, 14), inches(120), inches(3.5))
    expect(nearestChoice(choices)?.strips).toBe(8)
    expect(choicesAround(choices, 3).map((choice) => choice.strips)).toEqual([7, 8, 9])
    expect(place(near(10, 8, 14), 120, 3.5).nearEdges).toHaveLength(8)
    expect(place(near(10, 8, 14, 7), 120, 3.5).nearEdges).toHaveLength(7)
  })

  test('A14: gap 18 1/2 and strip 1 1/2 is pitch 20; the same wish either way', () => {
    const asGap = place(near(18.5, 10, 30), 240, 1.5)
    const asPitch = place({ ...near(20, 10, 30), measure: 'pitch' }, 240, 1.5)
    expect(asPitch.nearEdges).toEqual(asGap.nearEdges)
    const exact = place(
      { school: 'fromEnd', wish: inches(18.5), measure: 'gap', end: 'left', startWith: 'strip' },
      240,
      1.5,
    )
    expect(toInches((exact.nearEdges[1] ?? 0) as Length)).toBe(20)
    // studs at 16: of battens at 20, every fourth lies on a stud (80 = 5 x 16 = 4 x 20)
    expect(exact.nearEdges.filter((edge) => edge % inches(16) === 0).length).toBe(3)
  })
})

describe('chosen gap', () => {
  const fromCenter = (gap: number, centerOn: 'strip' | 'gap'): Spacing => ({
    school: 'fromCenter',
    about: null,
    wish: inches(gap),
    measure: 'gap',
    centerOn,
  })

  test('A11: gap 10, strip 3 1/2, wall 120: a strip on the center or a gap on the center', () => {
    const strip = place(fromCenter(10, 'strip'), 120, 3.5)
    expect([strip.nearEdges.length, toInches(strip.leftEnd), toInches(strip.rightEnd)]).toEqual([
      9, 4.25, 4.25,
    ])
    const gap = place(fromCenter(10, 'gap'), 120, 3.5)
    expect([gap.nearEdges.length, toInches(gap.leftEnd), toInches(gap.rightEnd)]).toEqual([8, 11, 11])
  })

  test('A12: wall 144, a strip on the center', () => {
    const { nearEdges, leftEnd } = place(fromCenter(10, 'strip'), 144, 3.5)
    expect([nearEdges.length, toInches(leftEnd)]).toEqual([11, 2.75])
  })

  test('A13: five by three cells 34 x 24 with strips 3 1/2 make 191 by 86; as pitch 173 1/2 and gap 30 1/2', () => {
    const spread = (count: number, cell: number, measure: 'gap' | 'pitch', span: number) =>
      place({ school: 'fromEnd', wish: inches(cell), measure, end: 'left', startWith: 'strip' }, span, 3.5)
        .nearEdges.slice(0, count + 1)
        .map((edge) => toInches(edge))
    expect((spread(5, 34, 'gap', 300).at(-1) ?? 0) + 3.5).toBe(191)
    expect((spread(3, 24, 'gap', 300).at(-1) ?? 0) + 3.5).toBe(86)
    expect((spread(5, 34, 'pitch', 300).at(-1) ?? 0) + 3.5).toBe(173.5)
    expect((spread(5, 34, 'pitch', 300)[1] ?? 0) - 3.5).toBe(30.5)
  })

  test('from one end the whole remainder is left at the other', () => {
    const left = place(
      { school: 'fromEnd', wish: inches(10), measure: 'gap', end: 'left', startWith: 'gap' },
      100,
      3.5,
    )
    const right = place(
      { school: 'fromEnd', wish: inches(10), measure: 'gap', end: 'right', startWith: 'gap' },
      100,
      3.5,
    )
    expect([toInches(left.leftEnd), toInches(left.rightEnd)]).toEqual([10, 5.5])
    expect([toInches(right.leftEnd), toInches(right.rightEnd)]).toEqual([5.5, 10])
  })
})

describe('center marks', () => {
  test('A2: span/4 centers 29 3/4, 59 1/2, 89 1/4; bays 29, 28 1/4, 28 1/4, 29', () => {
    const { nearEdges, leftEnd, gaps, rightEnd } = place({ school: 'centerMarks', bays: 4 }, 119, 1.5)
    expect(ins(nearEdges).map((edge) => edge + 0.75)).toEqual([29.75, 59.5, 89.25])
    expect(ins([leftEnd, ...gaps, rightEnd])).toEqual([29, 28.25, 28.25, 29])
  })

  test('A2: end bays are w/2 wider than inner ones for three bays or more, exact for two', () => {
    for (let bays = 3; bays < 12; bays++) {
      const { leftEnd, rightEnd, gaps } = place({ school: 'centerMarks', bays }, 240, 2)
      expect(leftEnd - (gaps[0] ?? 0)).toBeCloseTo(inches(1), -1)
      expect(rightEnd - (gaps[0] ?? 0)).toBeCloseTo(inches(1), -1)
    }
    const two = place({ school: 'centerMarks', bays: 2 }, 119, 1.5)
    expect(two.leftEnd).toBe(two.rightEnd)
  })
})

const anyLength = (least: number, most: number) =>
  fc.integer({ min: inches(least), max: inches(most) }).map(nanometers)
const measure = fc.constantFrom('gap' as const, 'pitch' as const)
const anySpacing: fc.Arbitrary<Spacing> = fc.oneof(
  fc.record({
    school: fc.constant('equalByCount' as const),
    strips: fc.integer({ min: 1, max: 40 }),
    ends: fc.constantFrom(...ENDS),
  }),
  fc.record({
    school: fc.constant('nearWish' as const),
    wish: anyLength(3, 60),
    measure,
    least: fc.constant(inches(1)),
    most: fc.constant(inches(90)),
    ends: fc.constantFrom(...ENDS),
    strips: fc.constant(null),
  }),
  fc.record({
    school: fc.constant('fromCenter' as const),
    about: fc.constant(null),
    wish: anyLength(1, 60),
    measure,
    centerOn: fc.constantFrom('strip' as const, 'gap' as const),
  }),
  fc.record({
    school: fc.constant('fromEnd' as const),
    wish: anyLength(1, 60),
    measure,
    end: fc.constantFrom('left' as const, 'right' as const),
    startWith: fc.constantFrom('strip' as const, 'gap' as const),
  }),
  fc.record({ school: fc.constant('centerMarks' as const), bays: fc.integer({ min: 2, max: 30 }) }),
)

describe('laws', () => {
  test('D1: ends + strips + gaps = span, to the nanometer, whatever the school', () => {
    let laidOut = 0
    fc.assert(
      fc.property(anySpacing, anyLength(20, 400), anyLength(0.5, 8), (spacing, span, strip) => {
        const result = placeStrips(spacing, span, strip)
        if (!result.ok) return
        laidOut++
        const { leftEnd, rightEnd, gaps, nearEdges } = result.value
        const total = leftEnd + rightEnd + nearEdges.length * strip + gaps.reduce((sum, gap) => sum + gap, 0)
        expect(total).toBe(span)
        expect(Math.min(leftEnd, rightEnd, ...gaps)).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 600 },
    )
    expect(laidOut).toBeGreaterThan(200)
  })

  test('D2: equal gaps are equal before rounding and every running mark is within half a tick', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 60 }),
        anyLength(100, 400),
        anyLength(0.5, 1.5),
        (strips, span, strip) => {
          const { gaps, leftEnd, rightEnd, nearEdges } = place(equal(strips), toInches(span), toInches(strip))
          const exact = equalGap(span, strip, strips, 'gap')
          ;[leftEnd, ...gaps, rightEnd].forEach((gap) => expect(Math.abs(gap - exact)).toBeLessThanOrEqual(1))
          nearEdges.forEach((edge, i) => {
            const truth = (i + 1) * exact + i * strip
            expect(Math.abs(readOnTape(edge, '1/16').tick - truth)).toBeLessThanOrEqual(
              tickOf('1/16') / 2 + 1,
            )
          })
        },
      ),
    )
  })

  test('D6: the layout of a centered school is its own mirror image', () => {
    fc.assert(
      fc.property(anyLength(40, 400), anyLength(2, 30), (span, gap) => {
        for (const centerOn of ['strip', 'gap'] as const) {
          const { leftEnd, rightEnd } = place(
            { school: 'fromCenter', about: null, wish: gap, measure: 'gap', centerOn },
            toInches(span),
            1.5,
          )
          expect(Math.abs(leftEnd - rightEnd)).toBeLessThanOrEqual(1)
        }
      }),
    )
  })
})

test('more than a least gap leaves out the count that gives just that much; at least takes it', () => {
  const wanted = {
    school: 'nearWish',
    wish: inches(12),
    measure: 'gap',
    least: inches(12),
    most: inches(30),
    ends: 'gap',
    strips: null,
  } as const
  // a span that five strips of 4 close with gaps of exactly 12
  const span = inches(5 * 4 + 6 * 12)
  const within = (moreThan?: boolean) =>
    countChoices({ ...wanted, moreThan }, span, inches(4))
      .filter(({ withinLimits }) => withinLimits)
      .map(({ strips }) => strips)
  expect(within().at(-1)).toBe(5)
  expect(within(true).at(-1)).toBe(4)
  expect(within(false)).toEqual(within())
})
