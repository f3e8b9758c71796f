/**
 * How long something takes, min, in hours and whole minutes.
 *
 * @example
 * lasts(95) // '1 h 35 min'
 */
export function lasts(minutes: number): string {
  const whole = Math.round(minutes)
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  return [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${rest} min` : ''].filter(Boolean).join(' ')
}
