import { chosenFigure } from '~~/core/rules'
import { seamsRead, type SeamDrawing } from '~/drawing/seams'
import type { Canvas } from '../stage'

const TestPicture = defineAsyncComponent(() => import('./TestPicture.vue'))

/** How the drawing is in Close. */
export function useCloseCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  const store = useWallStore()
  const { compared, record, of } = useClose()
  const { shown } = useTestPicture()
  /** Holes and middles of screens that came elsewhere than they were planned. */
  const moves = computed(() => [
    ...compared.value?.holes.map(({ id, planned, made, off }) => ({ id, planned, made, off })) ?? [],
    ...compared.value?.centres.map(({ screen: id, planned, made, off }) => ({ id, planned, made, off })) ?? [],
  ].flatMap(({ id, planned, made, off = 0 }) =>
    made && off > 0.5 ? [{ hole: id, from: planned, to: { x: made.x, y: made.y } }] : []))
  /** The seams of every array as they were read last. */
  const seams = computed<SeamDrawing | undefined>(() => {
    const all = (of.value?.plan.arrays ?? []).flatMap(({ id, positions }) => {
      const read = record.value?.seams.findLast(({ array }) => array === id)
      const gap = of.value!.wall.arrays.find(array => array.id === id)?.gap
      return read && gap ? seamsRead(positions, read, gap) : []
    })
    const tolerance = chosenFigure('seamTolerance', store.rules, 'metric')
    return all.length > 0 ? { seams: all, levels: [], tolerance, pick: () => {} } : undefined
  })
  return computed(() => ({
    showPlates: true, tape: holes.value, moves: moves.value, ...seams.value && { seams: seams.value },
    ...shown.value && { inPlace: TestPicture },
  }))
}
