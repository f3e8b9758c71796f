<script setup lang="ts">
/** A wall that cannot be opened, and why. */
defineProps<{ why: string }>()
</script>

<template>
  <main class="p-6">
    <h1 class="text-xl font-bold">
      This wall cannot be opened
    </h1>
    <p class="mt-2">
      {{ why }}
    </p>
    <NuxtLink class="press mt-4" to="/">
      All sites
    </NuxtLink>
  </main>
</template>
