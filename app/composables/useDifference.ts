import { differenceOf, type Difference } from '~~/core/revision/difference'
import type { Frozen } from '~~/core/revision/frozen'
import { frozenOfId } from '~/sync/frozen'
import { useOutbox } from '~/sync/useOutbox'

/** What is asked for where the plan of the moment stands on one side of a comparison. */
export const MOMENT = 'draft'

/**
 * How two revisions of the wall that is open differ, or a revision and the plan of the moment; what this device has not
 * is asked for.
 */
export function useDifference(from: () => string, to: () => string) {
  const store = useWallStore()
  const { live } = useWallPlan()
  const { device } = useOutbox()
  const failed = ref('')
  const idOf = (letters: string) => store.revisions.findLast(({ revision }) => revision === letters)?.id
  const planOf = (letters: string) =>
    letters === MOMENT ? live.value : store.frozen.find(({ id }) => id === idOf(letters))?.plan
  watch([from, to], async (sides) => {
    failed.value = ''
    for (const letters of sides) {
      const id = letters === MOMENT || letters === '' ? undefined : idOf(letters)
      if (id === undefined || store.frozen.some(each => each.id === id)) continue
      const frozen: Frozen | undefined = await frozenOfId(device, store.site, store.id, id)
      if (frozen) store.addFrozen(frozen)
      else failed.value = `Revision ${letters} is not on this device. Connect to compare it.`
    }
  }, { immediate: true })
  const difference = computed<Difference | undefined>(() => {
    const [before, after] = [planOf(from()), planOf(to())]
    return before && after && differenceOf(before, after)
  })
  return { difference, failed }
}
