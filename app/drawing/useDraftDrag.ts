import { until } from '@vueuse/core'
import type { D3DragEvent } from 'd3-drag'
import type { ShallowRef } from 'vue'

/**
 * A hand on the drawing, mm of the wall: how far it has come, within what reach it snaps, and whether snapping is off.
 */
export interface DragOffset { x: number, y: number, reach: number, free: boolean }

/** Within this many pixels a dragged thing snaps. */
const SNAP = 8

/** Lets a part of the drawing be dragged; `moving` is told the whole way so far, `moved` that the hand let go. */
export function useDraftDrag(
  part: Readonly<ShallowRef<SVGGElement | null>>,
  { enabled, moving, moved }: { enabled: () => boolean, moving: (offset: DragOffset) => void, moved: () => void },
): void {
  const view = useDraftView()
  let way = { x: 0, y: 0 }
  const fetchIt = () => untilFetched(() => Promise.all([import('d3-drag'), import('d3-selection')]))
  const hand = until(useDrawingStands()).toBe(true).then(fetchIt)
  watch(part, async (element, _before, onCleanup) => {
    if (!element) return
    let gone = false
    onCleanup(() => { gone = true })
    const [{ drag }, { select }] = await hand
    if (gone) return
    const behaviour = drag<SVGGElement, unknown>()
      .filter((event: MouseEvent) => enabled() && event.button === 0)
      .container(() => element.ownerSVGElement!)
      .clickDistance(3)
      .on('start', () => { way = { x: 0, y: 0 } })
      .on('drag', ({ dx, dy, sourceEvent }: D3DragEvent<SVGGElement, unknown, unknown>) => {
        const { scale } = view.value
        way = { x: way.x + dx / scale, y: way.y - dy / scale }
        moving({ ...way, reach: SNAP / scale, free: (sourceEvent as MouseEvent).altKey })
      })
      .on('end', moved)
    select(element).call(behaviour)
  }, { immediate: true })
}
