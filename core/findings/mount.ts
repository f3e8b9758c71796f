import type { FindingKind } from './finding'

/** What Mount can say of a wall. */
export const MOUNT = {
  'mount-not-chosen': {
    severity: 'stop',
    meaning: 'No mount is chosen for an array.',
    cure: 'Choose one in Arrange.',
  },
  'mount-impossible': {
    severity: 'stop',
    meaning: 'The figures of a mount contradict each other.',
    cure: 'Correct them in the catalogue.',
  },
  'mount-over-capacity': {
    severity: 'stop',
    meaning: 'A display weighs more than its mount carries.',
    cure: 'Use another mount or a lighter display.',
  },
  'mount-orientation': {
    severity: 'stop',
    meaning: 'A mount does not allow the orientation of its display.',
    cure: 'Turn the display, or use another mount.',
  },
  'covering-too-thick': {
    severity: 'stop',
    meaning: 'The covering is thicker than the mount allows.',
    cure: 'Use another mount, or fix it to a board or rail.',
  },
  'fastener-not-chosen': {
    severity: 'stop',
    meaning: 'No fastener is chosen for an array.',
    cure: 'Choose one in Fix.',
  },
  'slot-use-not-allowed': {
    severity: 'stop',
    meaning: 'The mount’s data sheet does not allow the slots that are used.',
    cure: 'Use a slot pattern that its maker names.',
  },
  'carrier-without-members': {
    severity: 'stop',
    meaning: 'Rails or a board are planned on a wall without studs.',
    cure: 'Fix the plates directly to the wall.',
  },
  'carrier-off-wall': {
    severity: 'stop',
    meaning: 'A rail or board extends past the edge of the wall.',
    cure: 'Move the array, or choose another way to fix it.',
  },
  'carrier-crosses-feature': {
    severity: 'stop',
    meaning: 'A rail or board crosses a feature.',
    cure: 'Move one of them, or choose another way to fix the plates.',
  },
  'carrier-not-held': {
    severity: 'stop',
    meaning: 'A rail or board has no stud beyond its plates on one side.',
    cure: 'Find a stud there, or move the array.',
  },
  'board-jointed': {
    severity: 'note',
    meaning: 'A board is longer than boards come.',
    cure: 'Joint it on the centre of a stud, with fasteners in each end.',
  },
  'too-few-holes': {
    severity: 'stop',
    meaning: 'A row of a plate has fewer fasteners than its maker requires.',
    cure: 'Shift the array, or use a rail, a board or another mount.',
  },
  'holes-share-member': {
    severity: 'stop',
    meaning: 'Two fasteners of a row are in the same stud, or too close together.',
    cure: 'Shift the array, or use a rail, a board or another mount.',
  },
  'hole-misses-member': {
    severity: 'stop',
    meaning: 'A hole misses its stud, or its edge clearance is too small.',
    cure: 'Shift the plate or the array, or use a rail, a board or another mount.',
  },
  'joint-too-near': {
    severity: 'stop',
    meaning: 'A hole is too close to a mortar joint.',
    cure: 'Move the plate clear of the joint.',
  },
  'hole-near-live-cable': {
    severity: 'stop', never: true,
    meaning: 'A hole is too close to a live cable.',
    cure: 'Move the array, or have the cable moved by a licensed person.',
  },
  'hole-where-cables-run': {
    severity: ['stop', 'caution'],
    meaning: 'A hole is straight above, below or beside an outlet, a switch or a box, or near the ceiling or a corner.',
    cure: 'Isolate, detect live cables along that line, and draw what is found; or override with how it was detected.',
  },
  'hole-near-pipe': {
    severity: 'stop', never: true,
    meaning: 'A hole is too close to a pipe.',
    cure: 'Move the array.',
  },
  'hole-near-rated-junction': {
    severity: 'stop',
    meaning: 'A hole is too close to a fire-rated junction.',
    cure: 'Move the array.',
  },
  'hole-off-slot': {
    severity: 'stop',
    meaning: 'A hole placed manually is not in a slot of the plate.',
    cure: 'Move the hole into a slot, or move the plate.',
  },
  'hole-by-hand': {
    severity: 'note', isDecision: true,
    meaning: 'A hole is placed manually.',
  },
  'plate-by-hand': {
    severity: 'note', isDecision: true,
    meaning: 'A plate is placed manually.',
  },
  'plates-collide': {
    severity: 'stop',
    meaning: 'Two plates overlap.',
    cure: 'Shift one of them, or use a narrower mount.',
  },
  'plate-covers-feature': {
    severity: 'stop',
    meaning: 'A plate covers what must stay accessible.',
    cure: 'Move the array or the feature, or use a narrower mount.',
  },
  'box-on-member': {
    severity: 'caution',
    meaning: 'An outlet overlaps a stud.',
    cure: 'Correct its position, or that of the stud.',
  },
  'hang-before-upper': {
    severity: 'caution',
    meaning: 'A row cannot be hung under the row above it.',
    cure: 'Hang the lower row first, or use a mount that pulls out farther.',
  },
  'no-room-to-lift': {
    severity: 'stop',
    meaning: 'There is too little room to lift a screen on to its hooks.',
    cure: 'Hang it lower.',
  },
  'side-clearance-not-known': {
    severity: 'stop',
    meaning: 'An array hangs in a recess, and the side clearance of its mount is not known.',
    cure: 'Enter it in the catalogue.',
  },
  'recess-heat': {
    severity: 'caution',
    meaning: 'Displays give off heat in a recess.',
    cure: 'Keep the openings that the display’s maker asks for, or fit a fan.',
  },
  'recess-too-narrow': {
    severity: 'stop',
    meaning: 'A recess is too narrow for the mount.',
    cure: 'Move the array, or widen the recess.',
  },
  'plug-does-not-fit': {
    severity: 'stop',
    meaning: 'Plug, cable or player do not fit behind the stowed display.',
    cure: 'Use an angled plug, a thinner cable, a slimmer player or a deeper mount.',
  },
  'reach-too-small': {
    severity: 'caution',
    meaning: 'A mount pulls out too little for plugging in by hand.',
    cure: 'Plug in before hanging, or use a mount that pulls out farther.',
  },
  'wall-not-flat': {
    severity: 'stop',
    meaning: 'The wall is farther out of flat than the depth adjusters take up.',
    cure: 'Pack out the deepest plates, or use mounts with more depth adjustment.',
  },
  'flatness-eats-travel': {
    severity: 'caution',
    meaning: 'The wall takes up part of the depth adjustment.',
  },
  'member-unsure': {
    severity: 'stop',
    meaning: 'The centre of a stud is not known closely enough for its hole.',
    cure: 'Find both edges of the stud with a nail where the plate will hide it.',
  },
  'member-not-at-height': {
    severity: 'stop',
    meaning: 'A stud was not found at the height of a hole.',
    cure: 'Probe it there, where the plate will hide the hole.',
  },
  'wall-not-surveyed': {
    severity: 'stop',
    meaning: 'Holes lie where the wall has not been surveyed.',
    cure: 'Survey the wall there before moving anything.',
  },
  'framing-unproved': {
    severity: 'stop',
    meaning: 'A hole that carries load relies on a stud that is not confirmed.',
    cure: 'Probe it where a plate will hide the hole.',
  },
  'reference-unchecked': {
    severity: 'caution',
    meaning: 'Holes rely on studs that one reference alone transfers.',
    cure: 'Measure a second reference, or find both edges of one stud.',
  },
  'hole-left-behind': {
    severity: 'stop',
    meaning: 'A made hole is where no slot of its plate reaches.',
    cure: 'Move the array back, or fill the hole and drill a new one.',
  },
} as const satisfies Record<string, FindingKind>
