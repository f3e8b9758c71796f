import type { Cell } from '../arrange'
import type { Catalogue, Mount, ScreenArray } from '../job'
import { memoize } from '../memo'

/** The mount of a cell as the array uses it: with another use of its slots, where one was chosen. */
export function mountModels(
  array: ScreenArray,
  { mounts }: Catalogue,
): (cell: Pick<Cell, 'mount'>) => Mount | undefined {
  const modelOf = memoize((id: string | undefined): Mount | undefined => {
    const model = mounts.find(mount => mount.id === id)
    if (!model || !array.needs) return model
    const other = model.otherNeeds?.find(use => sameUse(use, array.needs!))
    return { ...model, needs: array.needs, capacity: other?.capacity ?? model.capacity }
  })
  return cell => modelOf(cell.mount ?? array.mount)
}

/** Whether two uses of a plate's slots are the same. */
export function sameUse(a: { members: number, rows: string[] }, b: { members: number, rows: string[] }): boolean {
  return a.members === b.members && a.rows.join() === b.rows.join()
}
