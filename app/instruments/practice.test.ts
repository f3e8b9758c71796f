import { describe, expect, it } from 'vitest'
import type { InstrumentEvent } from './instrument'
import { hiddenMembers, practiceDetector, practiceDistanceMeter, practiceLocator } from './practice'

const WALL = 'holm-point/cafe'

describe('a practice stud detector', () => {
  it('tells both edges of a stud that it is near, each within what a detector errs', async () => {
    const detector = practiceDetector(WALL)
    const heard: InstrumentEvent[] = []
    detector.listen(event => heard.push(event))
    await detector.connect()
    const [stud] = hiddenMembers(WALL)
    detector.holdAt(stud!.centre + 20)
    expect(heard.map(event => event.kind === 'reading' && event.reading.edge)).toEqual(['left', 'right'])
    for (const event of heard) {
      if (event.kind !== 'reading') throw new Error('a detector tells readings')
      const edge = stud!.centre + (event.reading.edge === 'left' ? -0.5 : 0.5) * stud!.width
      expect(Math.abs(event.reading.x - edge)).toBeLessThan(15)
    }
  })

  it('is silent between studs, before it is connected, after it is put away, and to who stopped listening', async () => {
    const detector = practiceDetector(WALL)
    const heard: InstrumentEvent[] = []
    const stop = detector.listen(event => heard.push(event))
    const [a, b] = hiddenMembers(WALL).map(({ centre }) => centre) as [number, number]
    detector.holdAt(a)
    await detector.connect()
    detector.holdAt((a + b) / 2)
    await detector.disconnect()
    detector.holdAt(a)
    await detector.connect()
    stop()
    detector.holdAt(a)
    expect(heard).toEqual([])
  })

  it('has the same studs behind the same wall', () => {
    expect(hiddenMembers(WALL)).toEqual(hiddenMembers(WALL))
    expect(hiddenMembers(WALL)).not.toEqual(hiddenMembers('stennick/departures-row'))
  })
})

describe('a practice distance meter', () => {
  it('tells whole millimetres, a few at most from where it is held', async () => {
    const meter = practiceDistanceMeter()
    const heard: number[] = []
    meter.listen(event => event.kind === 'length' && heard.push(event.mm))
    meter.holdAt(1000)
    await meter.connect()
    for (let x = 100; x < 3000; x += 137.5) meter.holdAt(x)
    expect(heard).toHaveLength(22)
    heard.forEach((mm, n) => {
      expect(Number.isInteger(mm)).toBe(true)
      expect(Math.abs(mm - (100 + 137.5 * n))).toBeLessThan(5)
    })
  })
})

describe('a practice locator', () => {
  it('tells where its sender is, some millimetres out, once it is connected', async () => {
    const locator = practiceLocator()
    const heard: number[] = []
    locator.listen(event => event.kind === 'length' && heard.push(event.mm))
    locator.holdAt(1000)
    await locator.connect()
    for (let x = 100; x < 6000; x += 97.3) locator.holdAt(x)
    expect(heard).toHaveLength(61)
    const off = heard.map((mm, n) => mm - (100 + 97.3 * n))
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(30)
    expect(off.some(mm => Math.abs(mm) > 2)).toBe(true)
  })
})
