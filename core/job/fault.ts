import { LIMITS } from './limits'

/** Something wrong in what was given, and where: a JSON path such as `$.walls[0].width`, and words. */
export interface Fault { path: string, message: string }

/** How many things are wrong, in words; checking stops after so many. */
export function countOfFaults({ length }: Fault[]): string {
  if (length === 1) return '1 error'
  return length < LIMITS.faults ? `${length} errors` : `${length} errors, and there may be more: checking stopped here`
}

/** A job or an edit that cannot be taken; carries its faults, not only the first. */
export class InvalidJob extends Error {
  readonly faults: Fault[]

  constructor(faults: Fault[]) {
    super(faults.map(({ path, message }) => `${path} ${message}`).join('\n'))
    this.name = 'InvalidJob'
    this.faults = faults
  }
}
