<script setup lang="ts">
/** Something at the wall that people see to before they go on; with what went wrong with it. */
const { tone, fault = '' } = defineProps<{ tone: 'stop' | 'caution', fault?: string }>()
const LOOKS = { stop: 'border-stop bg-stop-wash', caution: 'border-caution bg-caution-wash' }
</script>

<template>
  <section class="mt-2 border-l-4 px-2 py-1.5 text-sm" :class="LOOKS[tone]">
    <slot />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
