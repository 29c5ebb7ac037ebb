import type { Solve } from './master.js'

/** What of the HiGHS build is used: one model as text, one answer. */
interface Highs {
  solve(
    lp: string,
    options?: Record<string, string | number | boolean>,
  ): {
    Status: string
    ObjectiveValue: number
    Columns: Record<string, { Primal?: number }>
    Rows: readonly { Name: string; Dual?: number }[]
  }
}

/** HiGHS as the solver that `planStock` asks for; it is loaded outside core, in a worker. */
export const solverFrom =
  (highs: Highs): Solve =>
  (lp, options) => {
    const found = highs.solve(lp, {
      output_flag: false,
      // Proved means proved: no plan is called least because it is nearly so.
      mip_rel_gap: 0,
      mip_abs_gap: 1e-6,
      ...(options?.timeLimitS === undefined ? {} : { time_limit: options.timeLimitS }),
    })
    return {
      objective: found.ObjectiveValue,
      optimal: found.Status === 'Optimal',
      columns: Object.fromEntries(Object.entries(found.Columns).map(([name, c]) => [name, c.Primal ?? 0])),
      duals: Object.fromEntries(found.Rows.map((row) => [row.Name, row.Dual ?? 0])),
    }
  }
