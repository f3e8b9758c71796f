import { arrange, snap } from '~~/core/arrange'
import type { ArrayPlan } from '~~/core/mount'
import type { DragOffset } from './useDraftDrag'

const tenth = (mm: number) => Math.round(mm * 10) / 10

/** Arrays that are dragged about the wall: they snap to what is there, and follow nothing any more on the way. */
export function useArrayDrag() {
  const store = useWallStore()
  const { met, linesFor } = useSnap()
  const edit = useDragEdit()
  function movingArray(dragged: ArrayPlan, { x, y, reach, free }: DragOffset) {
    const { id, name } = dragged
    const { at: from, outline } = arrange(arrayOf(store.wall!, id), store.catalogue.displays, store.wall!)!
    const snapped = free
      ? { dx: 0, dy: 0, met: [] }
      : snap({ ...outline, x: outline.x + x, y: outline.y + y }, linesFor(dragged), reach)
    met.value = snapped.met
    store.arrayId = id
    edit.show(`Move ${name}`, (wall) => {
      const moved = arrayOf(wall, id)
      holdPlace(wall, moved, 'x')
      holdPlace(wall, moved, 'y')
      moved.at.x.value = snapped.dx === 0 ? tenth(from.x.value + x) : from.x.value + x + snapped.dx
      moved.at.y.value = snapped.dy === 0 ? tenth(from.y.value + y) : from.y.value + y + snapped.dy
    })
  }
  function moved() {
    met.value = []
    edit.letGo()
  }
  return { movingArray, moved }
}
