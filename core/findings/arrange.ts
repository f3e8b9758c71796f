import type { FindingKind } from './finding'

/** What Arrange can say of a wall. */
export const ARRANGE = {
  'array-larger-than-wall': {
    severity: 'stop',
    meaning: 'The array is larger than the wall.',
    cure: 'Use fewer or smaller displays.',
  },
  'array-off-wall': {
    severity: 'stop',
    meaning: 'The array extends past the edge of the wall.',
    cure: 'Move it back on to the wall.',
  },
  'arrays-overlap': {
    severity: 'stop',
    meaning: 'Two arrays overlap.',
    cure: 'Move one of them.',
  },
  'arrays-close': {
    severity: 'caution',
    meaning: 'Two arrays are closer than the clearance chosen for the wall.',
    cure: 'Move them apart.',
  },
  'array-empty': {
    severity: 'stop',
    meaning: 'Every position of an array is empty.',
    cure: 'Add a screen in at least one position, or delete the array.',
  },
  'cell-of-another-size': {
    severity: 'stop',
    meaning: 'A screen has another size than the other screens of its grid.',
    cure: 'Use a model of the same size, or hang mixed sizes in one row or column.',
  },
  'cell-of-another-pitch': {
    severity: 'caution',
    meaning: 'A screen has another pixel pitch than the others.',
    cure: 'Use displays of one pitch where a picture runs across them.',
  },
  'array-over-opening': {
    severity: 'stop',
    meaning: 'The array covers a door, a window or another opening.',
    cure: 'Move it clear.',
  },
  'array-over-ceiling': {
    severity: 'stop',
    meaning: 'The array extends above the ceiling line.',
    cure: 'Hang it lower.',
  },
  'array-over-reachable': {
    severity: 'stop',
    meaning: 'The array covers what must stay accessible.',
    cure: 'Move it clear, or have a licensed person move the outlet.',
  },
  'array-behind-furniture': {
    severity: 'caution',
    meaning: 'The array is behind a counter or furniture.',
    cure: 'Hang it higher, or make sure that nobody leans on it.',
  },
  'placing-lost': {
    severity: 'caution',
    meaning: 'The feature that the array’s position is linked to is no longer on the wall.',
    cure: 'Link it to another feature, or enter its position.',
  },
  'viewing-too-high': {
    severity: 'caution',
    meaning: 'The array is too high for its size.',
    cure: 'Hang it lower, or use larger displays.',
  },
  'stands-into-walkway': {
    severity: 'caution',
    meaning: 'The array projects into a walkway.',
    cure: 'Check local accessibility rules; recess the array or fit a guard below it.',
  },
  'display-unknown': {
    severity: 'stop',
    meaning: 'The display of an array is not in the catalogue.',
    cure: 'Choose a display that is in the catalogue.',
  },
  'display-impossible': {
    severity: 'stop',
    meaning: 'The figures of a display contradict each other.',
    cure: 'Correct them in the catalogue.',
  },
  'alternative-open': {
    severity: 'caution',
    meaning: 'The client has not chosen an alternative, or chose another than the one planned.',
    cure: 'Get the client’s choice, and plan that alternative before marking out.',
  },
} as const satisfies Record<string, FindingKind>
