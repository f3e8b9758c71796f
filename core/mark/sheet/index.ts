export { drawSheet, type MarkSheet, type SheetOptions } from './pages'
export { tableOf, TABLE_HEADS, type TableRow } from './table'
export { drawWall, type View } from './drawing'
export type { SheetJob } from './head'
