export type Attributes = Record<string, string | number | undefined>

/** Text that is safe inside an element or an attribute. */
export const escape = (text: string) => text.replace(/[&<>"]/g, char => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[char]!)

/** Four decimals of a millimetre: finer than any printer, and short to read. */
const short = (value: string | number) => typeof value === 'number' ? String(Math.round(value * 1e4) / 1e4) : escape(value)

/** One element of an SVG drawing as text; attributes that are undefined are left out. */
export function element(name: string, attributes: Attributes, content = ''): string {
  const written = Object.entries(attributes)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ` ${key}="${short(value!)}"`)
    .join('')
  return content ? `<${name}${written}>${content}</${name}>` : `<${name}${written}/>`
}

export const line = (x1: number, y1: number, x2: number, y2: number, stroke: Attributes) => element('line', { x1, y1, x2, y2, ...stroke })
export const rect = (x: number, y: number, width: number, height: number, paint: Attributes) => element('rect', { x, y, width, height, ...paint })
export const group = (attributes: Attributes, ...content: string[]) => element('g', attributes, content.join(''))
