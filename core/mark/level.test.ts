import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Feature, Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { fromPrintedLevel } from './marks'
import { tableOf } from './sheet'

const line = (change: Partial<Feature> = {}): Feature => ({
  id: 'f1',
  kind: 'ceiling-line',
  x: 0,
  y: 2600,
  width: 6200,
  height: 20,
  slope: 4,
  ...change,
})
/**
 * The example wall under a ceiling line that was measured; its array’s middle is at x 3100, its level line at 1938.4.
 */
function marked(features: Feature[], change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  job.walls[0]!.features = features
  change(job)
  const plan = planWall(job.walls[0]!, job)
  return { ...plan, findings: plan.findings.filter(({ stage }) => stage === 'mark') }
}
const follow = (job: Job) => void Object.assign(job.rules, { level: 'building-line' })
const told = ({ findings }: ReturnType<typeof marked>) => findings.map(({ severity, code }) => `${severity} ${code}`)
const of = ({ marking }: ReturnType<typeof marked>, id: string) => marking.marks.find(mark => mark.id === id)!

describe('true to gravity', () => {
  it('warns of a line beside the displays that is off by more than 3 mm/m, either way', () => {
    expect(told(marked([line()]))).toEqual(['caution line-off-level'])
    expect(textToString(marked([line({ slope: -3.1 })]).findings[0]!.message, 'metric')).toContain(
      'falls 3.1 mm/m to the right',
    )
    expect(told(marked([line({ slope: 3 })]))).toEqual([])
    // The outline’s top is at 2226.5: 1500 above it is not beside it any more.
    expect([told(marked([line({ y: 3726 })])).length, told(marked([line({ y: 3727 })])).length]).toEqual([1, 0])
    expect(told(marked([line({ slope: undefined })]))).toEqual([])
  })

  it('turns nothing', () => expect(marked([line()]).marking).toEqual(marked([]).marking))
})

describe('with a line of the building', () => {
  it('marks everything turned about the middle of the array, as it comes on the wall', () => {
    const [level, turned] = [marked([line()]), marked([line()], follow)]
    const [flat, hole] = [of(level, 'a1-r1c1-top-1'), of(turned, 'a1-r1c1-top-1')]
    // 1200 to the left of the middle and 152 above the line, at 4 mm/m: 4.8 lower and 0.608 to the left.
    expect(flat.running).toBeCloseTo(1900, 9)
    expect(hole.running! - flat.running!).toBeCloseTo(-0.608 + 1200 * (1 - Math.cos(0.004)), 4)
    expect(hole.height! - flat.height!).toBeCloseTo(-4.8, 2)
    // Square to the line nothing has changed, and what is left of the margin is reported.
    expect(hole.fromLevel).toBeCloseTo(152, 6)
    expect(flat.margin! - hole.margin!).toBeCloseTo(Math.abs(hole.running! - flat.running!), 6)
    expect(told(turned)).toEqual(['note level-follows-line'])
  })

  it('strikes the line by two heights, off which each mark is as printed', () => {
    const { marking: { marks } } = marked([line()], follow)
    const ends = marks.filter(({ kind }) => kind === 'level-line')
    // 3100 and 1532.7 from the middle, at 4 mm/m.
    expect(ends.map(({ height }) => height!.toFixed(2))).toEqual([
      (1938.4 - 12.4).toFixed(2),
      (1938.4 + 6.13).toFixed(2),
    ])
    expect(
      tableOf(marks, 'metric', {})
        .slice(0, 2)
        .map(({ label, running, height }) => [label, running, height]),
    ).toEqual([
      ['Level line at the datum', '0', '1926'],
      ['Level line at the far end', '4633', '1945'],
    ])
    for (const mark of marks.filter(({ kind }) => kind === 'hole'))
      expect(Math.abs(fromPrintedLevel(mark, 'metric', {})! - mark.fromLevel!)).toBeLessThanOrEqual(0.51)
  })

  it('keeps a tape’s row together, whatever its heights', () => {
    const { marking: { marks } } = marked([line()], follow)
    const row = marks.filter(({ id }) => /r1c\d-top/.test(id))
    expect(new Set(row.map(({ fromLevel }) => fromLevel!.toFixed(6))).size).toBe(1)
    expect(new Set(row.map(({ height }) => height!.toFixed(1))).size).toBe(6)
  })

  it('stops a hole that misses once it is turned', () => {
    const margin = of(marked([line()]), 'a1-r1c1-top-1').margin!
    // Far above the line a hole goes aside by 4 mm/m of its height.
    const steep = marked([line({ slope: Math.ceil(1000 * (margin + 0.5) / 152) })], follow)
    expect(told(steep)).toContain('stop turned-hole-misses')
    expect(steep.marking.marks.filter(({ margin }) => margin !== undefined && margin < 0).length).toBe(
      steep.findings.filter(({ code }) => code === 'turned-hole-misses').length,
    )
  })

  it('is true to gravity, and says so, where no line was measured', () => {
    expect(told(marked([line({ slope: undefined })], follow))).toEqual(['caution no-line-to-follow'])
  })
})
