<script setup lang="ts" generic="Leaf extends string">
/** The parts of a stage's bench, one shown at a time. */
const { leaves, label } = defineProps<{ leaves: readonly { id: Leaf, title: string }[], label: string }>()
const leaf = defineModel<Leaf>({ required: true })
</script>

<template>
  <div class="flex overflow-hidden rounded border border-edge text-[0.8rem]" role="tablist" :aria-label="label">
    <button v-for="{ id, title } in leaves" :key="id" type="button" role="tab" class="min-h-[var(--target)] flex-auto border-r px-1 border-edge last:border-r-0" :class="leaf === id ? 'bg-pine font-semibold text-on-pine' : 'bg-paper'" :aria-selected="leaf === id" @click="leaf = id">
      {{ title }}
    </button>
  </div>
</template>
