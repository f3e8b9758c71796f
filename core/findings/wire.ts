import type { FindingKind } from './finding'

/** What Wire can say of a wall. */
export const WIRE = {
  'circuit-not-known': {
    severity: 'stop',
    meaning: 'The breaker rating or voltage of a circuit is not known.',
    cure: 'Read it at the panel and enter it.',
  },
  'no-power-source': {
    severity: ['stop', 'caution'],
    meaning: 'No circuit or outlet is entered that feeds the displays.',
    cure: 'Add a circuit or an outlet in Wire, under Power.',
  },
  'source-off-wall': {
    severity: 'stop',
    meaning: 'A source is entered at a position off the wall.',
    cure: 'Correct its position, or enter how far away it is if it is elsewhere in the building.',
  },
  'source-in-opening': {
    severity: 'stop',
    meaning: 'A source is entered inside a door, window or recess.',
    cure: 'Correct its position.',
  },
  'box-on-two-circuits': {
    severity: 'stop',
    meaning: 'The screens that one box serves are fed by different circuits.',
    cure: 'Give each its own box, or name in each circuit which screens it feeds.',
  },
  'box-too-full': {
    severity: 'stop',
    meaning: 'The cables that enter a box need more room than it has.',
    cure: 'Use a larger box, or end the chain there.',
  },
  'box-fill-not-known': {
    severity: 'note',
    meaning: 'Whether a box has room for the cables that enter it is not known.',
    cure: 'Enter the inside volume of the box and the cross-section of the cable in the catalogue.',
  },
  'conductors-at-terminal': {
    severity: 'note',
    meaning: 'More conductors meet in a box than a terminal of it is known to take.',
    cure: 'Join them in the box with a connector and one tail to the device.',
  },
  'voltage-drop': {
    severity: 'caution',
    meaning: 'A circuit loses more than 3 % of its voltage on the way to its farthest box.',
    cure: 'Use a cable of a larger cross-section, or bring the circuit from a board that is nearer.',
  },
  'voltage-drop-too-great': {
    severity: 'stop',
    meaning: 'A circuit loses more than 5 % of its voltage on the way from the service to its farthest box.',
    cure: 'Use a cable of a larger cross-section, or bring the circuit from a board that is nearer.',
  },
  'voltage-drop-not-known': {
    severity: 'note',
    meaning: 'The voltage drop of a circuit is not known.',
    cure: 'Enter the cross-section of the cable in the catalogue, and the distances in Wire.',
  },
  'electrical-rules-not-known': {
    severity: 'caution',
    meaning: 'It is not known by which electrical rules the site is wired.',
    cure: 'Choose them under the site’s details.',
  },
  'cable-rating-not-known': {
    severity: 'stop',
    meaning: 'The breaker rating of a power cable is not known, so that it cannot be chosen.',
    cure: 'Enter its max breaker rating in the catalogue.',
  },
  'cable-model-not-known': {
    severity: 'stop',
    meaning: 'A cable was chosen manually that the catalogue does not have.',
    cure: 'Choose another model in Wire, or enter this one in the catalogue.',
  },
  'source-gone': {
    severity: 'stop',
    meaning: 'A source was at a feature that is no longer on the wall.',
    cure: 'Enter its new position, or delete it.',
  },
  'power-not-known': {
    severity: 'stop',
    meaning: 'The power that a display draws is not known.',
    cure: 'Enter typical power and max power in the catalogue.',
  },
  'poe-not-fed': {
    severity: 'stop',
    meaning: 'A screen is powered over Ethernet, and no port of a switch feeds it.',
    cure: 'Add a data plate or switch in Wire, under Schedule, with one cable per screen.',
  },
  'poe-not-known': {
    severity: 'stop',
    meaning: 'The PoE budget of a switch, or the class of its ports, is not known.',
    cure: 'Enter it in Wire, under Schedule.',
  },
  'poe-over-budget': {
    severity: 'stop',
    meaning: 'A switch must reserve more power for screens than its PoE budget.',
    cure: 'Use a switch with a larger budget, or power some screens from an outlet.',
  },
  'poe-port-too-weak': {
    severity: 'stop',
    meaning: 'A screen requires a higher PoE class than a port of its switch gives.',
    cure: 'Use a switch of that class, or power the screen from an outlet.',
  },
  'poe-too-much': {
    severity: 'stop',
    meaning: 'A screen draws more over Ethernet than any class gives.',
    cure: 'Check the figure in the catalogue, or power it from an outlet.',
  },
  'link-ends': {
    severity: 'note',
    meaning: 'Links require a transmitter and a receiver.',
  },
  'circuit-full': {
    severity: 'stop',
    meaning: 'No circuit has capacity left for a screen.',
    cure: 'Have another circuit installed, or take load off an existing one.',
  },
  'circuit-overloaded': {
    severity: 'stop',
    meaning: 'The load on a circuit is over 80 % of its breaker.',
    cure: 'Take load off it.',
  },
  'power-against-rule': {
    severity: 'caution',
    meaning: 'Boxes bring power in another way than the house rule requires.',
    cure: 'Use other boxes, or choose another rule for this wall.',
  },
  'no-box': {
    severity: 'caution',
    meaning: 'A screen has no power box.',
    cure: 'Add power boxes in Wire, under Boxes.',
  },
  'kit-without-outlet': {
    severity: 'stop',
    meaning: 'An in-wall kit has no existing outlet to be fed from.',
    cure: 'Add the outlet in Wire, under Power.',
  },
  'outlet-not-protected': {
    severity: 'stop',
    meaning: 'An outlet feeds a display that is outside or wet, without protection by a 30 mA RCD.',
    cure: 'Have an RCD or GFCI fitted, as local code requires.',
  },
  'protection-not-known': {
    severity: 'caution',
    meaning: 'It is not known whether an outlet outside or in the wet is protected.',
    cure: 'Test it, and enter the result in Wire, under Power.',
  },
  'outside': {
    severity: 'note',
    meaning: 'The wall is outside or wet.',
  },
  'licensed-people': {
    severity: 'note',
    meaning: 'Fixed wiring is planned.',
  },
  'old-lining-cut': {
    severity: 'caution',
    meaning: 'The plan cuts a lining that may contain asbestos or lead.',
    cure: 'Have it tested before opening anything.',
  },
  'box-no-place': {
    severity: 'stop',
    meaning: 'A box has no place where it is planned.',
    cure: 'Move it to the nearest position that is shown.',
  },
  'box-hard-to-reach': {
    severity: 'caution',
    meaning: 'A box cannot be reached by hand once the display hangs.',
    cure: 'Plug in before the display goes up.',
  },
  'void-not-known': {
    severity: 'caution',
    meaning: 'No cable route reaches a box, and what is above and below the wall is not known.',
    cure: 'Enter the access above or below the wall.',
  },
  'no-way': {
    severity: 'stop',
    meaning: 'No cable route reaches a box.',
    cure: 'Move the box, or run the cable on the wall face.',
  },
  'signal-with-power': {
    severity: 'stop',
    meaning: 'A signal cable shares a stud bay with power, against the house rule.',
    cure: 'Bring it in from the other side, or put the box in another stud bay.',
  },
  'opening-under-plate': {
    severity: 'caution',
    meaning: 'An opening is behind a plate.',
    cure: 'Close it and let the filler set before fitting the plate.',
  },
  'opening-at-hazard': {
    severity: 'stop',
    meaning: 'An opening is too close to a cable, a pipe or a fire-rated junction.',
    cure: 'Bring the cable in through another stud bay.',
  },
  'hole-too-wide': {
    severity: 'stop',
    meaning: 'No bit is large enough for a bundle of cables.',
    cure: 'Bring the cables in at more than one place.',
  },
  'plate-weakened': {
    severity: 'caution',
    meaning: 'A bored hole removes more than half of the top or bottom plate.',
    cure: 'Have a metal tie fixed across it.',
  },
  'rated-wall-opened': {
    severity: 'stop',
    meaning: 'Cables are planned inside a fire-rated wall.',
    cure: 'Run them on the wall face, or have a licensed person fit the approved seal.',
  },
  'cable-unknown': {
    severity: 'caution',
    meaning: 'The catalogue has no cable of a kind.',
    cure: 'Choose one for all boxes in Wire, under Power, or for a source of picture under Schedule.',
  },
  'cord-in-wall': {
    severity: 'stop', never: true,
    meaning: 'A flexible cord is planned inside a wall.',
    cure: 'Use installation cable, or a listed kit whose cord stays outside the wall.',
  },
  'cable-not-in-wall': {
    severity: 'stop',
    meaning: 'No cable of a kind is in-wall rated.',
    cure: 'Add an in-wall rated cable to the catalogue, or run it on the wall face.',
  },
  'cable-not-plenum': {
    severity: 'stop',
    meaning: 'No cable of a kind is plenum rated.',
    cure: 'Add a plenum-rated cable, or enter the wall from the other side.',
  },
  'cable-construction': {
    severity: 'stop',
    meaning: 'The house rule requires a construction of power cable that the catalogue lacks.',
    cure: 'Add one to the catalogue, or choose another house rule for power cable.',
  },
  'steel-stud-wiring': {
    severity: 'caution',
    meaning: 'Sheathed cable is planned in steel studs, and nobody has chosen how power runs there.',
    cure: 'Check local code, and choose the house rule for power cable in or on a wall.',
  },
  'route-outside-zones': {
    severity: 'caution',
    meaning: 'A power cable runs where nobody expects one: not in line with an outlet or box, ceiling or corner.',
    cure: 'Run it in line with a box or outlet, or choose metal-clad cable or conduit.',
  },
  'conduit-bends': {
    severity: 'caution',
    meaning: 'A conduit has more bends than one pull allows, and needs a pull box.',
    cure: 'Fit a pull box that stays accessible, or choose a straighter route.',
  },
  'cable-too-thin': {
    severity: 'stop',
    meaning: 'No cable of a kind is rated for the breaker.',
    cure: 'Add a suitable cable, or have the electrician fit a smaller breaker.',
  },
  'cable-too-far': {
    severity: 'stop',
    meaning: 'A cable is longer than its max run.',
    cure: 'Use a kind that runs farther, or move the source closer.',
  },
  'cable-too-short': {
    severity: 'stop',
    meaning: 'A cable is longer than the stocked lengths.',
    cure: 'Have one made up, or move the source closer.',
  },
  'cable-length-not-known': {
    severity: 'caution',
    meaning: 'A part of a cable’s length is not known.',
    cure: 'Measure it and enter it in Wire.',
  },
  'farther-kind': {
    severity: 'note',
    meaning: 'A kind with a longer max run is used.',
  },
  'no-port': {
    severity: 'stop',
    meaning: 'A source has too few ports.',
    cure: 'Daisy-chain the screens, or add a player or a splitter.',
  },
  'screen-gone': {
    severity: 'caution',
    meaning: 'A source feeds a screen that is no longer on the wall.',
    cure: 'Choose again which screens the source feeds.',
  },
  'no-pass-through': {
    severity: 'caution',
    meaning: 'A screen has no pass-through for signal.',
    cure: 'Add pass-throughs in Wire, under Boxes.',
  },
  'channels-not-known': {
    severity: 'caution',
    meaning: 'The number of cable channels in an arm is not known.',
    cure: 'Enter it in the catalogue.',
  },
  'one-channel': {
    severity: 'stop',
    meaning: 'An arm has one cable channel, which power and signal must not share.',
    cure: 'Use another arm, or tie one cable outside if its maker allows it.',
  },
} as const satisfies Record<string, FindingKind>
