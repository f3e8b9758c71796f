/**
 * What a verb answers: what is printed, a text or a file's bytes, what is said on standard error, and how the command
 * ends: 0, or 1 where what was asked about does not hold.
 */
export interface Answer { printed: string | Uint8Array, told?: string, code?: 0 | 1 }

/**
 * One of the things that can be said of what is wanted, as `--name value`, or, where it is a flag, as `--name` alone.
 */
export interface Option { what: string, choices?: readonly string[], flag?: boolean }

/** What the command line can do: one file each in verbs/. */
export interface Verb {
  /** As it is typed, with what follows it. */
  usage: string
  /** What it does, in a line; and more, for its own help. */
  does: string
  more?: string
  /** What it takes in this order, the first of them a file. */
  files: string[]
  /** By name, without its dashes. */
  options?: Record<string, Option>
  run: (files: string[], options: Record<string, string>) => Answer | Promise<Answer>
}

/** What cannot be done, in words for anyone who typed it; the command ends with 2. */
export class Refused extends Error {}
