export { PAPERS, type PaperName } from './paper'
export { drawSheet, pageAsSvg, sheetAsSvg, type Sheet, type SheetOptions } from './pages'
export { tableOf, TABLE_HEADS, type TableRow } from './table'
export { SHEET_FONT, svgText, type Shape } from './svg'
