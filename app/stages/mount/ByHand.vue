<script setup lang="ts">
import { Undo2 } from 'lucide-vue-next'
import type { Fault } from '~~/core/job'

/** Why a person put something elsewhere than it was calculated to be, and the way back. */
const {
  label,
  reason = '',
  because,
} = defineProps<{ label: string, reason?: string, because: (reason: string) => Fault[] }>()
const emit = defineEmits<{ release: [] }>()
</script>

<template>
  <NoteField :label="label" :value="reason" :commit="because" />
  <button type="button" class="press w-full" @click="emit('release')">
    <Undo2 class="size-4" aria-hidden="true" /> Use calculated position
  </button>
</template>
