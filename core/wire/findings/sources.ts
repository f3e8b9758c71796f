import type { Finding } from '../../finding'
import { itemName, type Source, type Wall } from '../../job'
import { words } from '../../units'
import { enteredAt, isFeed, isGone, isOffWall, nameOfSource, openingRound } from '../sources'
import type { Wiring } from '../wiring'
import { isSignal } from '../boxes/boxes'
import { about, some } from './about'

const POWER = { panel: 'power', title: 'Enter sources' }

/** Boxes or signal without anything that power comes from. */
function noPowerFinding(wall: Wall, { boxes, loads }: Wiring): Finding[] {
  if ((wall.sources ?? []).some(isFeed) || loads.length === 0) return []
  const powered = boxes.filter(({ kind }) => !isSignal(kind))
  return [{
    ...about(wall),
    severity: powered.length > 0 ? 'stop' : 'caution',
    code: 'no-power-source',
    message: powered.length > 0
      ? words`No circuit or outlet is entered to feed ${some(powered.map(box => `box ${itemName(box)}`))}.`
      : words`No circuit or outlet is entered to feed the displays.`,
    remedy: words`Add a circuit or an outlet in Wire, under Power.`,
    opens: POWER,
  }]
}

/** Where a source is entered at which it cannot be. */
function placeFindings(wall: Wall, source: Source): Finding[] {
  const stop = { ...about(wall), severity: 'stop' as const, opens: POWER }
  const name = nameOfSource(source)
  if (isGone(source, wall))
    return [{
      ...stop,
      code: 'source-gone',
      message: words`${name} was at ${itemName({ id: source.feature! })}, which is no longer on the wall.`,
      remedy: words`Enter its new position, or delete it.`,
    }]
  const at = enteredAt(source, wall)
  if (!at) return []
  if (isOffWall(source, wall))
    return [{
      ...stop,
      code: 'source-off-wall',
      message: words`${name} is entered at ${at.x} from wall left and ${at.y} above floor, which is off the wall: it is
        ${wall.width} wide and ${wall.height} high. Nothing is routed from it.`,
      remedy: words`Correct its position. If it is elsewhere in the building, delete its position and enter its distance
        from where the cable enters.`,
    }]
  const opening = openingRound(at, wall)
  return opening
    ? [{
        ...stop,
        code: 'source-in-opening',
        message: words`${name} is entered inside ${opening.kind} ${itemName(opening)}. Nothing is routed from it.`,
        remedy: words`Correct its position, or that of the ${opening.kind}.`,
      }]
    : []
}

/** What is wrong with where power and signals come from. */
export const sourceFindings = (wall: Wall, wiring: Wiring): Finding[] => [
  ...noPowerFinding(wall, wiring),
  ...(wall.sources ?? []).flatMap(source => placeFindings(wall, source)),
]
