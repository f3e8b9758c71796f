import { stepName } from '../../log'

/** The step by which a whole kind of work is said to be done. */
export const taskStep = (kind: string): string => stepName({ kind: 'task', id: kind })
