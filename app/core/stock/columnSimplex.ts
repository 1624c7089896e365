/** A column of the linear program: its cost and its entries by row. */
export interface Column {
  readonly cost: number
  readonly entries: readonly (readonly [row: number, coefficient: number])[]
  /** What the column stands for; undefined for slacks. */
  readonly pattern?: { readonly room: number; readonly counts: readonly number[] }
}

/** The optimum of the linear program over all columns the pricing could offer. */
export interface LpOptimum {
  readonly value: number
  readonly duals: readonly number[]
  readonly basis: readonly { readonly column: Column; readonly amount: number }[]
  readonly finished: boolean
}

const EPS = 1e-9
const MOST_ROUNDS = 20_000
/** After so many pivots the inverse is worked out anew from its columns, so that roundings don't pile up. */
const PIVOTS_AN_INVERSE = 120

/** The inverse of a basis, row after row; null where rounding has made it singular. */
function inverted(basis: readonly Column[]): Float64Array | null {
  const m = basis.length
  const wide = 2 * m
  const table = new Float64Array(m * wide)
  basis.forEach((column, j) => column.entries.forEach(([i, c]) => (table[i * wide + j] = c)))
  for (let i = 0; i < m; i++) table[i * wide + m + i] = 1
  for (let j = 0; j < m; j++) {
    let pivot = j
    for (let i = j + 1; i < m; i++)
      if (Math.abs(table[i * wide + j] ?? 0) > Math.abs(table[pivot * wide + j] ?? 0)) pivot = i
    const value = table[pivot * wide + j] ?? 0
    if (Math.abs(value) < 1e-11) return null
    if (pivot !== j)
      for (let k = 0; k < wide; k++) {
        const kept = table[j * wide + k] ?? 0
        table[j * wide + k] = table[pivot * wide + k] ?? 0
        table[pivot * wide + k] = kept
      }
    for (let k = 0; k < wide; k++) table[j * wide + k] = (table[j * wide + k] ?? 0) / value
    for (let i = 0; i < m; i++) {
      const factor = table[i * wide + j] ?? 0
      if (i === j || factor === 0) continue
      for (let k = j; k < wide; k++)
        table[i * wide + k] = (table[i * wide + k] ?? 0) - factor * (table[j * wide + k] ?? 0)
    }
  }
  const inverse = new Float64Array(m * m)
  for (let i = 0; i < m; i++) for (let k = 0; k < m; k++) inverse[i * m + k] = table[i * wide + m + k] ?? 0
  return inverse
}

/**
 * Revised simplex with an explicit inverse, columns priced in as they are needed (Gilmore & Gomory 1961).
 * Minimizes cost subject to rows = rhs. `basis[i]` has its only entry in row i. `price` returns a column of
 * negative reduced cost for the given duals, or null when there is none. Home-written, because the integer
 * solver is a megabyte of WebAssembly that is loaded only where nothing else settles a plan, and because columns
 * are made while it runs, which that solver's text interface has no way to do.
 */
export function minimizeByColumns(
  rhs: readonly number[],
  start: readonly Column[],
  price: (duals: readonly number[]) => Column | null,
  over: () => boolean = () => false,
): LpOptimum {
  const m = rhs.length
  const basis = [...start]
  let inverse = new Float64Array(m * m)
  start.forEach((column, i) => (inverse[i * m + i] = 1 / (column.entries[0]?.[1] ?? 1)))
  const amounts = Float64Array.from(rhs, (b, i) => b * (inverse[i * m + i] ?? 0))
  const duals = new Array<number>(m).fill(0)
  const direction = new Float64Array(m)
  let finished = false
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    if (round % PIVOTS_AN_INVERSE === 0) {
      const fresh = inverted(basis)
      if (!fresh) break
      inverse = fresh as typeof inverse
      for (let i = 0; i < m; i++) {
        let sum = 0
        for (let j = 0; j < m; j++) sum += (inverse[i * m + j] ?? 0) * (rhs[j] ?? 0)
        amounts[i] = sum
      }
    }
    duals.fill(0)
    basis.forEach(({ cost }, i) => {
      if (cost !== 0)
        for (let j = 0; j < m; j++) duals[j] = (duals[j] ?? 0) + cost * (inverse[i * m + j] ?? 0)
    })
    if (over()) break
    const entering = price(duals)
    if (!entering) {
      finished = true
      break
    }
    let leaving = -1
    let step = Infinity
    for (let i = 0; i < m; i++) {
      let d = 0
      for (const [r, c] of entering.entries) d += (inverse[i * m + r] ?? 0) * c
      direction[i] = d
      if (d <= EPS) continue
      const ratio = Math.max(0, amounts[i] ?? 0) / d
      if (ratio < step - EPS || (ratio < step + EPS && d > (direction[leaving] ?? 0))) {
        step = Math.min(step, ratio)
        leaving = i
      }
    }
    if (leaving < 0) break
    const pivot = direction[leaving] ?? 1
    const row = leaving * m
    for (let j = 0; j < m; j++) inverse[row + j] = (inverse[row + j] ?? 0) / pivot
    amounts[leaving] = step
    for (let i = 0; i < m; i++) {
      const d = direction[i] ?? 0
      if (i === leaving || d === 0) continue
      for (let j = 0; j < m; j++) inverse[i * m + j] = (inverse[i * m + j] ?? 0) - d * (inverse[row + j] ?? 0)
      amounts[i] = (amounts[i] ?? 0) - d * step
    }
    basis[leaving] = entering
  }
  return {
    value: basis.reduce((sum, column, i) => sum + column.cost * (amounts[i] ?? 0), 0),
    duals: [...duals],
    basis: basis.map((column, i) => ({ column, amount: amounts[i] ?? 0 })),
    finished,
  }
}
