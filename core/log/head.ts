import type { LogEntry } from './entry'

/** Crockford's base 32: no letter that is taken for a figure, none for another. */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
/** So many bits of the hash are in a code: nobody finds another log that has the same. */
const BITS = 80

/** The first bits of a hash in hexadecimal, in groups of four letters, five bits each. */
function lettersOf(hash: string): string {
  const bits = [...hash.slice(0, BITS / 4)]
    .map(digit => Number.parseInt(digit, 16).toString(2).padStart(4, '0'))
    .join('')
  const letters = (bits.match(/.{5}/g) ?? []).map(five => LETTERS[Number.parseInt(five, 2)])
  return letters.join('').replace(/(.{4})(?=.)/g, '$1-')
}

/**
 * The code by which a log up to an entry is known: how many entries it has, and 80 bits of the hash of the last. Each
 * hash follows from all before it, so with the code it is seen whether any of them was changed, or the end cut off.
 *
 * @returns undefined for an entry that no server has received
 * @example headCode({ seq: 24, hash: 'f1e2…' }) // '24-Y7HA-…'
 */
export const headCode = ({ seq, hash }: Pick<LogEntry, 'seq' | 'hash'>): string | undefined =>
  seq === undefined || hash === undefined ? undefined : `${seq}-${lettersOf(hash)}`

/** A code as it was typed: in any case, with or without dashes, O and I as the figures that they were taken for. */
const asTyped = (code: string): string =>
  code
    .toUpperCase()
    .replace(/O/g, '0')
    .replace(/[IL]/g, '1')
    .replace(/[^0-9A-Z]/g, '')

/**
 * What speaks against a log having the head that a code names; undefined where it has it.
 *
 * @param log whose chain is whole
 */
export function headFault(log: LogEntry[], code: string): string | undefined {
  const typed = /^(\d+)-?([0-9A-Za-z-]{16,})$/.exec(code.trim())
  if (!typed) return `“${code}” is not a code of a log, such as 24-Y7HA-0B2C-9DEF-GHJK`
  const count = Number(typed[1])
  const chained = log.filter(({ hash }) => hash !== undefined).length
  if (chained < count) return `The code is of a log with ${count} entries; this one has ${chained}: its end is missing`
  const found = headCode(log.find(({ seq }) => seq === count) ?? {})
  const same = found !== undefined && asTyped(found) === asTyped(code)
  return same ? undefined : `Entry ${count} is not the one that the code names: the log was written anew`
}
