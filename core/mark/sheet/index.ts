export { drawSheet, type MarkSheet, type SheetOptions } from './pages'
export { tableOf, TABLE_HEADS, type TableRow } from './table'
