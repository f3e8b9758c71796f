/**
 * A count with its noun.
 *
 * @example plural(1, 'plate') // '1 plate'
 * @example plural(4, 'plate') // '4 plates'
 * @example plural(2, 'entry', 'entries') // '2 entries'
 */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`
