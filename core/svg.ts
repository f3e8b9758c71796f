export type Attributes = Record<string, string | number | undefined>

/** One element of a drawing with what is in it: other elements, or a text. What writes or draws it decides how. */
export interface Shape { name: string, attributes: Attributes, content: (Shape | string)[] }

/** One element of a drawing; attributes that are undefined and empty content are left out. */
export const element = (name: string, attributes: Attributes, ...content: (Shape | string)[]): Shape => ({
  name,
  attributes,
  content: content.filter(part => part !== ''),
})

export const line = (x1: number, y1: number, x2: number, y2: number, stroke: Attributes) =>
  element('line', { x1, y1, x2, y2, ...stroke })
export const rect = (x: number, y: number, width: number, height: number, paint: Attributes) =>
  element('rect', { x, y, width, height, ...paint })
export const circle = (cx: number, cy: number, r: number, paint: Attributes) =>
  element('circle', { cx, cy, r, ...paint })
export const group = (attributes: Attributes, ...content: (Shape | string)[]) => element('g', attributes, ...content)

// What XML 1.0 has no place for (section 2.2), halves of surrogate pairs among it.
// eslint-disable-next-line no-control-regex
const NO_XML_CHAR = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/
const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/
const NO_XML = new RegExp(`${NO_XML_CHAR.source}|${LONE_SURROGATE.source}`, 'g')

/** Text that is safe inside an element or an attribute; what no XML can have stands as U+FFFD. */
export const escape = (text: string) =>
  text
    .replace(NO_XML, '\uFFFD')
    .replace(/[&<>"]/g, char => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[char]!)

/** Four decimals of a millimetre: finer than any printer, and short to read. */
const short = (value: string | number) =>
  typeof value === 'number' ? String(Math.round(value * 1e4) / 1e4) : escape(value)

/** A drawing as SVG text. */
export function svgText(shape: Shape | string): string {
  if (typeof shape === 'string') return escape(shape)
  const { name, attributes, content } = shape
  const written = Object.entries(attributes)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ` ${key}="${short(value!)}"`)
    .join('')
  return content.length > 0 ? `<${name}${written}>${content.map(svgText).join('')}</${name}>` : `<${name}${written}/>`
}
