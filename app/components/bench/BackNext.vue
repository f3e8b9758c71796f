<script setup lang="ts">
import { ChevronLeft, ChevronRight } from 'lucide-vue-next'

/** One step back, one step on, large enough for a thumb. */
defineProps<{ first: boolean, last: boolean }>()
const emit = defineEmits<{ go: [by: number] }>()
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <button type="button" class="press !min-h-14 !text-lg" :disabled="first" @click="emit('go', -1)">
      <ChevronLeft class="size-6" aria-hidden="true" /> Back
    </button>
    <button type="button" class="press press-first !min-h-14 !text-lg" :disabled="last" @click="emit('go', 1)">
      Next <ChevronRight class="size-6" aria-hidden="true" />
    </button>
  </div>
</template>
