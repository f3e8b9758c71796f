import type { Leg } from '~~/core/wire'

/** How a leg is made and with what, in a sentence; `bit` writes the size of what is bored, `show` a height. */
export function howLeg(leg: Leg, bit: (mm: number) => string, show: (mm: number) => string): string {
  const hole = leg.bores[0] && Number.isFinite(leg.bores[0].diameter) ? bit(leg.bores[0].diameter) : 'a hole that no bit makes'
  const past = leg.past.length > 0 ? `; past ${leg.past.join(' and ')}, by feel and never drilled near` : ''
  const guards = leg.guards > 0 ? `; ${leg.guards} steel plates before the cable` : ''
  const doubts = leg.doubts.length > 0 ? `; blocking may be at ${leg.doubts.map(({ y, likely }) => `${show(y)}, ${Math.round(100 * likely)} % likely`).join(' and ')}` : ''
  return `${{
    'drops': 'drops by itself: let a chain or the cable down the empty bay',
    'weighted line': 'a weighted line past the insulation, in front of it where the box opens to the room',
    'rod': 'push a rod or a tape up from below, tie the cable on, pull it down',
    'opening at blocking': `${leg.to.y > leg.from.y ? 'push a rod up' : 'let a line down'} to the blocking; open the covering there, bore it ${hole}, pass the line, seal it, screw the piece back`,
    'bored plate': `bore the head or foot of the wall ${hole}, seal it afterwards`,
    'across a stud': `open at each stud, bore it ${hole} in the middle of its depth`,
    'void': 'along the void, on supports of its own',
    'raceway': 'raceway on the face',
    'through the wall': `bore through the wall ${hole}, sloping down to the outside, seal both faces`,
  }[leg.method]}${guards}${past}${doubts}`
}

/** The same in a word or two. */
export const LEG_NAMES: Record<Leg['method'], string> = {
  'drops': 'Drop', 'weighted line': 'Weighted line', 'rod': 'Rod up', 'opening at blocking': 'Open at blocking', 'bored plate': 'Bore the plate', 'across a stud': 'Across studs', 'void': 'Along the void', 'raceway': 'Raceway', 'through the wall': 'Through the wall',
}
