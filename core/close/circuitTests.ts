import { authorText, type EntryOf } from '../log'
import type { Block } from '../sheet'
import { quantityToString } from '../units'
import type { Wiring } from '../wire'
import { fixedBoxes } from '../wire/fixedBoxes'

/** What is tested of a circuit, as an entry has it. */
export const CIRCUIT_TESTS = {
  polarity: 'Polarity and earth',
  trip: 'RCD or GFCI trip',
  load: 'Load test',
} as const
export type CircuitTestKey = keyof typeof CIRCUIT_TESTS
const KEYS = Object.keys(CIRCUIT_TESTS) as CircuitTestKey[]

/** A circuit of fixed wiring, and what was recorded last when it was tested. */
export interface TestedCircuit { id: string, name: string, test?: EntryOf<'circuit-test'> }

/** The circuits that are tested before anything is hung, each with its last result. */
export const testedCircuits = (wiring: Wiring, tests: Map<string, EntryOf<'circuit-test'>>): TestedCircuit[] =>
  wiring.circuits.filter(circuit => fixedBoxes(wiring, circuit).length > 0).map(({ id, name }) => {
    const test = tests.get(id)
    return { id, name, ...(test && { test }) }
  })

/** What failed when a circuit was tested. */
export const failedTests = (test: EntryOf<'circuit-test'>): string[] =>
  KEYS.filter(key => !test[key]).map(key => CIRCUIT_TESTS[key])

/** The tests of the circuits on paper: each result with its figure, who tested, and who recorded it. */
export function circuitTestBlocks(circuits: TestedCircuit[], day: (at: string) => string): Block[] {
  if (circuits.length === 0) return []
  const result = (passed: boolean | undefined, value: number | undefined, unit: string) =>
    [passed ? 'pass' : 'fail', value === undefined ? '' : quantityToString({ value, unit }, 'metric')]
      .filter(Boolean).join(', ')
  return [
    { heading: 'Circuit tests before hanging' },
    {
      columns: [
        { title: 'Circuit', share: 0.18 },
        { title: CIRCUIT_TESTS.polarity, share: 0.13 },
        { title: CIRCUIT_TESTS.trip, share: 0.14 },
        { title: CIRCUIT_TESTS.load, share: 0.13 },
        { title: 'Tested by', share: 0.2 },
        { title: 'Recorded', share: 0.22 },
      ],
      rows: circuits.map(({ name, test }) => test
        ? [
            name,
            result(test.polarity, undefined, ''),
            result(test.trip, test.tripTime, 'ms'),
            result(test.load, test.current, 'A'),
            test.tester,
            `${authorText(test)}, ${day(test.at)}${test.note ? `: ${test.note}` : ''}`,
          ]
        : [name, 'not recorded', '', '', '', '']),
    },
  ]
}
