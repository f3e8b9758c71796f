import type { FindingKind } from './finding'

/** What Survey can say of a wall. */
export const SURVEY = {
  'entered-twice': {
    severity: 'caution',
    meaning: 'Two people may have entered the same thing.',
    cure: 'Delete one of them in Survey.',
  },
  'coursing-unknown': {
    severity: 'stop',
    meaning: 'The size of the wall’s blocks or bricks is not known.',
    cure: 'Enter size, joint and bond in Survey.',
  },
  'block-larger-than-wall': {
    severity: 'stop',
    meaning: 'A block or brick with its joint is larger than the wall.',
    cure: 'Correct its size.',
  },
  'coursing-not-surveyed': {
    severity: 'caution',
    meaning: 'No joint, or only one kind of joint, of the wall has been read.',
    cure: 'Read a crossing of a bed joint and a head joint.',
  },
  'bond-not-told': {
    severity: 'caution',
    meaning: 'The joints read do not show whether the bond is running or stack.',
    cure: 'Read a head joint one course above or below.',
  },
  'bond-differs': {
    severity: 'caution',
    meaning: 'The joints read show another bond than was entered.',
    cure: 'Check size and joint, and exclude the reading that does not fit.',
  },
  'joints-disagree': {
    severity: 'caution',
    meaning: 'The joints read do not fit one regular coursing.',
    cure: 'Check size and joint, and exclude the reading that does not fit.',
  },
  'member-off-wall': {
    severity: 'caution',
    meaning: 'A stud extends past the edge of the wall.',
    cure: 'Correct its position or width.',
  },
  'members-overlap': {
    severity: ['stop', 'caution'],
    meaning: 'Two studs overlap.',
    cure: 'Enter a double stud as one stud of double width, or read both again.',
  },
  'member-inferred': {
    severity: 'caution',
    meaning: 'A stud is only predicted from the spacing of its neighbours.',
    cure: 'Take a reading of it before hanging anything on it.',
  },
  'member-ends': {
    severity: 'caution',
    meaning: 'A stud was not met at another height: it ends between, or it leans.',
    cure: 'Probe it at the height of its holes, to both sides.',
  },
  'member-leans': {
    severity: 'caution',
    meaning: 'Readings of a stud at different heights fit a stud that is out of plumb.',
    cure: 'Probe it at the height of its holes.',
  },
  'reading-conflicts': {
    severity: 'caution',
    meaning: 'Two readings of a stud contradict each other.',
    cure: 'Take a third reading, or exclude one with a reason.',
  },
  'reading-unexplained': {
    severity: 'caution',
    meaning: 'A reading fits no stud.',
    cure: 'Take a second reading there, or exclude this one with a reason.',
  },
  'reading-in-blocking': {
    severity: 'note',
    meaning: 'A reading is at the height of blocking, so that it says nothing of a stud.',
    cure: 'Probe above or below the blocking.',
  },
  'kinds-disagree': {
    severity: 'caution',
    meaning: 'The detector reads to one side of the nails, magnets and sightings.',
    cure: 'Test the detector on a stud with visible edges; if it is wrong, exclude its readings.',
  },
  'detector-spreads': {
    severity: 'caution',
    meaning: 'Edges read with one detector agree badly with one another.',
    cure: 'Sweep slowly and read the edges again, or probe them.',
  },
  'member-width-differs': {
    severity: 'caution',
    meaning: 'The edges read show another stud width than was entered.',
    cure: 'Find both edges of one stud with a nail, and correct the stud width.',
  },
  'lining-old': {
    severity: 'caution',
    meaning: 'The lining is so old that it may contain asbestos or lead.',
    cure: 'Have it tested before cutting or drilling.',
  },
  'lath-misleads': {
    severity: 'caution',
    meaning: 'The wall is plastered on lath, whose nails and metal mislead magnets and detectors.',
    cure: 'Confirm each stud with a probe.',
  },
  'covering-deep': {
    severity: 'caution',
    meaning: 'The covering is thicker than a detector in its usual mode reads.',
    cure: 'Use the detector’s deep mode, and probe through all layers.',
  },
  'drill-without-hammer': {
    severity: 'caution',
    meaning: 'The wall has a layer or units that hammer action breaks.',
    cure: 'Drill it without hammer.',
  },
  'facing-carries-nothing': {
    severity: 'caution',
    meaning: 'A facing of stone or tile carries nothing, and its own fixing is not checked.',
    cure: 'Fix through it into the structure.',
  },
  'brick-strength-not-known': {
    severity: 'caution',
    meaning: 'The strength of the bricks is not known; makers’ values are for the bricks that they tested.',
    cure: 'Test one anchor with a pull before the others are set.',
  },
  'frog-in-brick': {
    severity: 'caution',
    meaning: 'Frogged bricks are hollow at one of their beds.',
    cure: 'Drill at mid-height of the brick.',
  },
  'wall-fire-rated': {
    severity: 'caution',
    meaning: 'The wall is fire-rated.',
    cure: 'Open it only with its approved seal; local code takes precedence.',
  },
  'framing-unknown': {
    severity: ['stop', 'caution'],
    meaning: 'No stud of the wall is known; a caution where plates hang on a backing.',
    cure: 'Survey the wall with a detector, magnet or nail.',
  },
  'sides-disagree': {
    severity: 'caution',
    meaning: 'Positions that a reference transfers from the rear do not fit those read at the front.',
    cure: 'Measure the reference again from both sides.',
  },
  'references-disagree': {
    severity: 'caution',
    meaning: 'Two references transfer the same position to different places.',
    cure: 'Measure both again from both sides.',
  },
  'reading-not-carried': {
    severity: 'caution',
    meaning: 'A reading on the rear has no reference, so it cannot be transferred.',
    cure: 'Choose a reference that is visible from both sides.',
  },
} as const satisfies Record<string, FindingKind>
