import type highsLoader from 'highs'
import type { SolveInteger } from '~/core/stock'

type Highs = Awaited<ReturnType<typeof highsLoader>>

/** Seconds one integer program may take before it counts as unsettled. */
const TIME_LIMIT = 20

/** Puts the HiGHS solver behind the core's door. `load` differs between browser and Node. */
export function highsSolver(load: () => Promise<Highs>): SolveInteger {
  let loading: Promise<Highs> | null = null
  return async (program, seconds = TIME_LIMIT) => {
    loading ??= load()
    const highs = await loading.catch((error: unknown) => {
      // what failed to load is asked for again the next time
      loading = null
      throw error
    })
    const solution = highs.solve(program, {
      time_limit: Math.max(0.05, Math.min(TIME_LIMIT, seconds)),
      output_flag: false,
    })
    if (solution.Status === 'Infeasible') return { status: 'infeasible' }
    if (solution.Status !== 'Optimal') return { status: 'unsettled' }
    const values = Object.entries(solution.Columns).map(
      ([name, column]) => [name, 'Primal' in column ? column.Primal : 0] as const,
    )
    return { status: 'optimal', values: new Map(values.filter(([, value]) => value > 0.5)) }
  }
}
