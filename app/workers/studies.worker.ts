import { expose } from 'comlink'
import highs from 'highs'
import runtime from 'highs/runtime?url'
import { linearSolverOf, type LinearSolver } from '~~/core/true'
import { studiesWith } from './studies'

let solver: Promise<LinearSolver> | undefined
/** HiGHS as WebAssembly, fetched when it is first needed. */
const linearSolver = () => solver ??= highs({ locateFile: () => runtime }).then(linearSolverOf)

expose(studiesWith(linearSolver))
