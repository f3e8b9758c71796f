/** Something wrong in what was given, and where: a JSON path such as `$.walls[0].width`, and words. */
export interface Fault { path: string, message: string }

/** A job or an edit that cannot be taken; carries every fault, not only the first. */
export class InvalidJob extends Error {
  readonly faults: Fault[]

  constructor(faults: Fault[]) {
    super(faults.map(({ path, message }) => `${path} ${message}`).join('\n'))
    this.name = 'InvalidJob'
    this.faults = faults
  }
}
