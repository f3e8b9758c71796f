import type { Leg } from '~~/core/wire'

/** How a leg is made and with what, in a sentence; `bit` writes the size of what is bored, `show` a height. */
export function howLeg(leg: Leg, bit: (mm: number) => string, show: (mm: number) => string): string {
  const hole
    = leg.bores[0] && Number.isFinite(leg.bores[0].diameter)
      ? bit(leg.bores[0].diameter)
      : 'larger than any bit in stock'
  const past = leg.past.length > 0 ? `; pass ${leg.past.join(' and ')} by feel and never drill near it` : ''
  const lost = leg.lost
    ? `bore a second hole beside it and recover the ${leg.lost} with a magnet on a line, `
    : ''
  const guards = leg.guards > 0 ? `; fit ${leg.guards} nail plates over the cable` : ''
  const doubts
    = leg.doubts.length > 0
      ? `; blocking may be at `
      + `${leg.doubts.map(({ y, likely }) => `${show(y)} (${Math.round(100 * likely)} % likely)`).join(' and ')}`
      : ''
  return `${
    {
      'drops': 'drop a chain or the cable down the empty stud bay',
      'weighted line':
        'lower a weighted pull line past the insulation, on its room side where the box opens to the room',
      'rod': 'push a fish rod or fish tape up from below, tie the cable on, pull it down',
      'opening at blocking': `${leg.to.y > leg.from.y ? 'push a fish rod up' : 'lower a pull line'} to the blocking; `
        + `open the covering there, bore the blocking ${hole}, ${lost}pass the line, seal every hole, `
        + 'screw the cut piece back',
      'bored plate': `bore the top or bottom plate ${hole}; seal the hole afterwards`,
      'across a stud': `open the covering at each stud and bore the stud ${hole} at mid-depth`,
      'void': 'run along the void on separate supports',
      'raceway': 'run in raceway on the wall face',
      'on the face': 'fix conduit or metal-clad cable to the wall face, with straps as its maker requires',
      'through the wall': `bore through the wall ${hole}, sloping down to the outside; seal both faces`,
    }[leg.method]
  }${guards}${past}${doubts}`
}
