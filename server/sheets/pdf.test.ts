import { inflateSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { drawSheet, PAPERS, type PaperName } from '../../core/mark/sheet'
import { planWall } from '../../core/plan'
import { sheetAsPdf } from './pdf'

/** The drawing instructions of a PDF's pages. */
function contents(pdf: Buffer): string[] {
  const text = pdf.toString('latin1')
  return [...text.matchAll(/FlateDecode[^>]*>>\s*stream\n([\s\S]*?)\nendstream/g)]
    .map(([, stream]) => inflateSync(Buffer.from(stream!, 'latin1')).toString('latin1'))
    .filter(stream => / cm\b/.test(stream))
}

/** Lengths on paper, mm, of every line to a point on one page, as the reader of the PDF will lay it out. */
function lines(page: string): number[] {
  const scales = [1]
  let from = [0, 0]
  return page.split('\n').flatMap((instruction) => {
    const [a = 0, b = 0] = instruction.split(' ').map(Number)
    if (instruction === 'q') scales.push(scales.at(-1)!)
    if (instruction === 'Q') scales.pop()
    if (instruction.endsWith(' cm')) scales[scales.length - 1]! *= Math.hypot(a, b)
    if (!/ [ml]$/.test(instruction)) return []
    const length = Math.hypot(a - from[0]!, b - from[1]!) * scales.at(-1)! * 25.4 / 72
    from = [a, b]
    return instruction.endsWith('l') ? [length] : []
  })
}
const like = (lengths: number[], mm: number) => lengths.filter(length => Math.abs(length - mm) < 0.01)

it.each<[PaperName, 'metric' | 'imperial', number]>([['a3', 'metric', 100], ['letter', 'imperial', 101.6]])('is true to scale on %s: the bar is as long as it says', async (paper, units, bar) => {
  const job = exampleJob()
  const wall = job.walls[0]!
  const sheet = drawSheet(job, wall, planWall(wall, job), { paper, units, precision: {} })
  const pages = contents(await sheetAsPdf(sheet, 'Mark-out'))
  expect(pages).toHaveLength(sheet.pages.length)
  const drawn = lines(pages[0]!)
  expect(like(drawn, bar)).toHaveLength(1)
  // The line below the heading runs from margin to margin.
  expect(like(drawn, PAPERS[paper].width - 2 * PAPERS[paper].margin)).toHaveLength(1)
})
