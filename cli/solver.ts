import highs from 'highs'
import { linearSolverOf, type LinearSolver } from '../core/true'

/** HiGHS, loaded once: WebAssembly that runs wherever Node does. */
export const linearSolver = async (): Promise<LinearSolver> => linearSolverOf(await highs())
