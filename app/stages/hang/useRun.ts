import { createSharedComposable } from '@vueuse/core'
import { kitOf, runOf, type KitItem, type RunStep } from '~~/core/hang'
import type { StepDone } from '~~/core/log'
import { rulesFor } from '~~/core/rules'

/** What the revision that is worked from needs, and its steps; with what was said of each. */
export const useRun = createSharedComposable(() => {
  const { current } = useRevisionAtWall()
  const { built } = useWallPlan()
  const { system } = useUnits()
  const of = computed(() => {
    const frozen = current.value?.frozen
    return (
      frozen && {
        wall: frozen.wall,
        ...frozen.plan,
        catalogue: frozen.catalogue,
        rules: rulesFor(frozen, frozen.wall),
        units: system.value,
      }
    )
  })
  const kit = computed<KitItem[]>(() => of.value ? kitOf(of.value) : [])
  const run = computed<RunStep[]>(() => of.value ? runOf(of.value) : [])
  const said = computed(() => new Map<string, StepDone>(built.value.steps.map(each => [each.step, each])))
  return { kit, run, said }
})
