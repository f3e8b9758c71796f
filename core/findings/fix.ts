import type { FindingKind } from './finding'

/** What Fix can say of a wall. */
export const FIX = {
  'fastener-impossible': {
    severity: 'stop',
    meaning: 'The figures of a fastener contradict each other.',
    cure: 'Correct them in the catalogue.',
  },
  'fastener-of-another-base': {
    severity: 'stop',
    meaning: 'The fastener is made for another kind of wall.',
    cure: 'Choose a fastener made for this wall.',
  },
  'safety-wire-not-sized': {
    severity: 'caution',
    meaning: 'A mount is secured by a safety wire whose figures are not known.',
    cure: 'Enter its figures in the catalogue, or fit it as its maker says, anchored apart from the plate.',
  },
  'safety-wire-without-anchor': {
    severity: 'stop',
    meaning: 'No place behind a display takes the anchor of its safety wire.',
    cure: 'Move the array, use a longer wire, or another mount.',
  },
  'safety-wire-covering-cut': {
    severity: 'note', isDecision: true,
    meaning: 'The covering is to be cut away where safety wires are anchored.',
    cure: 'Nothing to cure; it is printed on the sheet.',
  },
  'safety-wire-too-weak': {
    severity: 'stop',
    meaning: 'A fall through its slack loads a safety wire with more than half of its breaking load.',
    cure: 'Shorten the slack, or use a stronger wire that stretches more.',
  },
  'safety-wire-anchor-too-weak': {
    severity: 'stop',
    meaning: 'A fall loads the anchor of a safety wire with more than its fastener carries.',
    cure: 'Shorten the slack, cut the covering away at the anchor, use a stronger fastener, or override with a design.',
  },
  'hole-not-known': {
    severity: 'stop', never: true,
    meaning: 'The bit or the depth of a hole is not known.',
    cure: 'Enter hole diameter and depth of the fastener in the catalogue.',
  },
  'fastener-does-not-pass-slot': {
    severity: 'stop',
    meaning: 'A fastener is too thick for a slot of the plate.',
    cure: 'Use a thinner fastener, or a mount with wider slots.',
  },
  'washer-does-not-cover-slot': {
    severity: 'stop',
    meaning: 'A washer does not cover its slot on both sides.',
    cure: 'Use a larger washer or a plate washer.',
  },
  'fastener-over-mounts-limit': {
    severity: 'stop',
    meaning: 'A fastener is thicker than the mount takes.',
    cure: 'Use a thinner fastener, or another mount.',
  },
  'pattern-does-not-fit': {
    severity: 'stop',
    meaning: 'A mount does not take the pattern of its display.',
    cure: 'Use a mount whose data sheet names this pattern.',
  },
  'fit-not-known': {
    severity: 'caution',
    meaning: 'The catalogue lacks a figure by which parts are known to fit each other.',
    cure: 'Enter it in the catalogue, or check it with the parts in hand.',
  },
  'slot-drilled': {
    severity: 'caution',
    meaning: 'A slot of a plate is drilled by the firm.',
    cure: 'Drill it as the maker’s instructions say.',
  },
  'capacity-not-known': {
    severity: 'stop',
    meaning: 'The capacity of the fastener is not known.',
    cure: 'Enter the missing figure, or use a fastener whose data sheet gives it.',
  },
  'fastener-overloaded': {
    severity: 'stop',
    meaning: 'The load on a fastener is more than its allowable.',
    cure: 'Use larger or more fasteners, or a mount with rows farther apart.',
  },
  'overloaded-by-hand': {
    severity: 'stop',
    meaning: 'A hand at the edge of a screen, outwards or sideways, loads a fastener more than its allowable.',
    cure: 'Fix the plate to two studs or to a board, use a longer fastener, or give the wall its own hand load.',
  },
  'hand-load-without-reason': {
    severity: 'stop',
    meaning: 'A wall has a smaller hand load than the firm’s, and no reason is given.',
    cure: 'Enter the reason in Survey.',
  },
  'hand-load-within-reach': {
    severity: 'stop',
    meaning: 'No hand load is counted, although a hand reaches the screens.',
    cure: 'Enter a hand load in the house rules, or for the wall in Survey.',
  },
  'hand-load-reduced': {
    severity: 'caution',
    meaning: 'A wall has a smaller hand load than the firm’s, with a reason.',
  },
  'wind-basis-not-given': {
    severity: 'caution',
    meaning: 'The basis of a wind speed is not given; it is read as a 3 s gust.',
    cure: 'Enter the basis of the wind in Survey.',
  },
  'steel-stud-too-thin': {
    severity: 'stop',
    meaning: 'The steel of the studs is too thin for a load-bearing hole.',
    cure: 'Use blocking, a backing board or structural studs.',
  },
  'backing-too-thin': {
    severity: 'stop',
    meaning: 'A sheet behind the covering is thinner than its fastener was tested in, or the point does not pass it.',
    cure: 'Use a fastener that its maker tested in this sheet and that comes through it, or fix to the studs.',
  },
  'backing-not-checked': {
    severity: 'caution',
    meaning: 'Plates hang on a sheet behind the covering, whose own fixing to the studs is not calculated.',
    cure: 'Check that it is fixed to every stud and lies behind every hole, away from its edges and joints.',
  },
  'gauge-not-known': {
    severity: 'stop',
    meaning: 'The steel thickness of the studs, or that a toggle was tested in, is not known.',
    cure: 'Enter it in Survey, or in the catalogue from the maker’s data sheet.',
  },
  'steel-thinner-than-tested': {
    severity: 'stop',
    meaning: 'The studs are thinner than the steel that a toggle was tested in.',
    cure: 'Use a fastener that its maker tested in this steel, or blocking.',
  },
  'torque-crushes-board': {
    severity: 'caution',
    meaning: 'Tightening an anchor crushes a board over a hollow.',
    cure: 'Use packers or spacer sleeves under each fastener.',
  },
  'spacer-seat-not-known': {
    severity: 'caution',
    meaning: 'Whether a spacer sits in the recess of a display or across it is not known.',
    cure: 'Look at the back of the display, and enter it in the catalogue.',
  },
  'fastener-much-used': {
    severity: 'caution',
    meaning: 'The load on a fastener is close to its allowable.',
    cure: 'Consider a larger fastener.',
  },
  'no-fastener-above-foot': {
    severity: 'stop',
    meaning: 'Every fastener is at the bottom of the plate.',
    cure: 'Fasten a row above the bottom, or use another mount.',
  },
  'plate-free-to-turn': {
    severity: 'stop',
    meaning: 'A plate has one fastener, and loads act beside it.',
    cure: 'Use two or more fasteners.',
  },
  'loaded-edge-too-near': {
    severity: ['stop', 'caution'],
    meaning: 'A load across the grain pushes towards an edge that is too close.',
    cure: 'Fix the plate to two studs, to blocking or to a board.',
  },
  'edge-too-near': {
    severity: 'stop',
    meaning: 'An anchor is too close to an edge.',
    cure: 'Move the array, or use an anchor with a smaller minimum edge distance.',
  },
  'spacing-too-near': {
    severity: 'stop',
    meaning: 'Two anchors are too close together.',
    cure: 'Move one hole within its slot, or use an anchor with a smaller minimum spacing.',
  },
  'fasteners-too-near': {
    severity: 'stop',
    meaning: 'Fasteners are too close together in one piece of timber.',
    cure: 'Shift one of the plates, or move a hole within its slot.',
  },
  'end-too-near': {
    severity: 'stop',
    meaning: 'A fastener is too close to the end of a stud.',
    cure: 'Move the plate up or down the stud.',
  },
  'hollow-anchor-in-member': {
    severity: 'stop',
    meaning: 'There is a stud behind a hollow-wall anchor.',
    cure: 'Move the hole clear of the stud, or use a screw there.',
  },
  'fastener-through-member': {
    severity: 'stop',
    meaning: 'The screw comes through the back of the stud.',
    cure: 'Use a shorter screw.',
  },
  'penetration-too-small': {
    severity: 'stop',
    meaning: 'Too little of the screw is in the wood.',
    cure: 'Use a longer screw.',
  },
  'screw-does-not-reach-steel': {
    severity: 'stop',
    meaning: 'The screw does not reach the steel.',
    cure: 'Use a longer screw.',
  },
  'screw-not-through-steel': {
    severity: 'stop',
    meaning: 'The screw does not come far enough through the steel.',
    cure: 'Use a longer screw.',
  },
  'anchor-too-short': {
    severity: 'stop',
    meaning: 'The anchor is too short for what it goes through.',
    cure: 'Use a longer anchor.',
  },
  'base-too-thin': {
    severity: 'stop',
    meaning: 'The wall is thinner than the anchor requires.',
    cure: 'Use an anchor with less embedment.',
  },
  'embedment-not-known': {
    severity: 'stop',
    meaning: 'The embedment of the anchor is not known.',
    cure: 'Enter it in the catalogue, from the maker’s data sheet.',
  },
  'least-edge-distance-not-known': {
    severity: 'stop',
    meaning: 'The minimum edge distance of the anchor is not known.',
    cure: 'Enter it in the catalogue, from the maker’s data sheet.',
  },
  'kind-of-unit-not-known': {
    severity: 'stop',
    meaning: 'The type of the blocks or bricks is not known.',
    cure: 'Enter it in Survey.',
  },
  'face-shell-thickness-not-known': {
    severity: 'stop',
    meaning: 'The thickness of what is solid behind the face of a hollow block or perforated brick is not known.',
    cure: 'Enter it in Survey.',
  },
  'thickness-not-known': {
    severity: 'stop',
    meaning: 'The thickness of the wall is not known.',
    cure: 'Enter it in Survey.',
  },
  'allowable-over-breakout': {
    severity: 'caution',
    meaning: 'The data sheet allows more tension than breakout of this concrete.',
    cure: 'Check the data sheet’s figure for this concrete and embedment.',
  },
  'bolt-not-known': {
    severity: 'stop',
    meaning: 'The capacity of a bolt between plate and rail or board is not known.',
    cure: 'Enter its allowable tension and shear from the maker’s table.',
  },
  'bolt-overloaded': {
    severity: 'stop',
    meaning: 'The load on a bolt between plate and rail or board is more than its allowable.',
    cure: 'Use stronger bolts, or a mount with more bolts.',
  },
  'bolt-much-used': {
    severity: 'caution',
    meaning: 'The load on a bolt between plate and rail or board is close to its allowable.',
    cure: 'Use stronger bolts, or a mount with more bolts.',
  },
  'rail-not-known': {
    severity: 'stop',
    meaning: 'The bending capacity of a rail is not known.',
    cure: 'Enter its allowable bending moment from the maker’s table.',
  },
  'rail-overbent': {
    severity: 'stop',
    meaning: 'The bending moment of a rail is more than its allowable.',
    cure: 'Use a stronger rail, or fix it to more studs.',
  },
  'rail-much-bent': {
    severity: 'caution',
    meaning: 'The bending moment of a rail is close to its allowable.',
    cure: 'Use a stronger rail, or fix it to more studs.',
  },
  'display-screw-not-known': {
    severity: 'stop',
    meaning: 'The screw into a display is not known.',
    cure: 'Enter the missing figure in the catalogue.',
  },
  'display-screw-too-long': {
    severity: 'stop', never: true,
    meaning: 'The screw chosen goes past the insert of a display.',
    cure: 'Use a length in the range shown.',
  },
  'display-screw-too-short': {
    severity: 'stop',
    meaning: 'The screw chosen engages too little of the insert of a display.',
    cure: 'Use a length in the range shown.',
  },
  'display-screw-to-buy': {
    severity: 'caution',
    meaning: 'The kit has no screw that fits a display.',
    cure: 'Buy one of the length shown.',
  },
  'player-mass-not-known': {
    severity: 'stop',
    meaning: 'The mass of the player behind a display is not known.',
    cure: 'Enter it in Mount, under Depth.',
  },
  'steel-framing-unchecked': {
    severity: 'caution',
    meaning: 'Screens pull out from light steel studs, which are not checked themselves.',
    cure: 'Have an engineer check the studs, or fit blocking in the stud bays.',
  },
  'finish-not-known': {
    severity: 'stop',
    meaning: 'The wall is outside or wet, and the finish of the fastener is not known.',
    cure: 'Enter the finish in the catalogue.',
  },
  'fastener-corrodes': {
    severity: 'stop',
    meaning: 'The wall is outside or wet, and the fastener corrodes there.',
    cure: 'Use a stainless, galvanised or coated fastener.',
  },
} as const satisfies Record<string, FindingKind>
