import type { FindingKind } from './finding'

/** What Hang can say of a wall. */
export const HANG = {
  'hole-stripped': {
    severity: 'stop',
    meaning: 'A fastener stripped in its hole, and the hole is still planned there.',
    cure: 'Use a larger or longer fastener, or glue in a dowel and drill again in the same place; record the result.',
  },
  'hole-missed': {
    severity: 'stop',
    meaning: 'A planned hole would come right beside one that failed.',
    cure: 'Leave it empty and survey the spot before drilling beside it.',
  },
  'steel-met': {
    severity: 'stop', never: true,
    meaning: 'The drill met steel, and nobody has looked at what it is.',
    cure: 'A lead or planner looks, and records in Hang what was found.',
  },
  'backing-not-met': {
    severity: ['stop', 'caution'],
    meaning: 'A hole did not meet the backing that plates hang on; a stop while holes are planned near there.',
    cure: 'Find where the backing ends; move the array on to it, or fix it to the studs.',
  },
  'hole-on-bar-line': {
    severity: 'stop',
    meaning: 'A hole is planned in line with steel that the drill met in concrete, which may run through it.',
    cure: 'Scan which way the bar runs; move the array off its line, or override with what was scanned.',
  },
  'hole-disputed': {
    severity: 'caution',
    meaning: 'People recorded unlike results for one hole.',
    cure: 'The person who recorded a wrong result withdraws it; otherwise a lead or planner decides.',
  },
  'hole-dead': {
    severity: 'note',
    meaning: 'A hole can take no fastener.',
    cure: 'Fill it; the plan keeps new holes clear of it.',
  },
  'hole-unused': {
    severity: ['stop', 'caution'],
    meaning: 'A made hole serves nothing in the current plan.',
    cure: 'Keep to what was drilled, or fill it.',
  },
  'part-missing': {
    severity: 'caution',
    meaning: 'A part or tool is missing on site.',
    cure: 'Bring it, and tick it off in Hang, under Prepare.',
  },
  'question-open': {
    severity: 'stop',
    meaning: 'Work has stopped with a question.',
    cure: 'Answer it in Hang.',
  },
  'hanging-order-blocked': {
    severity: 'stop',
    meaning: 'A screen cannot be lifted into its place in the chosen order.',
    cure: 'Hang the bottom row first, or use a mount that pulls out farther.',
  },
  'lift-aid-needed': {
    severity: 'caution',
    meaning: 'A lift is too heavy for two people at that height.',
    cure: 'Bring a lifting aid rated for that mass and height.',
  },
  'kept-upright': {
    severity: 'note',
    meaning: 'The catalogue does not say that a display may be laid face down.',
  },
  'clock-off': {
    severity: 'note',
    meaning: 'The clock of a device was off.',
    cure: 'Set the clock of that device.',
  },
  'override-lapsed': {
    severity: 'caution',
    meaning: 'An override no longer applies, because the figures of its stop have changed.',
    cure: 'Clear the stop, or override it again.',
  },
} as const satisfies Record<string, FindingKind>
