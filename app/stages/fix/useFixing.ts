import { createSharedComposable } from '@vueuse/core'
import { fix } from '~~/core/fix'
import { rankFasteners } from '~~/core/fix/ranking'
import { basesOf, type Fastener } from '~~/core/job'
import { mountModels } from '~~/core/mount'
import { carryingWall, wallFor } from '~~/core/survey'

/** What holds the array that is worked on: each pair of display and mount by itself, and the fasteners that could. */
export const useFixing = createSharedComposable(() => {
  const store = useWallStore()
  const { plan, planned } = useWallPlan()
  const { array } = useArray()
  const { offeredOf } = useModelChoice()
  const { house } = useHouseCatalogue()
  const { system } = useUnits()
  const job = computed(() => store.context)
  const wall = computed(() => carryingWall(planned.value ?? store.shown!, store.rules))
  const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))
  const positions = computed(() => arrayPlan.value?.positions ?? [])
  const strips = computed(() => arrayPlan.value?.strips ?? [])
  const around = computed(() => ({
    strips: strips.value,
    members: plan.value?.members ?? [],
    everyHole: (plan.value?.arrays ?? []).flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes)),
  }))
  const fixed = computed(() => array.value && fix(array.value, positions.value, wall.value, job.value, around.value))
  /** The pair that is used most is looked at first. */
  const pairs = computed(() =>
    [...(fixed.value?.fixings ?? [])].sort(
      (a, b) => (b.cases[0]?.utilisation ?? Infinity) - (a.cases[0]?.utilisation ?? Infinity),
    ),
  )
  const pair = ref('')
  const keyOf = ({ display, mount }: { display: string, mount: string }) => `${display} ${mount}`
  const fixing = computed(() => pairs.value.find(each => keyOf(each) === pair.value) ?? pairs.value[0])
  const pairOptions = computed(() =>
    pairs.value.map(each => ({
      value: keyOf(each),
      label: `${each.count} × ${store.catalogue.displays.find(({ id }) => id === each.display)?.name} on `
        + `${store.catalogue.mounts.find(({ id }) => id === each.mount)?.name}`,
    })),
  )
  const display = computed(() => store.catalogue.displays.find(({ id }) => id === fixing.value?.display))
  const mountOf = computed(() => array.value && mountModels(array.value, store.catalogue))
  const mount = computed(() => store.catalogue.mounts.find(({ id }) => id === fixing.value?.mount))
  /** The screen whose fastener governs. */
  const worstPosition = computed(
    () =>
      positions.value.find(
        position =>
          position.model === fixing.value?.display
          && mountOf.value?.(position)?.id === fixing.value?.mount
          && position.plate?.held
          && position.holes?.some(({ id }) => id === fixing.value?.cases[0]?.hole),
      ) ?? positions.value.find(position => position.model === fixing.value?.display && position.plate?.held),
  )
  const fastener = computed(() => store.catalogue.fasteners.find(({ id }) => id === array.value?.fastener))
  /** Fasteners that the site has: a site's job holds the models that its walls use. */
  const onSite = computed(() => (store.server?.job.catalogue.fasteners ?? []).map(({ id }) => id))
  const stock = computed(() =>
    Object.fromEntries(
      Object.entries(house.value?.stock ?? {}).flatMap(([key, count]) =>
        key.startsWith('fastener/') ? [[key.slice('fastener/'.length), count]] : [],
      ),
    ),
  )
  const ranked = computed(() =>
    array.value
      ? rankFasteners(
          (offeredOf('fastener', array.value.fastener) as Fastener[]).filter(({ base }) =>
            basesOf(wall.value).includes(base),
          ),
          { array: array.value, positions: positions.value, wall: wall.value, job: job.value },
          system.value,
          { ...around.value, onSite: onSite.value, stock: stock.value },
        )
      : [],
  )
  /** The wall as it carries that fastener. */
  const ground = computed(() => wallFor(wall.value, fastener.value?.base))
  return {
    array,
    wall: ground,
    positions,
    strips,
    mount,
    worstPosition,
    fixing,
    pairs,
    pair,
    keyOf,
    pairOptions,
    display,
    fastener,
    ranked,
  }
})
