import type { Piece } from '~/core/pieces'
import { capital, listed, partName, pieceName, stripName, type Wording } from './words'

/** 3; 2 and 3; 1 to 7; 1 to 3 and 6. */
export function numbersText(numbers: readonly number[]): string {
  const sorted = [...new Set(numbers)].sort((a, b) => a - b)
  const runs: number[][] = []
  for (const n of sorted) {
    const last = runs.at(-1)
    if (last && last.at(-1) === n - 1) last.push(n)
    else runs.push([n])
  }
  return listed(
    runs.flatMap((run) => (run.length > 2 ? [`${run[0]} to ${run.at(-1)}`] : run.map((n) => String(n)))),
  )
}

/** Strips of one kind, and which parts of each are meant. */
interface Kind {
  readonly name: string
  readonly numbers: number[]
  readonly parts: Map<string, number[]>
}

/** Equal pieces said once: Boxes 1 to 7, left and right side; Rails 2 and 3, parts 1 to 8. */
export function alikePieces(pieces: readonly Pick<Piece, 'stripId' | 'part'>[], w: Wording): string {
  const kinds = new Map<string, Kind>()
  for (const { stripId, part } of pieces) {
    const found = w.strips?.get(stripId)
    const name = stripName(stripId, w).replace(/ \d+$/, '')
    const side = part?.side ?? ''
    const key = `${name} ${side}`
    const kind: Kind = kinds.get(key) ?? { name, numbers: [], parts: new Map() }
    kinds.set(key, kind)
    if (found?.number != null) kind.numbers.push(found.number)
    if (part?.number != null) kind.parts.set(stripId, [...(kind.parts.get(stripId) ?? []), part.number])
  }
  // sides of the same frames are told together
  const told = new Map<string, { of: string; parts: string[]; sides: string[] }>()
  for (const [key, { name, numbers, parts }] of kinds) {
    const side = key.slice(name.length + 1)
    const many = new Set(numbers).size
    const of = many === 0 ? name : `${many > 1 ? plural(name) : name} ${numbersText(numbers)}`
    const spread = [...new Set([...parts.values()].map((each) => numbersText(each)))]
    const part = spread.length === 1 ? `part${/\D/.test(spread[0] ?? '') ? 's' : ''} ${spread[0]}` : ''
    const at: { of: string; parts: string[]; sides: string[] } = told.get(of) ?? { of, parts: [], sides: [] }
    told.set(of, at)
    if (side) at.sides.push(partName({ side, number: null }))
    if (part && !at.parts.includes(part)) at.parts.push(part)
  }
  const text = [...told.values()]
    .map(({ of, parts, sides }) => [of, listed(sides), ...parts].filter(Boolean).join(', '))
    .join('; ')
  return text || pieces.map((piece) => pieceName(piece, w)).join(', ')
}

function plural(name: string): string {
  return capital(name.endsWith('x') ? `${name}es` : name.endsWith('s') ? name : `${name}s`)
}
