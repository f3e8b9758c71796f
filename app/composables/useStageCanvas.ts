import type { EffectScope } from 'vue'
import type { Canvas, StageRoom } from '~/stages/stage'

/** How the drawing is in the stage that is worked on; fetched with the stage, and set up anew in each. */
export async function useStageCanvas(room: () => StageRoom): Promise<Readonly<Ref<Canvas | undefined>>> {
  const nuxt = useNuxtApp()
  const of = shallowRef<ComputedRef<Canvas>>()
  let scope: EffectScope | undefined
  async function setUp(wanted: StageRoom) {
    const use = await wanted.canvas().catch(() => undefined)
    if (wanted !== room() || !use) return
    scope?.stop()
    scope = effectScope(true)
    of.value = await nuxt.runWithContext(() => scope!.run(use))
  }
  watch(room, setUp)
  onScopeDispose(() => scope?.stop())
  await setUp(room())
  return computed(() => of.value?.value)
}
