import type { Shape } from '../../core/svg'
import { runsOf } from './typefaces'

const number = (value: string | number | undefined, otherwise = 0) => value === undefined ? otherwise : Number(value)

/** With what a page was drawn last: most elements are drawn as the one before them, and need not say so again. */
export type Pen = Partial<Record<'fill' | 'stroke' | 'width' | 'dashes' | 'font', string>>

const WRITTEN = { lineBreak: false, baseline: 'alphabetic' } as const

/** Strokes and fills the path that was begun, as the attributes of an element say. */
function paint(
  document: PDFKit.PDFDocument,
  { fill = 'none', stroke = 'none', 'stroke-width': width = 1, 'stroke-dasharray': dashes = '' }: Shape['attributes'],
  pen: Pen,
): void {
  const set = (what: keyof Pen, value: string | number, act: () => unknown) => {
    if (pen[what] === String(value)) return
    pen[what] = String(value)
    act()
  }
  const [filled, stroked] = [fill !== 'none', stroke !== 'none']
  if (filled) set('fill', fill, () => document.fillColor(String(fill)))
  if (stroked) {
    set('stroke', stroke, () => document.strokeColor(String(stroke)))
    set('width', width, () => document.lineWidth(Number(width)))
    set('dashes', dashes, () => document.addContent(`[${dashes}] 0 d`))
  }
  if (filled && stroked) document.fillAndStroke()
  else if (filled) document.fill()
  else if (stroked) document.stroke()
}

/** Writes a text along its baseline, each stretch of it in the typeface that has its letters. */
function write(document: PDFKit.PDFDocument, { attributes, content }: Shape, pen: Pen): void {
  const {
    x,
    y,
    'font-size': size,
    'font-weight': weight,
    'text-anchor': anchor = 'start',
    fill = '#000000',
  } = attributes
  const text = content.join('').normalize('NFC')
  if (text === '') return
  const runs = runsOf(text, number(weight, 400) > 400)
  const take = (file: string) => {
    if (pen.font === `${file} ${size}`) return
    pen.font = `${file} ${size}`
    document.font(file, number(size))
  }
  // What begins at its place and is of one stretch need not be measured.
  const widths = anchor === 'start' && runs.length === 1
    ? [0]
    : runs.map(({ text, file }) => {
        take(file)
        return document.widthOfString(text)
      })
  const whole = widths.reduce((sum, width) => sum + width, 0)
  let at = number(x) - (anchor === 'end' ? whole : anchor === 'middle' ? whole / 2 : 0)
  if (pen.fill !== fill) document.fillColor(pen.fill = String(fill))
  for (const [n, { text, file }] of runs.entries()) {
    take(file)
    document.text(text, at, number(y), WRITTEN)
    at += widths[n]!
  }
}

/** Draws what a window shows of a drawing of its own, and nothing beside it. */
function drawWindow(
  document: PDFKit.PDFDocument,
  { attributes: { x, y, width, height, viewBox }, content }: Shape,
  pen: Pen,
): void {
  const [left = 0, top = 0] = String(viewBox).split(' ').map(Number)
  document.save()
  document.rect(number(x), number(y), number(width), number(height)).clip()
  document.translate(number(x) - left, number(y) - top)
  // What was set within does not last beyond it, and what was set before is not known to the pen within.
  for (const part of content) draw(document, part, {})
  document.restore()
  Object.assign(pen, { fill: undefined, stroke: undefined, width: undefined, dashes: undefined, font: undefined })
}

/** Draws an element of a sheet, and what is in it, on the current page of a PDF whose unit is the sheet's. */
export function draw(document: PDFKit.PDFDocument, shape: Shape | string, pen: Pen): void {
  if (typeof shape === 'string') return
  const { name, attributes, content } = shape
  if (name === 'g') {
    for (const part of content) draw(document, part, pen)
    return
  }
  if (name === 'text') return write(document, shape, pen)
  if (name === 'svg') return drawWindow(document, shape, pen)
  if (name === 'line')
    document.moveTo(number(attributes.x1), number(attributes.y1)).lineTo(number(attributes.x2), number(attributes.y2))
  else if (name === 'rect')
    document.rect(number(attributes.x), number(attributes.y), number(attributes.width), number(attributes.height))
  else if (name === 'circle') document.circle(number(attributes.cx), number(attributes.cy), number(attributes.r))
  else throw new Error(`a sheet has no way to draw <${name}>`)
  paint(document, attributes, pen)
}
