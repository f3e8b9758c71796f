import { element, type Attributes, type Shape } from '../../svg'

export { element, group, line, rect, svgText, type Shape } from '../../svg'

/** A line of text; sizes in mm. */
export function label(text: string, x: number, y: number, size: number, more: Attributes = {}): Shape {
  return element('text', { x, y, 'font-size': size, 'font-family': SHEET_FONT, 'fill': INK, ...more }, text)
}

/** The sheet's typeface, by the name under which the screen and the PDF both know it. */
export const SHEET_FONT = 'Barlow Semi Condensed'
export const INK = '#16211f'
export const STOP = '#9d231b'
export const STOP_WASH = '#f9e2dc'
