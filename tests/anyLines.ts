import fc from 'fast-check'
import { inches } from '~/length'
import { FIELD_CORNERS, FIELD_SIDES, type Lines, type Move, withDesign, type Workpiece } from '~/model'

const pick = fc.constantFrom
const eighths = (least: number, most: number) =>
  fc.integer({ min: Math.ceil(least * 8), max: Math.floor(most * 8) }).map((n) => inches(n / 8))
const anyDeg = fc.oneof(pick(0, 22.5, 30, 45, 60, 90, 135, 180, 270), fc.integer({ min: -350, max: 350 }))

const anyAlong = fc.oneof(
  fc.record({
    by: fc.constant('distance' as const),
    from: pick('start' as const, 'end' as const),
    distance: eighths(0, 60),
  }),
  fc.constant({ by: 'middle' as const }),
  fc.record({ by: fc.constant('mark' as const), mark: fc.integer({ min: 1, max: 4 }), of: pick(3, 5) }),
)
/** Strips that may or may not be there. */
const anyRef = fc.oneof(
  fc
    .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 3 }))
    .map(([move, n]) => `m${move}.${n}`),
  pick('stile-2', 'rail-1', 'left', 'bottom'),
)
const anyPoint = fc.oneof(
  fc.record({ at: fc.constant('corner' as const), corner: pick(...FIELD_CORNERS) }),
  fc.record({ at: fc.constant('side' as const), side: pick(...FIELD_SIDES), along: anyAlong }),
  fc.record({
    at: fc.constant('strip' as const),
    strip: anyRef,
    edge: pick('center' as const, 'left' as const, 'right' as const),
    along: anyAlong,
  }),
  fc.record({ at: fc.constant('crossing' as const), of: fc.tuple(anyRef, anyRef) }),
  fc.constant({ at: 'middle' as const }),
  fc.record({
    at: fc.constant('free' as const),
    from: pick('left' as const, 'right' as const),
    across: eighths(-5, 120),
    up: eighths(-5, 90),
  }),
)
const anyUntil = fc.oneof(
  pick({ kind: 'hit' as const }, { kind: 'frame' as const }, { kind: 'point' as const }),
  fc.record({ kind: fc.constant('length' as const), length: eighths(1, 80) }),
)
const anySide = pick('left' as const, 'right' as const, 'both' as const)
const where = pick('field' as const, 'bays' as const)
const start = pick('center' as const, 'edge' as const, 'half' as const)
// wide enough that a wall takes tens of strips, not hundreds: laws look at every pair
const clear = eighths(8, 30)

/** One move of any kind; what it refers to may be there, or not, or come after it. */
const anyMove = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('strike' as const),
      from: anyPoint,
      heading: fc.oneof(
        fc.record({ to: fc.constant('angle' as const), deg: anyDeg }),
        fc.record({
          to: fc.constant('point' as const),
          point: anyPoint,
          edge: pick('same' as const, 'other' as const),
        }),
        fc.record({
          to: fc.constant('square' as const),
          strip: anyRef,
          side: pick('left' as const, 'right' as const),
        }),
      ),
      until: anyUntil,
      lies: pick('center' as const, 'left' as const, 'right' as const),
    }),
  },
  fc.record({
    kind: fc.constant('repeat' as const),
    of: pick('m1', 'm2', 'm3'),
    clear,
    side: anySide,
    times: pick(null, 1, 3),
  }),
  fc.record({
    kind: fc.constant('mirror' as const),
    of: fc.subarray(['m1', 'm2', 'm3'], { minLength: 1 }),
    about: fc.oneof(
      fc.record({ line: pick('upright' as const, 'level' as const) }),
      fc.record({ line: fc.constant('strip' as const), strip: anyRef }),
    ),
  }),
  fc.record({
    kind: fc.constant('fan' as const),
    from: anyPoint,
    firstDeg: anyDeg,
    stepDeg: pick(12, 20, 30, 45),
    rays: fc.integer({ min: 1, max: 7 }),
    inner: eighths(0, 10),
  }),
  fc.record({
    kind: fc.constant('branch' as const),
    off: anyRef,
    along: anyAlong,
    side: anySide,
    deg: pick(30, 45, 90, 120),
    until: anyUntil,
  }),
  fc.record({
    kind: fc.constant('divide' as const),
    of: anyRef,
    by: fc.oneof(
      fc.record({ how: fc.constant('parts' as const), parts: fc.integer({ min: 2, max: 6 }) }),
      fc.record({ how: fc.constant('wish' as const), wish: eighths(8, 30) }),
    ),
    side: anySide,
    deg: pick(45, 60, 90),
    until: anyUntil,
  }),
  fc.record({ kind: fc.constant('diagonals' as const), deg: anyDeg, clear, start, where }),
  fc.record({
    kind: fc.constant('chevron' as const),
    slope: fc.oneof(
      fc.record({ by: fc.constant('rise' as const), rise: eighths(4, 40) }),
      fc.record({ by: fc.constant('angle' as const), deg: pick(20, 30, 45, 60) }),
    ),
    clear,
    hand: pick('alternating' as const, 'same' as const),
    first: pick('up' as const, 'down' as const),
    start: pick('edge' as const, 'half' as const),
    bands: pick(null, 1, 3),
  }),
  fc.record({
    kind: fc.constant('corners' as const),
    corners: fc.subarray([...FIELD_CORNERS], { minLength: 1 }),
    first: eighths(1, 10),
    clear,
    count: fc.integer({ min: 1, max: 4 }),
    where,
  }),
  fc.record({ kind: fc.constant('diamonds' as const), clear, count: pick(null, 1, 2), where }),
  fc.record({ kind: fc.constant('lattice' as const), deg: pick(30, 45, 60), clear, start, where }),
  fc.record({
    kind: fc.constant('herringbone' as const),
    length: eighths(20, 40),
    clear: eighths(0, 6),
    deg: pick(0, 30, 45),
    where,
  }),
  fc.record({
    kind: fc.constant('sunburst' as const),
    side: pick(...FIELD_SIDES),
    rays: fc.integer({ min: 1, max: 7 }),
    inner: eighths(0, 8),
    where,
  }),
)

export const anyLines: fc.Arbitrary<Lines> = fc.record({
  uprights: pick(true, false, false),
  moves: fc
    .array(fc.tuple(anyMove, pick(true, true, true, false), pick(null, null, 'pine-1x3', 'pine-1x2')), {
      minLength: 1,
      maxLength: 4,
    })
    .map((moves) =>
      moves.map(
        ([move, on, material], i) =>
          // blocks as wide as a wall takes tens of
          ({
            ...move,
            id: `m${i + 1}`,
            on,
            material: move.kind === 'herringbone' ? 'pine-1x8' : material,
          }) as Move,
      ),
    ),
  crossings: fc.array(
    fc.record({
      a: fc.oneof(anyRef, pick('m1', 'm2')),
      b: fc.oneof(anyRef, pick('m2', 'm3')),
      through: pick('a' as const, 'b' as const, 'aOver' as const),
    }),
    { maxLength: 2 },
  ),
  off: fc.subarray(['m1.1', 'm1.2', 'm2.1']),
  nudge: fc.oneof(
    fc.constant({ along: inches(0), up: inches(0) }),
    fc.record({ along: eighths(-4, 4), up: eighths(-4, 4) }),
  ),
})

/** A wall turned to lines, all else on it as it stands. */
export function inLines(workpiece: Workpiece, lines: Lines): Workpiece {
  const { design } = workpiece.wall
  const next = withDesign(design, {
    pattern: 'lines',
    topRail: null,
    cap: null,
    battenMaterial: 'pine-1x2',
    lines,
  })
  return { ...workpiece, wall: { ...workpiece.wall, design: next } }
}
