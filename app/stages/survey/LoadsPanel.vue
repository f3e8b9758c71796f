<script setup lang="ts">
import { isFramed } from '~~/core/survey'

/** What loads the screens, and where blocking runs between the studs that hold them. */
const store = useWallStore()
const framed = computed(() => !!store.wall && isFramed(store.wall))
</script>

<template>
  <div class="space-y-3">
    <LoadFields />
    <BlockingFields v-if="framed" />
  </div>
</template>
