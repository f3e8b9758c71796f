<script setup lang="ts">
import { steelUnchecked } from '~~/core/hang'

/**
 * Where the drill met steel: nothing is drilled on until a lead or planner has looked, and has recorded what it is. It
 * is never overridden.
 */
const { hole, label } = defineProps<{ hole: string, label: string }>()
const store = useWallStore()
const { built } = useWallPlan()
const met = computed(() => steelUnchecked(built.value, hole))
const decides = computed(() => store.rights('wall.issue'))
const draft = useScreenState<Record<string, { found: string, photo: string }>>('steel-drafts', () => ({}))
draft.value[hole] ??= { found: '', photo: '' }
const { found, photo: picture } = toRefs(draft.value[hole]!)
const fault = ref('')
function record() {
  if (!found.value.trim()) return void (fault.value = 'Enter what was found. It is kept in the log.')
  fault.value = store
    .record({ kind: 'checked', hole, found: found.value.trim(), ...(picture.value && { photo: picture.value }) })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) found.value = picture.value = ''
}
</script>

<template>
  <NoticeCard v-if="met" tone="stop" data-testid="steel" aria-label="Steel was hit">
    <p class="font-semibold">
      {{ label }} hit steel. Do not drill on: it can protect a cable or pipe, or be a bar or tendon.
    </p>
    <p v-if="!decides" class="mt-1">
      A lead or planner looks at it and records here what it is. Other plates go on.
    </p>
    <form v-else class="mt-1 space-y-2" @submit.prevent="record">
      <OneLine
        v-model="found"
        label="What was found"
        :most="120"
        placeholder="e.g. protection plate over a cable"
        :fault="fault"
        @typed="fault = ''"
      />
      <PhotoButton
        class="[&_label]:!min-h-12"
        :site="store.site"
        :label="picture ? 'Photo taken' : 'Photo of it'"
        :of="hole"
        :take="(photo: string) => { picture = photo }"
      />
      <button type="submit" class="press w-full !min-h-12">
        Record what was found
      </button>
    </form>
  </NoticeCard>
</template>
