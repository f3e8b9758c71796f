<script setup lang="ts">
import { ArrowRight } from 'lucide-vue-next'
import type { Stage } from '~~/core/finding'
import { titleOf } from '~/stages'

/** What is to be done next, in one line, with the button that goes there. */
const { stage } = defineProps<{ stage: Stage }>()
const store = useWallStore()
const { tell } = useUnits()
const next = useWhatNow(() => stage)
const title = computed(() => next.value?.stage === stage ? 'Go' : titleOf(next.value!.stage))
function go() {
  const { stage: to, panel } = next.value!
  if (panel !== undefined) useScreenState<string>(`${to}-panel`, () => panel).value = panel
  if (to !== stage) void navigateTo(`/sites/${store.site}/walls/${store.id}/${to}`)
}
</script>

<template>
  <p
    v-if="next"
    class="mt-auto flex items-center justify-between gap-2 border-t border-hair pt-1 text-sm"
    data-testid="what-now"
  >
    <span><b v-if="next.stage === stage">Next: </b>{{ tell(next.says) }}</span>
    <button
      v-if="next.panel !== undefined || next.stage !== stage"
      type="button"
      class="press shrink-0 !min-h-7 !py-0 !px-2 max-lg:!min-h-11"
      @click="go()"
    >
      {{ title }} <ArrowRight class="size-4" aria-hidden="true" />
    </button>
  </p>
</template>
