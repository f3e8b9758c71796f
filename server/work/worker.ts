import { TASKS, type InputOf, type TaskName } from './tasks'

/** One task in a thread of its own. */
export default ({ name, input }: { name: TaskName, input: InputOf<TaskName> }): unknown => (TASKS[name] as (input: unknown) => unknown)(input)
