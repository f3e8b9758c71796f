<script setup lang="ts">
/** The frame of the pages by which one comes in. */
const { title } = defineProps<{ title: string }>()
const { theme } = usePreferences()
useHead({ title: () => `${title} · Wide Trellis`, htmlAttrs: { 'data-theme': theme } })
</script>

<template>
  <div class="grid min-h-full place-items-center overflow-y-auto p-4">
    <main class="w-full max-w-md space-y-4 border-t-4 border-pine bg-board p-6">
      <p class="flex items-center gap-2 font-bold">
        <img src="/mark.svg" alt="" class="size-8"> Wide Trellis
      </p>
      <h1 class="text-2xl font-bold">
        {{ title }}
      </h1>
      <slot />
    </main>
  </div>
</template>
