import type { Canvas } from '../stage'

const SheetPreview = defineAsyncComponent(() => import('./SheetPreview.vue'))

/** How the drawing is in Mark. */
export function useMarkCanvas(): ComputedRef<Canvas> {
  const { preview, compared } = useSheetView()
  const { difference } = useDifference(() => compared.value.from, () => compared.value.to)
  const { holes } = useTape()
  return computed(() => ({
    showPlates: true, wiring: 'cut', tape: holes.value, moves: difference.value?.change.marks,
    inPlace: preview.value ? SheetPreview : undefined,
  }))
}
