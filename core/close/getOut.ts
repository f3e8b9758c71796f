import { hasSafetyWire, type Catalogue, type Mount, type ScreenArray } from '../job'
import { mountModels, type ArrayPlan, type Position } from '../mount'
import { quantity, words, type Text } from '../units'
import { comesOut } from '../mount/kinds'
import { screenLabel } from '../job/screenLabel'

/** How a screen is taken out of a wall: which others first, and step by step. */
export interface GetOut { first: string[], steps: Text[] }

const label = (at: Position) => screenLabel(at)
const over = (a: Position['outer'], b: Position['outer']) => a.x < b.x + b.width && b.x < a.x + a.width

/**
 * How one screen is got out of a wall that hangs: with a mount that comes out it is pulled out and lifted off in front
 * of the others; where its mount stays, what is above it within its lift comes off first, from the top down.
 */
export function getOutOf(
  screen: string,
  array: ScreenArray,
  { positions }: Pick<ArrayPlan, 'positions'>,
  catalogue: Catalogue,
): GetOut | undefined {
  const here = positions.find(({ id }) => id === screen)
  const mountOf = mountModels(array, catalogue)
  const mount = here && mountOf(here)
  if (!here || !mount) return undefined
  const displayOf = ({ model }: Position) => catalogue.displays.find(({ id }) => id === model)
  const top = here.outer.y + here.outer.height
  const { lift } = mount
  const above = positions
    .filter(other => other.row < here.row && over(other.outer, here.outer))
    .sort((a, b) => a.row - b.row)
  const depthOf = (position: Position) => (mountOf(position)?.depth.stowed ?? 0) + (displayOf(position)?.depth ?? 0)
  const passes = comesOut(mount) && above.every(other => mount.depth.service >= depthOf(other) + 10)
  // Where its sheet does not say how far it is lifted, whatever is above is taken to be in the way.
  const inTheWay = above.filter(other => other.outer.y - top < (lift ?? Infinity))
  const first = passes ? [] : inTheWay.map(label)
  return { first, steps: stepsOut(here, mount, displayOf(here)?.mass ?? 0, first, passes && above.length > 0) }
}

/** What is done in which order; `inFront` where it is lifted off in front of screens above it. */
function stepsOut(here: Position, mount: Mount, mass: number, first: string[], inFront: boolean): Text[] {
  const { lift } = mount
  const [wire, windLock] = [hasSafetyWire(mount), mount.secures?.includes('wind-lock')]
  return [
    words`Switch off the power and keep the area below clear. Use at least
        ${String(Math.ceil(mass / 23) || 1)} ${mass > 23 ? 'people' : 'person'} for ${quantity(mass, 'kg')} at chest
        height, more above shoulder height.`,
    ...(first.length > 0
      ? [
          words`Take off ${first.join(', ')} first, from the top down: ${label(here)} must be lifted
              ${lift ?? 'by the height in the mount’s data sheet'} off its hooks, and they are in the way.`,
        ]
      : []),
    words`Open the lock${wire ? ' and the safety wire' : ''}${windLock ? ' and the wind lock' : ''}.`,
    ...(comesOut(mount)
      ? [
          words`Press it in until it releases, or pull both edges out together: it pulls out to
              ${mount.depth.service} from the
              wall.${inFront ? ' Lift it off in front of the screens above.' : ''}`,
        ]
      : []),
    words`Unplug power and signal and label both ends.`,
    words`Lift it ${lift ?? 'by the height in the mount’s data sheet,'} straight up, off its hooks; two people hold
        it until it is upright on the floor.`,
    words`Refit in reverse order: hook on, plug in, push home, lock${wire ? ', clip the safety wire' : ''}. Read the
        seams around it.`,
  ]
}
