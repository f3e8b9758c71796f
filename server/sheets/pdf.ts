import PDFDocument from 'pdfkit'
import type { Sheet } from '../../core/sheet'
import type { Shape } from '../../core/svg'
import { draw, type Pen } from './draw'
import { undrawable } from './typefaces'

const POINTS_PER_MM = 72 / 25.4

/** Every text in drawings, in turn. */
function* textsOf(shapes: (Shape | string)[]): Generator<string> {
  for (const shape of shapes) {
    if (typeof shape === 'string') yield shape.normalize('NFC')
    else yield* textsOf(shape.content)
  }
}

const named = (letter: string) => `U+${letter.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`

/** What is written on every page where letters of a name could not be drawn. */
function noteOf(pages: Shape[]): string {
  const letters = undrawable(textsOf(pages))
  if (letters.length === 0) return ''
  const told = letters.slice(0, 12).map(named).join(', ')
  return `This PDF has no typeface for ${letters.length === 1 ? 'one letter' : `${letters.length} letters`} in the `
    + `names, which ${letters.length === 1 ? 'appears' : 'appear'} as □: ${told}${letters.length > 12 ? ', …' : ''}. `
    + `The SVG of this sheet has them.`
}

/**
 * A sheet as a PDF of its pages, true to the scale it states when printed at 100 %.
 *
 * @param made when it was made; with the same moment the same sheet gives the same bytes
 */
export function sheetAsPdf({ pages, paper }: Sheet, title: string, made = new Date()): Promise<Buffer> {
  const size: [number, number] = [paper.width * POINTS_PER_MM, paper.height * POINTS_PER_MM]
  const document = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    size,
    info: { Title: title, Creator: 'Wide Trellis', CreationDate: made },
  })
  const chunks: Buffer[] = []
  const done = new Promise<Buffer>((finish, fail) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => finish(Buffer.concat(chunks)))
    document.on('error', fail)
  })
  const note = noteOf(pages)
  const noteLine: Shape = {
    name: 'text',
    attributes: { 'x': paper.margin, 'y': paper.height - paper.margin - 6.8, 'font-size': 2.6, 'font-weight': 600 },
    content: [note],
  }
  for (const page of pages) {
    document.addPage({ size, margin: 0 })
    document.scale(POINTS_PER_MM)
    const pen: Pen = {}
    draw(document, page, pen)
    draw(document, noteLine, pen)
  }
  document.end()
  return done
}
