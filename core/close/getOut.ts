import type { Catalogue, ScreenArray } from '../job'
import { mountModels, type ArrayPlan, type Position } from '../mount'
import { words, type Text } from '../units'

/** How a screen is taken out of a wall: which others first, and step by step. */
export interface GetOut { first: string[], steps: Text[] }

const label = ({ row, column }: Position) => `R${row} C${column}`
const over = (a: Position['outer'], b: Position['outer']) => a.x < b.x + b.width && b.x < a.x + a.width

/**
 * How one screen is got out of a wall that hangs: with a mount that comes out it is pulled out and lifted off in front
 * of the others; where its mount stays, what is above it within its lift comes off first, from the top down.
 */
export function getOutOf(screen: string, array: ScreenArray, { positions }: Pick<ArrayPlan, 'positions'>, catalogue: Catalogue): GetOut | undefined {
  const here = positions.find(({ id }) => id === screen)
  const mountOf = mountModels(array, catalogue)
  const mount = here && mountOf(here)
  if (!here || !mount) return undefined
  const display = catalogue.displays.find(({ id }) => id === here.model)
  const top = here.outer.y + here.outer.height
  // Where its sheet does not say how far it is lifted, whatever is above is taken to be in the way.
  const { lift } = mount
  const above = positions.filter(other => other.row < here.row && over(other.outer, here.outer)).sort((a, b) => a.row - b.row)
  const pulls = mount.kind === 'pull-out' || mount.kind === 'arm'
  const depthOf = (position: Position) => (mountOf(position)?.depth.stowed ?? 0) + (catalogue.displays.find(({ id }) => id === position.model)?.depth ?? 0)
  const passes = pulls && above.every(other => mount.depth.service >= depthOf(other) + 10)
  const inTheWay = above.filter(other => other.outer.y - top < (lift ?? Infinity))
  const first = passes ? [] : inTheWay.map(label)
  const mass = display?.mass ?? 0
  return {
    first,
    steps: [
      words`Power off, and nobody below. ${String(Math.ceil(mass / 23) || 1)} ${mass > 23 ? 'people' : 'person'} at the least for ${String(mass)} kg at chest height; more above the shoulder.`,
      ...first.length > 0 ? [words`${first.join(', ')} off first, from the top down: ${label(here)} is lifted ${lift ?? 'by as much as its mount’s sheet says'} to come off its hooks, and they hang within that.`] : [],
      words`Open its lock${mount.secures?.includes('safety-wire') ? ' and its safety wire' : ''}${mount.secures?.includes('wind-lock') ? ' and its wind lock' : ''}.`,
      ...pulls ? [words`Push it in until it springs out, or draw it out by both edges at once: it comes out ${mount.depth.service} from the wall.${passes && above.length > 0 ? ' It is lifted off in front of those above.' : ''}`] : [],
      words`Unplug power and signal and label both ends.`,
      words`Lift it ${lift ?? 'by as much as its mount’s sheet says,'} straight up, off its hooks; two hold it until it stands on the floor, upright.`,
      words`Back the same way: hook, plug, home, lock${mount.secures?.includes('safety-wire') ? ', safety wire' : ''}. Read the seams round it.`,
    ],
  }
}
