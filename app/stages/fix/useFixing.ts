import { createSharedComposable } from '@vueuse/core'
import { fix, type Fixing } from '~~/core/fix'
import { rankFasteners } from '~~/core/fix/ranking'
import { basesOf, type Fastener } from '~~/core/job'
import { mountModels } from '~~/core/mount'
import { carryingWall, wallFor } from '~~/core/survey'

const keyOf = ({ display, mount }: { display: string, mount: string }) => `${display} ${mount}`

/** How many there are of each fastener, by its id. */
const fastenersIn = (stock: Record<string, number>) => Object.fromEntries(
  Object.entries(stock).flatMap(([key, count]) =>
    key.startsWith('fastener/') ? [[key.slice('fastener/'.length), count]] : []),
)

/** The pairs of display and mount, the one that is used most first, and which of them is looked at. */
function usePairs(fixings: () => Fixing[]) {
  const store = useWallStore()
  const used = ({ cases }: Fixing) => cases[0]?.utilisation ?? Infinity
  const pairs = computed(() => [...fixings()].sort((a, b) => used(b) - used(a)))
  const pair = ref('')
  const fixing = computed(() => pairs.value.find(each => keyOf(each) === pair.value) ?? pairs.value[0])
  const displayOf = (model?: string) => store.catalogue.displays.find(({ id }) => id === model)
  const mountOf = (model?: string) => store.catalogue.mounts.find(({ id }) => id === model)
  const pairOptions = computed(() => pairs.value.map(each => ({
    value: keyOf(each),
    label: `${each.count} × ${displayOf(each.display)?.name} on ${mountOf(each.mount)?.name}`,
  })))
  const display = computed(() => displayOf(fixing.value?.display))
  const mount = computed(() => mountOf(fixing.value?.mount))
  return { pairs, pair, pairOptions, fixing, display, mount }
}

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
  const { pairs, pair, pairOptions, fixing, display, mount } = usePairs(() => fixed.value?.fixings ?? [])
  const mountOf = computed(() => array.value && mountModels(array.value, store.catalogue))
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
  const stock = computed(() => fastenersIn(house.value?.stock ?? {}))
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
    array, wall: ground, positions, strips, mount, worstPosition, fixing, pairs, pair, keyOf, pairOptions, display,
    fastener, ranked,
  }
})
