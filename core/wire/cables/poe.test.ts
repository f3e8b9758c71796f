import { describe, expect, it } from 'vitest'
import { wiredWall } from '../../../tests/fixtures/wired'
import { overEthernet, on } from '../../../tests/fixtures/cures/on'
import { POE_CLASSES, poeClassFor } from './poe'

const powered = (watts: number, more: object) =>
  wiredWall([], (_, job) => overEthernet(watts, more)(on(job)))

describe('power over Ethernet', () => {
  it('takes the least class whose watts at the device do', () => {
    expect([3.84, 3.85, 12.95, 20, 25.6, 71.3].map(watts => poeClassFor(watts)?.class)).toEqual([1, 2, 3, 4, 5, 8])
    expect(poeClassFor(71.4)).toBeUndefined()
  })

  it('loses no more between port and device than 100 m of cable do', () => {
    // Apart from the table: I²R at the least voltage of a port, over two pairs of 20 or 12.5 Ω, or four of 6.25 Ω.
    for (const { class: of, port, device } of POE_CLASSES) {
      const [volts, ohms] = of < 4 ? [44, 20] : of === 4 ? [50, 12.5] : of < 7 ? [50, 6.25] : [52, 6.25]
      const lost = (port / volts) ** 2 * ohms
      expect(port - device).toBeGreaterThan(0)
      expect(Math.abs(port - lost - device)).toBeLessThan(0.15)
    }
  })

  it('reserves at the switch what the class takes, puts the screens on no circuit, and counts their heat', () => {
    const { poe, unpowered, loads, left, heat, codes } = powered(20, {})
    expect(poe.map(({ source, sum, loads }) => [source.id, sum, loads.length])).toEqual([['sw', 180, 6]])
    expect([unpowered, loads, left]).toEqual([[], [], []])
    expect(heat.value).toBe(120)
    expect(codes.filter(code => code.startsWith('poe') || code === 'no-box' || code === 'power-not-known')).toEqual([])
  })

  it('says what is short by name: budget, class, feed', () => {
    const message = (watts: number, more: object, code: string) =>
      powered(watts, more).said.find(each => each.code === code)?.message
    expect(message(20, { poe: 150 }, 'poe-over-budget')).toContain('must reserve 180 W')
    expect(message(30, { poeClass: 4 }, 'poe-port-too-weak')).toContain('require PoE class 5')
    expect(message(20, { kind: 'player' }, 'poe-not-fed')).toContain('no port of a switch feeds them')
    // In a chain the first screen is powered by its port, those after it by nothing.
    const chained = powered(20, { by: 'chain', ports: 1 })
    expect([chained.poe[0]!.loads.length, chained.unpowered.length]).toEqual([1, 5])
  })
})
