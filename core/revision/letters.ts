import type { LogEntry } from '../job'

/** A, B, … Z, AA, AB, … by its number, from 0. */
export function letterOf(n: number): string {
  return (n >= 26 ? letterOf(Math.floor(n / 26) - 1) : '') + String.fromCharCode(65 + n % 26)
}

/** The number of a revision by its letters, from 0; −1 for what is none. */
export const numberOf = (letters: string): number =>
  /^[A-Z]{1,4}$/.test(letters) ? [...letters].reduce((n, letter) => 26 * n + letter.charCodeAt(0) - 64, 0) - 1 : -1

/** What the next revision of a wall is called: one that was withdrawn keeps its letter. */
export function nextRevision(log: LogEntry[], wall: string): string {
  const numbers = log.flatMap(entry => entry.kind === 'issued' && entry.wall === wall ? [numberOf(entry.revision)] : [])
  return letterOf(Math.max(-1, ...numbers) + 1)
}
