import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job } from '../job'
import { planWall } from '../plan'
import { accuracyOf, rowsOf } from './index'
import { svgText } from '../svg'
import { drawSheet, tableOf } from './sheet'

function marked(change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  change(job)
  return planWall(job.walls[0]!, job).marking
}
const by = (marking: ReturnType<typeof marked>, id: string) => marking.marks.find(mark => mark.id === id)!

describe('marks', () => {
  it('run from the datum, and stand on the floor and on the level line', () => {
    const marking = marked(job => Object.assign(job.walls[0]!, { datum: { x: 500, label: 'jamb' } }))
    // Centre line of the top row: 1650.3 + 576.2 / 2
    expect(marking.levelLine!.y).toBeCloseTo(1938.4, 9)
    const hole = by(marking, 'a1-r1c1-top-1')
    expect(hole.running).toBeCloseTo(1900 - 500, 9)
    expect(hole.height).toBeCloseTo(2090.4, 9)
    expect(hole.fromLevel).toBeCloseTo(2090.4 - 1938.4, 9)
    expect([hole.bit, hole.depth, hole.member]).toEqual([6.5, 74, 0])
    expect(by(marking, 'a1-r2c3-plate').running).toBeCloseTo(2078 + 2 * 1022 - 500, 9)
    expect(by(marking, 'a1-corner-tr')).toMatchObject({
      running: expect.closeTo(4632.7 - 500, 9),
      height: expect.closeTo(2226.5, 9),
    })
    expect(by(marking, 'a1-centre-x')).not.toHaveProperty('height')
  })

  it('take the level line from the bottom edge of a single sign, from the rule, or as chosen', () => {
    const single = (job: Job) => void Object.assign(job.walls[0]!.arrays[0]!, { rows: 1, columns: 1 })
    expect(marked(single).levelLine!.y).toBeCloseTo(1650 - 576.2 / 2, 9)
    expect(marked((job) => { job.rules.heightDatum = 'bottom-edge' }).levelLine!.y).toBeCloseTo(1073.5, 9)
    expect(marked((job) => { job.walls[0]!.levelLine = 1200 }).levelLine!.y).toBe(1200)
  })

  it('show where a plate is bolted to its rails, as high as the rail’s own holes', () => {
    const { marks } = marked((job) => {
      Object.assign(job.walls[0]!.arrays[0]!, {
        rows: 1,
        columns: 1,
        carrier: { kind: 'rail', thickness: 21, height: 41, web: 2.5, moment: 150 },
      })
    })
    // A rail is solid all along: one bolt to each of the four slots.
    const bolts = marks.filter(({ kind }) => kind === 'bolt')
    expect(bolts.map(({ label }) => label)).toEqual([
      'R1 C1 bolt 1, top',
      'R1 C1 bolt 2, top',
      'R1 C1 bolt 3, bottom',
      'R1 C1 bolt 4, bottom',
    ])
    const heights = (kind: string) => [
      ...new Set(marks.filter(mark => mark.kind === kind).map(({ height }) => height!.toFixed(3))),
    ]
    expect(heights('bolt')).toEqual(heights('hole'))
    expect(tableOf(bolts, 'metric', {}).map(({ drill, into }) => [drill, into])[0]).toEqual(['maker’s bolt', ''])
  })

  it('are none while there is no array', () => {
    const marking = marked((job) => { job.walls[0]!.arrays = [] })
    expect(marking).toEqual({ datum: { x: 0, label: 'left edge of the wall' }, levelLine: undefined, marks: [] })
  })

  it('come in rows that a tape is laid along once', () => {
    const rows = rowsOf(marked().marks)
    expect(rows.map(({ label, marks }) => [label, marks.length])).toEqual([
      ['R1 top', 6],
      ['R1 bottom', 6],
      ['R2 top', 6],
      ['R2 bottom', 6],
    ])
    for (const { marks } of rows)
      expect(marks.map(({ running }) => running)).toEqual(
        [...marks.map(({ running }) => running)].sort((a, b) => a - b),
      )
  })
})

describe('accuracy', () => {
  it('states the rounding that was really made, and what chained measuring would add', () => {
    const { marks } = marked()
    const metric = accuracyOf(marks, 'metric', { decimals: 0 }, 1)
    // Read back as a person at the wall reads the sheet: the line where it is printed, and each height off it.
    const read = (text: string) => Number(text.replace('−', '-'))
    const rows = tableOf(marks, 'metric', { decimals: 0 })
    const line = read(rows.find(({ kind }) => kind === 'level-line')!.height)
    const errors = rows.flatMap(({ running, height, fromLevel }, n) => [
      running === '' ? 0 : read(running) - marks[n]!.running!,
      height === '' ? 0 : read(height) - marks[n]!.height!,
      fromLevel === '' ? 0 : line + read(fromLevel) - marks[n]!.height!,
    ])
    expect(metric.rounding).toBeCloseTo(Math.max(...errors.map(Math.abs)), 9)
    expect(metric.rounding).toBeGreaterThan(0.3)
    // A height off the line is no farther out than one from the floor can be.
    expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(0.5)
    expect(metric).toMatchObject({ running: 1, inRow: 6, markToMark: expect.closeTo(Math.sqrt(6), 9) })
    const imperial = accuracyOf(marks, 'imperial', {}, 1).rounding
    expect(imperial).toBeLessThanOrEqual(25.4 / 32)
    expect(imperial).toBeGreaterThan(metric.rounding)
  })
})

describe('the sheet', () => {
  it('says that a hole misses, and that the plan is not to be drilled from', () => {
    const job = exampleJob()
    const wall = job.walls[0]!
    const options = { paper: 'a3', units: 'metric', precision: {} } as const
    expect(drawSheet(job, wall, planWall(wall, job), options).pages.map(svgText).join()).not.toContain(
      'Not to be drilled',
    )
    wall.arrays[0]!.at.x.value += 120
    const planned = planWall(wall, job)
    const missed = tableOf(planned.marking.marks, 'metric', {}).filter(({ misses }) => misses)
    expect(missed.map(({ into }) => into)).toContain('misses 1')
    expect(missed).toHaveLength(planned.findings.filter(({ code }) => code === 'hole-misses-member').length)
    expect(svgText(drawSheet(job, wall, planned, options).pages[0]!)).toContain(
      `Do not drill from this sheet: ${planned.findings.length} stops are open`,
    )
  })
})
