import { inches } from '~/length'
import { type Edit, inForce, LIMITS, type Lines, type Move, type MoveKind, type Workpiece } from '~/model'

/** The edit that gives a wall another list of moves, or other settings of it. */
export function linesEdit({ wall }: Workpiece, patch: Partial<Lines>): Edit[] {
  const { lines } = inForce(wall.design)
  return [{ type: 'patchDesign', patch: { lines: { ...lines, ...patch } } }]
}

/** An id no move of the list ever had among those that stand: what refers to one that was taken away does not find another. */
export function nextMoveId({ moves, off, crossings }: Lines, more = 0): string {
  const named = [
    ...moves.map(({ id }) => id),
    ...off,
    ...crossings.flatMap(({ a, b }) => [a, b]),
    ...moves.flatMap(refsOf),
  ]
  const taken = named.map((id) => Number(/^m(\d+)/.exec(id)?.[1] ?? 0))
  return `m${Math.max(0, ...taken) + 1 + more}`
}

/** What a move refers to by name: moves and strips. */
export function refsOf(move: Move): string[] {
  const found: string[] = []
  const look = (value: unknown, key: string) => {
    if (typeof value === 'string' && ['of', 'off', 'strip'].includes(key)) found.push(value)
    else if (Array.isArray(value)) value.forEach((each) => look(each, key))
    else if (value && typeof value === 'object')
      for (const [name, each] of Object.entries(value)) look(each, name)
  }
  look(move, '')
  return found
}

/** A move of a kind as it is begun with: common practice, no source. What it needs to stand on is the last move, where there is one. */
export function newMove(kind: MoveKind, lines: Lines): Move {
  const base = { id: nextMoveId(lines), on: true, material: null }
  const last = lines.moves.at(-1)
  const of = last?.id ?? 'm1'
  const strip = last ? `${last.id}.1` : 'left'
  const hit = { kind: 'hit' } as const
  const middle = { by: 'middle' } as const
  const clear = inches(8)
  switch (kind) {
    case 'strike':
      return {
        ...base,
        kind,
        from: { at: 'corner', corner: 'bottomLeft' },
        heading: { to: 'angle', deg: 45 },
        until: hit,
        lies: 'center',
      }
    case 'repeat':
      return { ...base, kind, of, clear, side: 'both', times: null }
    case 'mirror':
      return { ...base, kind, of: [of], about: { line: 'upright' } }
    case 'fan':
      return {
        ...base,
        kind,
        from: { at: 'corner', corner: 'bottomLeft' },
        firstDeg: 15,
        stepDeg: 15,
        rays: 5,
        inner: inches(8),
      }
    case 'branch':
      return { ...base, kind, off: strip, along: middle, side: 'left', deg: 90, until: hit }
    case 'divide':
      return { ...base, kind, of: strip, by: { how: 'parts', parts: 4 }, side: 'left', deg: 90, until: hit }
    case 'diagonals':
      return { ...base, kind, deg: 45, clear, start: 'center', where: 'field' }
    case 'chevron':
      return {
        ...base,
        kind,
        slope: { by: 'angle', deg: 35 },
        clear,
        hand: 'alternating',
        first: 'up',
        start: 'edge',
        bands: null,
      }
    case 'corners':
      return {
        ...base,
        kind,
        corners: ['bottomLeft', 'topRight'],
        first: inches(6),
        clear: inches(4),
        count: 3,
        where: 'field',
      }
    case 'diamonds':
      return { ...base, kind, clear: inches(5), count: null, where: 'field' }
    case 'lattice':
      return { ...base, kind, deg: 45, clear: inches(12), start: 'center', where: 'field' }
    case 'herringbone':
      return { ...base, kind, length: inches(18), clear: inches(1.5), deg: 45, where: 'field' }
    case 'sunburst':
      return { ...base, kind, side: 'bottom', rays: 7, inner: inches(8), where: 'field' }
  }
}

/** The edit that adds a move at the end; none where the list is full. */
export function addMove(workpiece: Workpiece, move: Move): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  return lines.moves.length >= LIMITS.moves ? [] : linesEdit(workpiece, { moves: [...lines.moves, move] })
}

/** The edit that puts a move in the place of one of its id. */
export function putMove(workpiece: Workpiece, move: Move): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  return linesEdit(workpiece, { moves: lines.moves.map((each) => (each.id === move.id ? move : each)) })
}

/** The edit that takes a move away; what refers to it is kept, and says what it misses. */
export function takeMoveAway(workpiece: Workpiece, id: string): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  return linesEdit(workpiece, { moves: lines.moves.filter((each) => each.id !== id) })
}

/** The edit that moves one up (-1) or down (1) the list; none at its ends. */
export function shiftMove(workpiece: Workpiece, id: string, by: -1 | 1): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  const at = lines.moves.findIndex((each) => each.id === id)
  const [move, other] = [lines.moves[at], lines.moves[at + by]]
  if (!move || !other) return []
  return linesEdit(workpiece, { moves: lines.moves.with(at, other).with(at + by, move) })
}

/** The edit that leaves one strip out, or brings it back. */
export function turnStrip(workpiece: Workpiece, stripId: string): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  const isOff = lines.off.includes(stripId)
  return linesEdit(workpiece, {
    off: isOff ? lines.off.filter((id) => id !== stripId) : [...lines.off, stripId],
  })
}

/** The edit that says what happens where two strips cross, or all of two moves; null goes back to the order of the list. */
export function settleCrossing(
  workpiece: Workpiece,
  a: string,
  b: string,
  through: Lines['crossings'][number]['through'] | null,
): Edit[] {
  const { lines } = inForce(workpiece.wall.design)
  const others = lines.crossings.filter(
    (each) => !((each.a === a && each.b === b) || (each.a === b && each.b === a)),
  )
  return linesEdit(workpiece, { crossings: through === null ? others : [...others, { a, b, through }] })
}
