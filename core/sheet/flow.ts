import { group, type Shape } from '../svg'
import { drawGrid, gridHeight, type GridColumn } from './grid'
import type { Paper } from './paper'
import { footLine, type Sheet } from './sheet'
import { inLines, label } from './text'

/**
 * Something that stands on a page: a heading, a text, a table whose columns share the width by their shares, or a
 * drawing of a height, drawn from its upper left corner.
 */
export type Block
  = | { heading: string, newPage?: boolean }
    | { text: string, bold?: boolean }
    | { columns: (Omit<GridColumn, 'width'> & { share: number })[], rows: string[][] }
    | { drawing: (left: number, top: number, width: number) => Shape, height: number }

const [LINE, TEXT, HEADING, FOOT] = [4.2, 2.9, 8, 11]
const TITLE = 9

/**
 * Blocks one below the other over as many pages as they take, each page with the title at its head and the cautions at
 * its foot; tables go on over the page with their head again.
 */
export function flowed(title: string, blocks: Block[], paper: Paper): Sheet {
  const { margin, width, height } = paper
  const wide = width - 2 * margin
  const [top, bottom] = [margin + TITLE, height - margin - FOOT]
  const pages: Shape[][] = [[]]
  let y = top
  const turn = () => {
    if (pages.at(-1)!.length > 0) pages.push([])
    y = top
  }
  const room = (needed: number) => { if (y + needed > bottom) turn() }
  const put = (shape: Shape, tall: number) => {
    pages.at(-1)!.push(shape)
    y += tall
  }
  for (const block of blocks) {
    if ('heading' in block) {
      if (block.newPage) turn()
      // A heading is not left alone at the foot of a page.
      room(HEADING + 4 * LINE)
      put(label(block.heading, margin, y + HEADING - 2.5, 3.8, { 'font-weight': 600 }), HEADING)
    }
    else if ('text' in block) {
      for (const line of inLines(block.text, paper, TEXT)) {
        room(LINE)
        put(label(line, margin, y + 3, TEXT, block.bold ? { 'font-weight': 600 } : {}), LINE)
      }
    }
    else if ('rows' in block) {
      const columns = block.columns.map(({ share, ...column }) => ({ ...column, width: share * wide }))
      let rows = block.rows
      do {
        room(gridHeight(Math.min(rows.length, 2)))
        const fits = Math.max(1, Math.floor((bottom - y) / gridHeight(0)) - 1)
        const part = rows.slice(0, fits)
        put(drawGrid(columns, part, margin, y), gridHeight(part.length) + 2)
        rows = rows.slice(part.length)
      } while (rows.length > 0)
    }
    else {
      room(block.height)
      put(block.drawing(margin, y, wide), block.height)
    }
  }
  return {
    paper,
    pages: pages.map((shapes, n) =>
      group(
        {},
        label(title, margin, margin + 4.5, 4.6, { 'font-weight': 600 }),
        ...shapes,
        footLine(paper, n + 1, pages.length),
      ),
    ),
  }
}
