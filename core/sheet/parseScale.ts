/**
 * A scale as it is typed: `1:25`, `25`, or nothing, or “to fit”, for the least at which the drawing fits its page.
 *
 * @example
 * parseScale('1 : 10') // { ok: true, value: 10 }
 */
export function parseScale(text: string): { ok: true, value: number | undefined } | { ok: false, message: string } {
  const typed = text.trim().toLowerCase()
  if (typed === '' || typed === 'to fit') return { ok: true, value: undefined }
  const [, figure] = /^(?:1\s*:\s*)?([1-9]\d{0,2})$/.exec(typed) ?? []
  return figure
    ? { ok: true, value: Number(figure) }
    : { ok: false, message: 'Enter a scale such as 1:25, up to 1:999, or leave it empty to fit the page' }
}
