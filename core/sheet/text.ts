import { element, type Attributes, type Shape } from '../svg'
import type { Paper } from './paper'

/** A line of text; sizes in mm. */
export function label(text: string, x: number, y: number, size: number, more: Attributes = {}): Shape {
  return element('text', { x, y, 'font-size': size, 'font-family': SHEET_FONT, 'fill': INK, ...more }, text)
}

/** The sheet's typeface, by the name under which the screen and the PDF both know it. */
export const SHEET_FONT = 'Barlow Semi Condensed'
export const INK = '#16211f'
export const STOP = '#9d231b'
export const STOP_WASH = '#f9e2dc'

/** A text in lines that a sheet's width, or less of it, holds at a size of type. */
export function inLines(text: string, { width, margin }: Pick<Paper, 'width' | 'margin'>, size: number): string[] {
  // A letter is a little over half its size wide, in any type that may stand in for the sheet's own.
  const letters = Math.floor((width - 2 * margin) / (0.56 * size))
  return (text.match(new RegExp(`.{1,${letters}}(\\s|$)`, 'g')) ?? []).map(line => line.trim())
}
