import { describe, expect, it } from 'vitest'
import type { TrueScreen } from '~~/core/true'
import { posesNow, practiceFeeler, practiceLevel, type PracticeWall } from './gauge'
import type { InstrumentEvent } from './instrument'

const screen = (row: number, column: number): TrueScreen => ({
  name: `r${row}c${column}`,
  id: `s${row}${column}`,
  row,
  column,
  width: 1000,
  height: 600,
  span: 400,
  depthSpan: { x: 400, y: 300 },
  depth: 8,
  roll: 0.03,
  travels: (['height-left', 'height-right', 'lateral'] as const).map(adjuster => ({ adjuster, least: -12, most: 12 })),
})
const wall = (turned = new Map<string, number>()): PracticeWall => ({
  key: 'holm-point/ticket-hall',
  screens: [screen(1, 1), screen(1, 2)],
  gap: { x: 2, y: 2 },
  turned,
})

describe('a practice feeler gauge', () => {
  async function read(now: PracticeWall) {
    const gauge = practiceFeeler(() => now)
    const heard: InstrumentEvent[] = []
    gauge.listen(event => heard.push(event))
    gauge.holdAt({ between: ['r1c1', 'r1c2'], end: 'top' })
    expect(heard).toEqual([])
    await gauge.connect()
    gauge.holdAt({ between: ['r1c1', 'r1c2'], end: 'top' })
    gauge.holdAt({ between: ['r1c1', 'r9c9'], end: 'top' })
    gauge.holdAt({ screen: 'r1c1' })
    return heard.map(event => 'mm' in event ? [event.kind, event.mm] : [])
  }

  it('tells gap and step of the same wall alike, and hears what was turned', async () => {
    const first = await read(wall())
    expect(first.map(([kind]) => kind)).toEqual(['gap', 'step'])
    expect(await read(wall())).toEqual(first)
    // The right case 5 mm to the right: the gap is as much wider, within what the gauge errs twice.
    const [[, gap]] = await read(wall(new Map([['r1c2 lateral', 5]]))) as [[string, number]]
    expect(Math.abs(gap - (first[0]![1] as number) - 5)).toBeLessThan(0.6)
  })
})

describe('a practice level', () => {
  it('tells how far a case is turned, in mm a metre', async () => {
    const now = wall()
    const level = practiceLevel(() => now)
    const heard: number[] = []
    level.listen(event => event.kind === 'roll' && heard.push(event.mmPerM))
    await level.connect()
    level.holdAt({ screen: 'r1c2' })
    expect(Math.abs(heard[0]! - 1000 * posesNow(now).get('r1c2')!.turn)).toBeLessThan(0.5)
  })
})
