/** Texts that earlier versions wrote into jobs, and how they read today. People's own words are never among them. */
const FORMER: [RegExp, string][] = [
  [/^laser cross on the middle of (.+)$/, 'laser cross on the centre of $1'],
  [/^the hole that is made, (.+)$/, 'drilled hole $1'],
  [/^after what the drill met$/, 'after the drilling results'],
  [/Bezels split evenly from the picture’s size\./, 'Bezels calculated evenly from the picture size.'],
]

/**
 * A text of a stored job as it is said today; the job itself stays as it is.
 *
 * @example
 * saidToday('laser cross on the middle of Departures') // 'laser cross on the centre of Departures'
 */
export const saidToday = (text: string): string =>
  FORMER.reduce((said, [former, today]) => said.replace(former, today), text)
