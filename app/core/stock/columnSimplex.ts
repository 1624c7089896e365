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
const MOST_ROUNDS = 2000

/**
 * Revised simplex with an explicit inverse, columns priced in as they are needed (Gilmore & Gomory 1961).
 * Minimizes cost subject to rows = rhs. `basis[i]` has its only entry in row i. `price` returns a column of
 * negative reduced cost for the given duals, or null when there is none.
 */
export function minimizeByColumns(
  rhs: readonly number[],
  start: readonly Column[],
  price: (duals: readonly number[]) => Column | null,
): LpOptimum {
  const m = rhs.length
  const basis = [...start]
  const inverse = start.map((column, i) => {
    const row = new Float64Array(m)
    row[i] = 1 / (column.entries[0]?.[1] ?? 1)
    return row
  })
  const amounts = rhs.map((b, i) => b * (inverse[i]?.[i] ?? 0))
  const duals = new Array<number>(m).fill(0)
  let finished = false
  for (let round = 0; round < MOST_ROUNDS; round++) {
    duals.fill(0)
    basis.forEach((column, i) => {
      const row = inverse[i]
      if (column.cost !== 0 && row)
        for (let j = 0; j < m; j++) duals[j] = (duals[j] ?? 0) + column.cost * (row[j] ?? 0)
    })
    const entering = price(duals)
    if (!entering) {
      finished = true
      break
    }
    const direction = inverse.map((row) =>
      entering.entries.reduce((sum, [r, c]) => sum + (row[r] ?? 0) * c, 0),
    )
    let leaving = -1
    let step = Infinity
    direction.forEach((d, i) => {
      if (d <= EPS) return
      const ratio = Math.max(0, amounts[i] ?? 0) / d
      if (ratio < step - EPS || (ratio < step + EPS && d > (direction[leaving] ?? 0))) {
        step = Math.min(step, ratio)
        leaving = i
      }
    })
    const pivotRow = inverse[leaving]
    const pivot = direction[leaving]
    if (!pivotRow || pivot === undefined) break
    for (let j = 0; j < m; j++) pivotRow[j] = (pivotRow[j] ?? 0) / pivot
    amounts[leaving] = step
    direction.forEach((d, i) => {
      const row = inverse[i]
      if (i === leaving || d === 0 || !row) return
      for (let j = 0; j < m; j++) row[j] = (row[j] ?? 0) - d * (pivotRow[j] ?? 0)
      amounts[i] = (amounts[i] ?? 0) - d * step
    })
    basis[leaving] = entering
  }
  return {
    value: basis.reduce((sum, column, i) => sum + column.cost * (amounts[i] ?? 0), 0),
    duals: [...duals],
    basis: basis.map((column, i) => ({ column, amount: amounts[i] ?? 0 })),
    finished,
  }
}
