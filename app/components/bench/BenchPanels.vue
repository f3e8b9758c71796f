<script setup lang="ts" generic="Panel extends string">
/** The parts of a stage's bench, one shown at a time. */
const { panels, label } = defineProps<{ panels: readonly { id: Panel, title: string }[], label: string }>()
const panel = defineModel<Panel>({ required: true })
</script>

<template>
  <!-- Many parts stand closer, so that each keeps its name. -->
  <div
    class="flex overflow-hidden rounded border border-edge"
    :class="panels.length > 5 ? 'text-xs tracking-tight' : 'text-[0.8rem]'"
    role="tablist"
    :aria-label="label"
  >
    <!-- The ring of the focus is drawn inside, where the frame does not cut it. -->
    <button
      v-for="{ id, title } in panels"
      :key="id"
      type="button"
      role="tab"
      class="min-h-[var(--target)] flex-auto border-r border-edge -outline-offset-4! last:border-r-0 max-md:min-h-12"
      :class="[
        panels.length > 5 ? 'px-0.5' : 'px-1',
        panel === id ? 'bg-pine font-semibold text-on-pine outline-on-pine!' : 'bg-paper',
      ]"
      :aria-selected="panel === id"
      @click="panel = id"
    >
      {{ title }}
    </button>
  </div>
</template>
