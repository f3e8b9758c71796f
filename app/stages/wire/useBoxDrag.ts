import type { DragOffset } from '~/drawing/useDraftDrag'

/**
 * Boxes that are dragged about the wall: shown as they go, with what is wrong where they are, and put there manually
 * when let go.
 */
export function useBoxDrag() {
  const { plan } = useWallPlan()
  const { select } = useSelection()
  const edit = useDragEdit()
  let began: { id: string, x: number, y: number } | undefined
  return {
    movingBox(id: string, by: DragOffset) {
      const box = plan.value?.wiring.boxes.find(each => each.id === id)
      if (began?.id !== id) began = box && { id, x: box.x, y: box.y }
      if (!began) return
      const { x, y } = began
      select('box', id)
      edit.show('Move box', wall => setBox(wall, id, { x: Math.round(x + by.x), y: Math.round(y + by.y) }))
    },
    moved() {
      began = undefined
      edit.letGo()
    },
  }
}
