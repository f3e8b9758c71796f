/** How the id of a step begins by which a whole kind of work is said to be done. */
export const TASK_STEP = 'task:'
