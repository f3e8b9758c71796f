import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { describe, expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { pdfText } from '../../tests/fixtures/pdfText'
import { exampleJob } from '../../tests/fixtures/job'
import { templateSubjects } from '../../core/mark/template'
import { draftOf } from '../../core/revision'
import { kitFile, sheetFile, templatesFile } from './files'

const OPTIONS = { units: 'metric' as const, precision: {} }
const MM = 72 / 25.4

/** Texts of a page with their places on paper, mm from its lower left corner, as another program reads them. */
async function placed(pdf: Uint8Array, page = 1): Promise<{ text: string, x: number, y: number }[]> {
  const document = await getDocument({ data: Uint8Array.from(pdf), useSystemFonts: true, verbosity: 0 }).promise
  const { items } = await (await document.getPage(page)).getTextContent()
  return items.flatMap(item =>
    'str' in item && item.str.trim() !== ''
      ? [{ text: item.str, x: (item.transform as number[])[4]! / MM, y: (item.transform as number[])[5]! / MM }]
      : [],
  )
}

describe('a template', () => {
  it('has its holes as far apart on paper as they are on the wall', async () => {
    const job = exampleJob()
    const source = draftOf(job, job.walls[0]!)
    const pdf = await templatesFile(source, 'pdf', 'a1-r1c1', { ...OPTIONS, paper: 'a1' }) as Uint8Array
    const labels = (await placed(pdf)).filter(({ text }) => text.includes('6.5') && text.includes('× 74'))
    const holes = source.plan.arrays[0]!.positions[0]!.holes!
    expect(labels).toHaveLength(holes.length)
    const [a, b] = [labels.map(({ x, y }) => [x, y] as const), holes.map(({ x, y }) => [x, y] as const)]
    for (const [n, [x, y]] of b.entries()) {
      expect(a[n]![0] - a[0]![0]).toBeCloseTo(x - b[0]![0], 2)
      expect(a[n]![1] - a[0]![1]).toBeCloseTo(y - b[0]![1], 2)
    }
    const texts = (await pdfText(pdf)).flat().join(' ')
    expect(texts).toContain('this bar is 100 mm long')
    expect(texts).toContain('DRAFT')
    expect(texts).toContain('Centre from left edge of the wall and above floor: R1 C1 ')
  })

  it('is one for all plates that are alike, and one for each that is not', () => {
    const job = exampleJob()
    const { wall, plan, catalogue } = draftOf(job, job.walls[0]!)
    const subjects = templateSubjects(wall, plan, catalogue)
    expect(subjects.flatMap(({ ids }) => ids).sort()).toEqual(plan.arrays[0]!.positions.map(({ id }) => id).sort())
    // Rows above each other stand on the same members.
    expect(subjects.length).toBeLessThanOrEqual(3)
    const hall = demoWall('holm-point', 'ticket-hall')
    const source = draftOf(hall.job, hall.wall)
    expect(
      templateSubjects(source.wall, source.plan, source.catalogue)
        .filter(({ kind }) => kind === 'cut-out')
        .flatMap(({ ids }) => ids)
        .sort(),
    ).toEqual(
      source.plan.wiring.boxes
        .filter(({ held, kind }) => held && kind !== 'floor')
        .map(({ id }) => id)
        .sort(),
    )
  })

  it('goes over as many pages as it takes; a cross that two tiles share is at one place', async () => {
    const job = exampleJob()
    const source = draftOf(job, job.walls[0]!)
    const pdf = (await templatesFile(source, 'pdf', 'a1-r1c1', {
      ...OPTIONS,
      paper: 'letter',
      units: 'imperial',
    })) as Uint8Array
    const pages = await pdfText(pdf)
    expect(pages.length).toBeGreaterThan(5)
    for (const page of pages) expect(page.join(' ')).toContain('this bar is 4 in long')
    expect(await templatesFile(source, 'pdf', 'nothing', { ...OPTIONS, paper: 'a4' })).toBeUndefined()
  })
})

describe('a sheet to a stated scale', () => {
  it('draws the wall over as many pages as that needs, and the marks by row after it', async () => {
    const job = exampleJob()
    const source = draftOf(job, job.walls[0]!)
    const pages = await pdfText(
      (await sheetFile(source, 'pdf', {
        ...OPTIONS,
        paper: 'a3',
        scale: 10,
        address: 'http://host/sites/s/walls/w1',
      })) as Uint8Array,
    )
    expect(pages[0]!.join(' ')).toContain('drawn 1:10 on A3')
    // 6200 × 3300 at 1:10 are 620 × 330 mm: two tiles across and two down.
    expect(
      pages.filter(page => page.some(text => text.includes('align the crosses of neighbouring tiles'))),
    ).toHaveLength(4)
    const table = pages.slice(4).flat()
    const at = (text: string) => table.findIndex(each => each.includes(text))
    const order = [
      'Level line first',
      'Centre lines',
      'Array corners',
      'Plate centres',
      'Holes, R1 top',
      'Holes, R1 bottom',
      'Holes, R2 top',
      'Holes, R2 bottom',
    ].map(at)
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(Math.min(...order)).toBeGreaterThanOrEqual(0)
  })
})

it('lists parts and tools to tick off, as PDF and for a spreadsheet', async () => {
  const job = exampleJob()
  const source = draftOf(job, job.walls[0]!)
  expect(
    (await pdfText((await kitFile(source, 'pdf', { ...OPTIONS, paper: 'a4' })) as Uint8Array)).flat().join(' '),
  ).toContain('parts and tools')
  expect(String(await kitFile(source, 'csv', { ...OPTIONS, paper: 'a4' }))).toMatch(
    /\r\nfasteners,[^\r]*,24,3,One for each hole not drilled yet/,
  )
})
