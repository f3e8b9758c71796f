// @ts-expect-error the package ships no types of its own
import untyped from 'svg-to-pdfkit'

export interface SvgToPdfOptions {
  width: number
  height: number
  /** Whether lengths without a unit are points. */
  assumePt: boolean
  /** The file, or the name registered with the document, of the typeface to write in. */
  fontCallback: (family: string, bold: boolean, italic: boolean) => string
}

/** Draws an SVG on the current page of a PDF, its top left corner at x, y points. */
export const svgToPdf = untyped as (document: PDFKit.PDFDocument, svg: string, x: number, y: number, options: SvgToPdfOptions) => void
