import type { FindingKind } from './finding'

/** What Mark can say of a wall. */
export const MARK = {
  'line-off-level': {
    severity: 'caution',
    meaning: 'A building line beside the array is off level.',
    cure: 'Ask the client whether the array follows gravity or the line.',
  },
  'no-line-to-follow': {
    severity: 'caution',
    meaning: 'The house rule levels to a building line, and no line has a measured slope.',
    cure: 'Measure the slope of the line, and enter it in the feature.',
  },
  'turned-hole-misses': {
    severity: 'stop',
    meaning: 'A hole misses its stud when everything follows the building line.',
    cure: 'Shift the array, or mark it true to gravity.',
  },
  'issued-by-earlier-rules': {
    severity: 'caution',
    meaning: 'The mark-out was issued by an earlier version of the program, and today’s rules would refuse it.',
    cure: 'It stays as it was issued and can be drilled; have what is listed checked before a screen is hung.',
  },
  'level-follows-line': {
    severity: 'note',
    meaning: 'Everything is marked along a building line.',
  },
} as const satisfies Record<string, FindingKind>
