<script setup lang="ts">
import { X } from 'lucide-vue-next'
import { choiceName, itemName, type Source } from '~~/core/job'

/**
 * Where power or signal comes from: its name, what is told of it, and where it is: on the wall, or so much cable away
 * from it.
 */
const { source } = defineProps<{ source: Source, label: string, far: string }>()
const store = useWallStore()
const { length, clear, nameIt } = useSourceFields()
const { withUnit } = useUnits()
/** The outlet or data plate on the wall that it is at, by its name and place. */
const place = computed(() => {
  const feature = store.wall?.features?.find(({ id }) => id === source.feature)
  if (!feature) return source.feature
  const [kind, called] = [choiceName(feature.kind), itemName(feature)]
  return `${called.startsWith(kind) ? '' : `${kind} `}${called}, ${withUnit(feature.x)} from wall left,`
})
</script>

<template>
  <section class="border-l-4 bg-paper px-2 py-1.5" :data-source="source.id" :aria-label="source.name ?? source.id">
    <div class="flex items-end gap-2">
      <NoteField class="flex-1" :label="label" :value="source.name ?? ''" :commit="text => nameIt(source.id, text)" />
      <button
        type="button"
        class="press !px-2"
        :aria-label="`Delete ${source.name ?? source.id}`"
        @click="store.edit('Delete source', wall => removeSource(wall, source.id))"
      >
        <X class="size-4" aria-hidden="true" />
      </button>
    </div>
    <slot />
    <p v-if="source.feature" class="mt-1 text-sm">
      At {{ place }} on the wall.
    </p>
    <div v-else class="mt-1 grid grid-cols-3 gap-2">
      <LengthField
        :label="far"
        :value="source.away"
        :actions="length(source.id, 'away')"
        :clear="clear(source.id, 'away')"
      />
      <LengthField
        label="Along wall"
        :value="source.x"
        :actions="length(source.id, 'x')"
        :clear="clear(source.id, 'x')"
      />
      <LengthField label="Height" :value="source.y" :actions="length(source.id, 'y')" :clear="clear(source.id, 'y')" />
    </div>
    <slot name="after" />
  </section>
</template>
