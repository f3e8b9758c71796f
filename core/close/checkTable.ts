import { authorText } from '../log'
import type { Block } from '../sheet'
import { quantityToString, type UnitSystem } from '../units'
import { CHECKS, type Check } from './checks'
import type { ClosingRecord } from './record'

/** The checks of the screens: what was required, what was recorded, by whom and when. */
export function checkBlocks(
  checks: Check[],
  record: ClosingRecord,
  units: UnitSystem,
  day: (at: string) => string,
): Block[] {
  if (checks.length === 0) return []
  const shown = (kind: Check['kind'], value: Check['required']) =>
    value === undefined
      ? ''
      : typeof value === 'number' ? quantityToString({ value, unit: CHECKS[kind].unit! }, units) : value
  return [
    { heading: 'Pull tests, torques and firmware' },
    {
      columns: [
        { title: 'Screen', share: 0.12 },
        { title: 'Check', share: 0.16 },
        { title: 'Required', share: 0.16, figures: true },
        { title: 'Recorded', share: 0.18, figures: true },
        { title: 'Result', share: 0.14 },
        { title: 'By', share: 0.24 },
      ],
      rows: checks.map(({ kind, screen, label, required, recorded, fault }) => {
        const entry = record[kind].get(screen)
        const compared = fault ? 'differs' : required === undefined ? '' : 'as required'
        const result = !entry ? '' : fault?.severity === 'stop' ? 'moved' : compared
        return [
          label,
          CHECKS[kind].title,
          shown(kind, required),
          recorded === undefined ? 'not recorded' : shown(kind, recorded),
          result,
          entry ? `${authorText(entry)}, ${day(entry.at)}` : '',
        ]
      }),
    },
  ]
}
