/** What the command line can do: one file each in verbs/. */
export interface Verb {
  /** As it is typed, with what follows it. */
  usage: string
  /** What it does, in a line; and more, for its own help. */
  does: string
  more?: string
  /** How many files it takes. */
  files: 0 | 1
  /** Does it, and returns what is printed, and how the command ends: 0, or 1 where what was asked about does not hold. */
  run: (files: string[]) => { printed: string, code?: 0 | 1 }
}

/** What cannot be done, in words for whoever typed it; the command ends with 2. */
export class Refused extends Error {}
