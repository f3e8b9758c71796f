import { describe, expect, it } from 'vitest'
import { demoWall } from '../../../tests/fixtures/demo'
import { exampleJob } from '../../../tests/fixtures/job'
import type { ScreenArray } from '../../job'
import { NOTHING_BUILT, type Override } from '../../log'
import { planWall } from '../../plan'
import { pageAsSvg, PAPERS, scaleFor } from '../../sheet'
import { element, svgText } from '../../svg'
import { drawSheet, tableOf, type MarkSheet, type SheetOptions } from './index'

/** A sheet with its pages as SVG text. */
const written = (sheet: MarkSheet) => ({ whole: sheet, sheet: { ...sheet, pages: sheet.pages.map(svgText) } })
function drawn(options: Partial<SheetOptions> = {}, rows = 2, columns = 3) {
  const job = exampleJob()
  const wall = job.walls[0]!
  Object.assign(wall.arrays[0]!, { rows, columns })
  const plan = planWall(wall, job)
  return { plan, ...written(drawSheet(job, wall, plan, { paper: 'a3', units: 'metric', precision: {}, ...options })) }
}
const times = (text: string, part: string) => text.split(part).length - 1

describe('the scale', () => {
  it('is the least that a ruler carries and the wall fits', () => {
    expect(scaleFor({ width: 6200, height: 3300 }, { width: 388, height: 138 }, 'metric')).toBe(25)
    expect(scaleFor({ width: 6200, height: 3300 }, { width: 388, height: 138 }, 'imperial')).toBe(24)
    expect(scaleFor({ width: 100, height: 100 }, { width: 388, height: 138 }, 'metric')).toBe(1)
    expect(scaleFor({ width: 500_000, height: 1 }, { width: 400, height: 100 }, 'metric')).toBe(1300)
  })

  it('is stated on every page with its paper', () => {
    const { sheet } = drawn({ paper: 'letter', units: 'imperial' }, 5, 5)
    expect(sheet.pages.length).toBeGreaterThan(1)
    for (const page of sheet.pages) expect(page).toContain(`drawn 1:${sheet.scale} on Letter · feet and inches`)
  })
})

describe('the table', () => {
  it.each(['a3', 'letter'] as const)('has every mark once, over as many pages of %s as it takes', (paper) => {
    const { plan, sheet } = drawn({ paper }, 5, 5)
    const all = sheet.pages.join('')
    for (const { label } of tableOf(plan.marking.marks, 'metric', {})) expect(times(all, `>${label}<`), label).toBe(1)
    sheet.pages.forEach((page, n) => expect(page).toContain(`page ${n + 1} of ${sheet.pages.length}`))
  })

  it.each(['metric', 'imperial'] as const)('keeps its columns apart in %s units, however long a name is', (units) => {
    const job = exampleJob()
    const wall = job.walls[0]!
    wall.arrays[0]!.name = 'Departures and arrivals of the northern and southern piers'
    const sheet = drawSheet(job, wall, planWall(wall, job), { paper: 'letter', units, precision: {} })
    const rows = new Map<string, { from: number, to: number }[]>()
    for (const [, x, y, anchor, text] of sheet.pages
      .map(svgText)
      .join('')
      .matchAll(/<text x="([\d.]+)" y="([\d.]+)" font-size="2.7"[^>]*text-anchor="(start|end)"[^>]*>([^<]*)</g)) {
      // The letters of the sheet's typeface are under half their size wide, on average; strokes and spaces half of
      // that.
      const wide = [...text!.replaceAll('&quot;', '"')].reduce(
        (sum, letter) => sum + (/['"/ 1.]/.test(letter) ? 0.26 : 0.48) * 2.7,
        0,
      )
      const at = Number(x)
      rows.set(y!, [
        ...(rows.get(y!) ?? []),
        anchor === 'end' ? { from: at - wide, to: at } : { from: at, to: at + wide },
      ])
    }
    for (const cells of rows.values()) {
      const along = cells.sort((a, b) => a.from - b.from)
      along.slice(1).forEach((cell, n) => expect(cell.from).toBeGreaterThan(along[n]!.to))
    }
    expect(rows.size).toBeGreaterThan(20)
  })

  it('keeps inside the paper', () => {
    const { sheet } = drawn({ paper: 'letter' }, 5, 5)
    const { width, height, margin } = PAPERS.letter
    for (const page of sheet.pages) {
      const along = (name: string) =>
        [...page.matchAll(new RegExp(` ${name}[12]?="(-?[\\d.]+)"`, 'g'))].map(([, at]) => Number(at))
      for (const [places, size] of [[along('x'), width], [along('y'), height]] as const) {
        expect(Math.min(...places)).toBeGreaterThanOrEqual(margin - 0.01)
        expect(Math.max(...places)).toBeLessThanOrEqual(size - margin + 0.01)
      }
      // Text that begins within the paper also ends there: no letter is wider than its size.
      for (const [, x, size, text] of page.matchAll(
        /<text x="([\d.]+)" y="[\d.]+" font-size="([\d.]+)"[^>]*?>([^<]*)</g,
      )) {
        if (!/text-anchor/.test(page.slice(page.indexOf(text!) - 120, page.indexOf(text!))))
          expect(Number(x) + 0.5 * Number(size) * text!.length, text).toBeLessThanOrEqual(width - margin + 8)
      }
    }
    expect(sheet.pages.every(page => page.includes('earthquake restraint'))).toBe(true)
  })

  it('says what is not known, and signs what is above or below the level line', () => {
    const job = exampleJob()
    const wall = job.walls[0]!
    Object.assign(wall.structure, { specificGravity: undefined })
    const rows = tableOf(planWall(wall, job).marking.marks, 'metric', {})
    expect(rows.find(({ id }) => id === 'a1-r1c1-top-1')).toMatchObject({
      running: '1900',
      height: '2090',
      fromLevel: '+152',
      drill: 'not known',
      into: 'stud 1',
    })
    expect(rows.find(({ id }) => id === 'a1-r2c1-bottom-1')!.fromLevel).toMatch(/^−/)
    expect(rows.find(({ id }) => id === 'level-line')).toMatchObject({
      running: '',
      height: '1938',
      fromLevel: '',
      drill: '',
    })
  })
})

describe('a page by itself', () => {
  it('is as large as its paper', () => {
    expect(pageAsSvg(drawn().whole, 0)).toContain('width="420mm" height="297mm" viewBox="0 0 420 297"')
  })

  it('lets no name break the drawing', () => {
    expect(svgText(element('text', { 'data-name': '"<&' }))).not.toMatch(/="[^"]*[<]/)
    const job = exampleJob()
    job.walls[0]!.name = 'Café <b> & "bar"'
    const sheet = drawSheet(job, job.walls[0]!, planWall(job.walls[0]!, job), {
      paper: 'a3',
      units: 'metric',
      precision: {},
    })
    expect(svgText(sheet.pages[0]!)).toContain('Café &lt;b&gt; &amp; ')
    expect(svgText(element('text', {}, 'a\u0000b\uD800c\u{1F6A2}'))).toBe('<text>a\uFFFDb\uFFFDc\u{1F6A2}</text>')
  })
})

describe('what is to be known beside the marks', () => {
  const sheetOf = (change: (array: ScreenArray) => void, overrides: Override[] = []) => {
    const job = exampleJob()
    const [wall] = job.walls
    change(wall!.arrays[0]!)
    return drawSheet(job, wall!, planWall(wall!, job, { ...NOTHING_BUILT, overrides }), {
      paper: 'a3',
      units: 'metric',
      precision: {},
    })
      .pages.map(svgText)
      .join('')
  }
  it('is what was put by hand, and the stops that somebody took on, with the reasons', () => {
    const sheet = sheetOf(
      (array) => {
        array.plates = [{ row: 1, column: 1, lateralShift: 4, reason: 'a conduit' }]
        array.screw = 6
      },
      [
        {
          code: 'display-screw-too-short',
          subject: 'a1',
          by: 'Isla Brand',
          reason: 'Hooks carry it',
          at: '2026-06-03T10:00:00Z',
        },
      ],
    )
    expect(sheet).toContain('R1 C1 plate centre, manual')
    expect(sheet).toContain('lateral adjustment 4 mm, height adjustment 0 mm; reason: a conduit.')
    expect(sheet).toContain('Stop overridden by Isla Brand, 3 Jun 2026: “Hooks carry it”.')
    expect(sheetOf(() => {})).not.toContain('manual decisions')
  })

  it('is each house rule that concerns the wall, and what the build-up asks of the drill', () => {
    const sheetOf = (...of: Parameters<typeof demoWall>) => {
      const { job, wall } = demoWall(...of)
      return drawSheet(job, wall, planWall(wall, job), { paper: 'a3', units: 'metric', precision: {} })
    }
    const [studs, block] = [sheetOf('holm-point', 'ticket-hall'), sheetOf('stennick', 'departures-row')]
    const [ofStuds, ofBlock] = [studs, block].map(({ pages }) => pages.map(svgText).join(''))
    expect(ofStuds).toContain('confirming a stud')
    expect(ofStuds).not.toMatch(/mortar joints|over furring|Hammer action/)
    expect(ofBlock).toMatch(/mortar joints: .*over furring/s)
    expect(ofBlock).toContain('Hammer action breaks hollow block. Drill without hammer')
    // 6200 × 3300 mm fit an A3 sheet at 1:25 beside half a page of table, under a head of two lines of rules.
    expect(studs.scale).toBe(25)
  })

  it('is each rail to cut, and where it goes', () => {
    const sheet = sheetOf((array) => {
      Object.assign(array, {
        rows: 1,
        columns: 1,
        carrier: { kind: 'rail', thickness: 21, height: 41, web: 2.5, moment: 150 },
      })
    })
    // Bolts 135 either side of 3100, between the members at 2900 and 3300.
    expect(sheet).toContain(
      'Departures, row 1: rail behind the top slots, 500 long, ends at 2850 and 3350, centre 1802 above floor, on '
      + 'studs 3, 4.',
    )
  })
})
