import { until } from '@vueuse/core'
import type { D3ZoomEvent, ZoomTransform } from 'd3-zoom'
import type { ShallowRef } from 'vue'

/** How the drawing is enlarged and moved, px: as it lies on the screen at first. */
export type Zoom = Pick<ZoomTransform, 'k' | 'x' | 'y'>
export const WHOLE: Zoom = { k: 1, x: 0, y: 0 }

/**
 * Lets the drawing be enlarged by the wheel and moved by the hand. What that takes is fetched once the drawing stands.
 *
 * @param starts whether the hand may take hold of the drawing where it comes down
 */
export function useZoom(
  svg: Readonly<ShallowRef<SVGSVGElement | null>>,
  { starts, zoomed }: { starts: (event: MouseEvent) => boolean, zoomed: (zoom: Zoom) => void },
) {
  const fetchIt = () => untilFetched(() => Promise.all([import('d3-zoom'), import('d3-selection')]))
  const behaviour = until(useDrawingStands())
    .toBe(true)
    .then(fetchIt)
    .then(([{ zoom, zoomIdentity }, { select }]) => ({
      select,
      zoomIdentity,
      behaviour: zoom<SVGSVGElement, unknown>()
        .scaleExtent([1, 30])
        .filter(
          (event: MouseEvent) => event.type === 'wheel' || event.button === 1 || (event.button === 0 && starts(event)),
        )
        .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => zoomed(transform)),
    }))
  watch(
    svg,
    async (element) => {
      const { select, behaviour: zooming } = await behaviour
      if (element) select(element).call(zooming).on('dblclick.zoom', null)
    },
    { immediate: true },
  )
  async function act(how: (of: Awaited<typeof behaviour>, element: SVGSVGElement) => void) {
    const of = await behaviour
    if (svg.value) how(of, svg.value)
  }
  return {
    zoomBy: (factor: number) => act(({ behaviour, select }, element) => behaviour.scaleBy(select(element), factor)),
    fit: () =>
      act(({ behaviour, select, zoomIdentity }, element) => behaviour.transform(select(element), zoomIdentity)),
  }
}
