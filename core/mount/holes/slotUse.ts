import type { Catalogue, Mount, Rules, ScreenArray, SlotUse } from '../../job'
import { heightOfRow } from '../../job'

/**
 * The use of a plate's slots that goes into its top row and one below, where its maker allows one that carries so much.
 */
function topAndOneBelow(mount: Mount, heaviest: number): SlotUse | undefined {
  const [top] = [...mount.needs.rows].sort((a, b) => heightOfRow(mount, b) - heightOfRow(mount, a))
  const use = mount.otherNeeds?.find(
    ({ rows, capacity }) =>
      rows.length === 2
      && rows.includes(top!)
      && mount.needs.rows.length > 2
      && (capacity === undefined || capacity >= heaviest),
  )
  return (
    use && { members: use.members, rows: use.rows, ...(use.minSpacing !== undefined && { minSpacing: use.minSpacing }) }
  )
}

/**
 * An array with the use of its plates' slots that the house rules ask for, where nobody chose one for it: fewer rows
 * only where the maker of its one mount allows that for the heaviest of its displays.
 */
export function usingSlots(array: ScreenArray, { mounts, displays }: Catalogue, { plateFixings }: Rules): ScreenArray {
  if (plateFixings !== 'top-and-one-below' || array.needs || array.cells?.some(({ mount }) => mount !== undefined))
    return array
  const mount = mounts.find(({ id }) => id === array.mount)
  const used = new Set([array.display, ...(array.cells ?? []).map(({ display }) => display)])
  const needs
    = mount && topAndOneBelow(mount, Math.max(...displays.filter(({ id }) => used.has(id)).map(({ mass }) => mass)))
  return needs ? { ...array, needs } : array
}
