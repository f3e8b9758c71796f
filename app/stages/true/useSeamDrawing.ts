import type { Rect } from '~~/core/geometry'
import { chosenFigure } from '~~/core/rules'
import { nameOf } from '~~/core/true'
import type { Seam, SeamDrawing } from '~/drawing/seams'
import { isSeam, type Place } from './places'

/** The seams at some places, each end with what is known of it. */
function seamsAt(places: Place[], outerOf: Map<string, Rect>, known: Map<string, number>): Map<string, Seam> {
  const seams = new Map<string, Seam>()
  for (const each of places) {
    if (!isSeam(each)) continue
    const [a, b] = each.between.map(name => outerOf.get(name))
    if (!a || !b) continue
    const { key, end, target } = each
    const id = each.between.join(' ')
    const seam = seams.get(id) ?? { id, a, b, ends: [] }
    const [gap, step] = [known.get(`${key} gap`), known.get(`${key} step`)]
    seam.ends.push({ key, end, target, ...(gap !== undefined && { gap }), ...(step !== undefined && { step }) })
    seams.set(id, seam)
  }
  return seams
}

/**
 * The seams of the array that is worked on as the drawing shows them: what is being read, what was read last, or what
 * will be once all is turned as stated.
 */
export function useSeamDrawing() {
  const store = useWallStore()
  const { arrayPlan, alignment, last } = useTruing()
  const { places, place, goToKey } = useReadings()
  const { then } = useTurns()
  const panel = useScreenState<string>('true-panel', () => 'read')
  return computed<SeamDrawing | undefined>(() => {
    const outerOf = new Map((arrayPlan.value?.positions ?? []).map(position => [nameOf(position), position.outer]))
    const known = new Map<string, number>(
      (alignment.value?.predicted ?? []).flatMap(({ reading: { kind, between, end }, before, after }) =>
        end ? [[`${between.join(' ')} ${end} ${kind}`, then.value ? after : before] as const] : [],
      ),
    )
    const seams = seamsAt(places.value, outerOf, last.value ? known : new Map())
    if (seams.size === 0 || panel.value === 'study') return undefined
    return {
      seams: [...seams.values()],
      tolerance: chosenFigure('seamTolerance', store.rules, 'metric'),
      pick: goToKey,
      levels: places.value.flatMap(each =>
        isSeam(each) || !outerOf.has(each.screen) ? [] : [{ key: each.key, outer: outerOf.get(each.screen)! }],
      ),
      ...(panel.value === 'read' && place.value && { current: place.value.key }),
    }
  })
}
