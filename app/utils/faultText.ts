import type { Fault } from '~~/core/job'

/** Several faults as one text to show. */
export const faultText = (faults: Pick<Fault, 'message'>[]): string => faults.map(({ message }) => message).join(' ')
