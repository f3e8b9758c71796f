import { resolve } from 'node:path'
import PDFDocument from 'pdfkit'
import { pageAsSvg, type Sheet } from '../../core/mark/sheet'
import { svgToPdf } from './svgToPdf'

const POINTS_PER_MM = 72 / 25.4

/** The sheet's typeface for the PDF; the same files that the screen loads. */
function fontFile(bold: boolean): string {
  const folder = resolve(process.env.WT_FONTS || 'node_modules/@fontsource/barlow-semi-condensed/files')
  return resolve(folder, `barlow-semi-condensed-latin-${bold ? 600 : 400}-normal.woff`)
}

/** A mark-out sheet as a PDF of its pages, true to the scale it states when printed at 100 %. */
export function sheetAsPdf(sheet: Sheet, title: string): Promise<Buffer> {
  const { pages, paper } = sheet
  const size: [number, number] = [paper.width * POINTS_PER_MM, paper.height * POINTS_PER_MM]
  const document = new PDFDocument({ autoFirstPage: false, margin: 0, size, info: { Title: title, Creator: 'Wide Trellis' } })
  const chunks: Buffer[] = []
  const done = new Promise<Buffer>((finish, fail) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => finish(Buffer.concat(chunks)))
    document.on('error', fail)
  })
  pages.forEach((_, n) => {
    document.addPage({ size, margin: 0 })
    svgToPdf(document, pageAsSvg(sheet, n, POINTS_PER_MM), 0, 0, { width: size[0], height: size[1], assumePt: true, fontCallback: (_family: string, bold: boolean) => fontFile(bold) })
  })
  document.end()
  return done
}
