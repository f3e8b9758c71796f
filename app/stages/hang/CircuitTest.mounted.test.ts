import { fireEvent } from '@testing-library/dom'
import { describe, expect, it } from 'vitest'
import { alerts, field, mountAtWall, press, says } from '~~/tests/fixtures/mounted'
import CircuitTest from './CircuitTest.vue'

const type = (label: string, value: string) => fireEvent.input(field(label), { target: { value } })

describe('The test of a circuit', () => {
  it('asks for every result and for who tested, and keeps what failed and what passed later', async () => {
    const passed: unknown[] = []
    const store = await mountAtWall([() => h(CircuitTest, { circuit: 'board-7', onPassed: () => passed.push(1) })])
    const before = store.allLog.length
    await press('Polarity and earth: pass')
    await type('Trip time (ms)', 'fast')
    await press('Record circuit test')
    expect(alerts()).toEqual([
      'Enter pass or fail: RCD or GFCI trip, Load test. Enter who tested, with the number of the licence. '
      + 'Trip time (ms) must be a number.',
    ])
    expect(store.allLog.length).toBe(before)
    await press('RCD or GFCI trip: fail')
    await press('Load test: pass')
    await type('Trip time (ms)', '420')
    await type('Tested by, licence number', 'Una Berg, 4711')
    await press('Record circuit test')
    expect(store.allLog.at(-1)).toMatchObject({
      kind: 'circuit-test', circuit: 'board-7', polarity: true, trip: false, load: true, tripTime: 420,
      tester: 'Una Berg, 4711',
    })
    await says('[data-testid=circuit-tested]', 'RCD or GFCI trip: fail, Load test: pass. Tested by Una Berg, 4711')
    expect(passed).toEqual([])
    for (const test of ['Polarity and earth', 'RCD or GFCI trip', 'Load test']) await press(`${test}: pass`)
    await press('Record circuit test')
    expect(store.allLog.at(-1)).toMatchObject({ kind: 'circuit-test', trip: true })
    expect(passed).toEqual([1])
  })
})
