import { inflateSync } from 'node:zlib'
import { basename } from 'node:path'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { drawSheet } from '../../core/mark/sheet'
import { PAPERS, type PaperName } from '../../core/sheet'
import { planWall } from '../../core/plan'
import { sheetAsPdf } from './pdf'
import { runsOf, undrawable } from './typefaces'

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

it.each<[PaperName, 'metric' | 'imperial', number]>([
  ['a3', 'metric', 100],
  ['letter', 'imperial', 101.6],
])('is true to scale on %s: the bar is as long as it says', async (paper, units, bar) => {
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

describe('the scripts of a name', () => {
  it('are each written in a typeface that has them', () => {
    const faces = (text: string) => runsOf(text, false).map(({ text, file }) => [text, basename(file)])
    expect(faces('Holm Pêche 6\' ½"')).toEqual([['Holm Pêche 6\' ½"', 'BarlowSemiCondensed_400Regular.ttf']])
    expect(faces('Łódź, Đà Nẵng')).toHaveLength(1)
    expect(faces('Причал 2')).toEqual([
      ['Причал', 'DejaVuSansCondensed.ttf'],
      [' 2', 'BarlowSemiCondensed_400Regular.ttf'],
    ])
    expect(basename(runsOf('Ж', true)[0]!.file)).toBe('DejaVuSansCondensed-Bold.ttf')
  })

  it('that none has, or that is not written letter by letter, stand as boxes and are told', () => {
    expect(undrawable(['Holm Причал', '港 رصيف'])).toEqual(['港', ...'رصيف'])
    expect(runsOf('港2', false).map(({ text }) => text)).toEqual(['□', '2'])
  })

  it('make a PDF that says which letters it could not write, on every page', async () => {
    const told = async (name: string) => {
      const job = exampleJob()
      job.site.name = name
      const pdf = await sheetAsPdf(
        drawSheet(job, job.walls[0]!, planWall(job.walls[0]!, job), {
          paper: 'letter',
          units: 'metric',
          precision: {},
        }),
        'Mark-out',
      )
      return { pdf: pdf.toString('latin1'), texts: contents(pdf).map(page => page.split(' Tf').length) }
    }
    const [plain, cyrillic, kanji] = [await told('Holm'), await told('Причал'), await told('港')]
    expect([plain, cyrillic].map(({ pdf }) => /DejaVu/.test(pdf))).toEqual([false, true])
    // One line more on each page, and a typeface for the box in its heading.
    expect(kanji!.texts.map((count, page) => count - plain!.texts[page]!)).toEqual(plain!.texts.map(() => 4))
  })
})
