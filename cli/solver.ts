import highs from 'highs'
import type { LinearSolver } from '../core/true'

/** HiGHS, loaded once: WebAssembly that runs wherever Node does. */
export async function linearSolver(): Promise<LinearSolver> {
  const solver = await highs()
  return (program) => {
    const { Status, Columns } = solver.solve(program)
    return { optimal: Status === 'Optimal', value: (name) => {
      const column = Columns[name]
      return column && 'Primal' in column ? column.Primal : 0
    } }
  }
}
