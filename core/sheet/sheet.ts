import { element, group, rect, svgText, type Shape } from '../svg'
import type { Paper } from './paper'
import { label } from './text'

/** A sheet to print: what is drawn on each page, in mm of paper. */
export interface Sheet { pages: Shape[], paper: Paper }

/** What stands at the foot of every page: what the product does not do, and how many pages there are. */
export function footLine({ width, height, margin }: Paper, page: number, pages: number, type = 2.6): Shape {
  return group(
    {},
    label(
      'Planning aid. Makers’ instructions, local code and licensed trades take precedence. Isolate and prove dead. '
      + 'Detect live cables before drilling.',
      margin,
      height - margin - 1.3 * type,
      type,
    ),
    label(
      'Not checked: the studs, slab or ceiling themselves, and earthquake restraint. Ask an engineer where these may '
      + 'govern.',
      margin,
      height - margin,
      type,
    ),
    label(`page ${page} of ${pages}`, width - margin, height - margin, type, { 'text-anchor': 'end' }),
  )
}

/** One page of a sheet as an SVG file of its own. */
export function pageAsSvg({ pages, paper: { width, height } }: Sheet, n: number): string {
  return svgText(element('svg', {
    xmlns: 'http://www.w3.org/2000/svg', width: `${width}mm`, height: `${height}mm`, viewBox: `0 0 ${width} ${height}`,
  }, rect(0, 0, width, height, { fill: '#ffffff' }), pages[n]!))
}

/** All pages of a sheet below one another in a single SVG file. */
export function sheetAsSvg({ pages, paper: { width, height } }: Sheet): string {
  const tall = pages.length * height
  return svgText(
    element(
      'svg',
      {
        xmlns: 'http://www.w3.org/2000/svg',
        width: `${width}mm`,
        height: `${tall}mm`,
        viewBox: `0 0 ${width} ${tall}`,
      },
      rect(0, 0, width, tall, { fill: '#ffffff' }),
      ...pages.map((page, n) => group({ transform: `translate(0 ${n * height})` }, page)),
    ),
  )
}
