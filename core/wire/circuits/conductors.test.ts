import { describe, expect, it } from 'vitest'
import { wiredWall, powerBox } from '../../../tests/fixtures/wired'
import { fillOf } from '../boxes/fill'
import type { CableModel } from '../../job'
import { leastArea } from './conductors'
import { areaForDrop, dropOf } from './drop'

const cable = (id: string, area: number, more: Partial<CableModel> = {}): CableModel =>
  ({
    id, kind: 'power', diameter: 8 + area / 2, lengths: [25_000, 50_000, 100_000], inWall: true, amps: 20, area,
    ...more,
  })

describe('voltage drop', () => {
  it('of 10 A over 40 m of 2.5 mm², hot: 2 × 40 × 10 × 0.0225 ÷ 2.5 = 7.2 V, 3.13 % of 230 V', () => {
    const { volts, share } = dropOf([{ length: 40_000, area: 2.5 }], 10, 230)
    expect([volts.toFixed(4), share.value.toFixed(3), share.unit]).toEqual(['7.2000', '3.130', '%'])
    // The same over two stretches of unlike cables: 30 m of 2.5 and 10 m of 1.5.
    const uneven = dropOf([{ length: 30_000, area: 2.5 }, { length: 10_000, area: 1.5 }], 10, 230)
    expect(uneven.volts).toBeCloseTo(5.4 + 3, 9)
  })

  it('is kept at 3 % by what it asks for: over 40 m at 10 A and 230 V 2.609 mm²', () => {
    expect(areaForDrop(40_000, 10, 230)).toBeCloseTo(2 * 40 * 10 * 0.0225 / 6.9, 9)
    expect(dropOf([{ length: 40_000, area: areaForDrop(40_000, 10, 230) }], 10, 230).share.value).toBeCloseTo(3, 9)
  })
})

describe('conductors behind a breaker', () => {
  it.each([[15, 'nec', 2.08], [20, 'nec', 3.31], [30, 'nec', 5.26], [13, 'iec', 1.5], [16, 'iec', 2.5], [20, 'iec', 4],
    [32, 'iec', 6]] as const)('of %s A by %s are of at least %s mm²', (amps, rules, area) =>
    expect(leastArea(amps, rules).area).toBe(area))

  it('are by the stricter rule where the site says none', () => {
    expect(leastArea(16, undefined)).toEqual({ area: 3.31, source: 'NEC 240.4(D)' })
    expect(leastArea(20, undefined).area).toBe(4)
  })
})

describe('the fill of a box', () => {
  it('of two cables of 2.5 mm² and a device is eight conductors of 36.9 cm³ (NEC 314.16)', () => {
    const model = { ...powerBox, volume: 295 }
    expect(fillOf(model, 2, 2.5)!.value).toBeCloseTo(100 * 8 * 36.9 / 295, 9)
    expect(fillOf(model, 1, 2.5)!.value).toBeCloseTo(100 * 6 * 36.9 / 295, 9)
    // Five cables: ten live, four earths as one and a quarter more, clamps and a device.
    expect(fillOf(model, 5, 2.5)!.value).toBeCloseTo(100 * 14.25 * 36.9 / 295, 9)
  })

  it('is by the maker’s own figure where there is one, and not known without either', () => {
    expect(fillOf({ ...powerBox, conductors: 6 }, 3, undefined)!.value).toBeCloseTo(150, 9)
    expect(fillOf({ ...powerBox, volume: undefined }, 2, 2.5)).toBeUndefined()
    expect(fillOf(powerBox, 2, undefined)).toBeUndefined()
  })
})

describe('a circuit', () => {
  const long = (away: number, ...cables: CableModel[]) => wiredWall(cables, (wall) => { wall.sources![0]!.away = away })

  it('of six boxes has one home run, and loses what its farthest box’s cable loses at its own current', () => {
    const { circuits: [circuit], routes, cables } = long(40_000, cable('c25', 2.5))
    expect(routes.filter(({ from }) => from === 's1')).toHaveLength(1)
    expect(circuit!.chain.map(({ from }) => from)).toEqual(['s1', ...circuit!.chain.slice(0, -1).map(({ box }) => box)])
    const length = cables.filter(({ kind }) => kind === 'power').reduce((sum, { needed }) => sum + needed.value, 0)
    expect(circuit!.drop!.volts).toBeCloseTo(2 * (length / 1000) * (6 * 165 / 230) * 0.0225 / 2.5, 9)
  })

  it('takes the thicker cable where the thinner would lose more than 3 %, and says so where none will do', () => {
    const models = (away: number) => {
      const { cables, codes } = long(away, cable('c25', 2.5), cable('c60', 6))
      const taken = cables.flatMap(({ kind, model }) => kind === 'power' ? model?.id ?? [] : [])
      return [[...new Set(taken)], codes] as const
    }
    expect(models(20_000)[0]).toEqual(['c25'])
    expect(models(90_000)[0]).toEqual(['c60'])
    expect(models(90_000)[1]).not.toContain('voltage-drop')
    expect(long(95_000, cable('c25', 2.5)).codes).toContain('voltage-drop')
  })

  it('feeds those screens only for which it is entered', () => {
    const { circuits, left } = wiredWall([cable('c25', 2.5)], (wall) => {
      wall.sources![0]!.for = ['a1-r1c1', 'a1-r2c3']
    })
    expect([circuits[0]!.screens, left.length]).toEqual([['a1-r1c1', 'a1-r2c3'], 4])
  })
})
