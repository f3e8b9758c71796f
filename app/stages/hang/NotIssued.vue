<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import type { Revision } from '~~/core/revision'

/** Why there is nothing to work from: nothing was issued, or it is not on this device. */
defineProps<{ elsewhere: Revision | undefined }>()
const store = useWallStore()
</script>

<template>
  <div class="space-y-2" data-testid="not-issued">
    <h1 class="text-xl font-bold">
      {{ elsewhere ? `Revision ${elsewhere.revision} is not on this device` : 'Nothing is issued yet' }}
    </h1>
    <p v-if="elsewhere?.id" class="text-sm">
      Issued by {{ authorText(elsewhere) }}, {{ whenOf(elsewhere.at) }}. Connect once, or take this site
      along before you leave.
    </p>
    <p v-else-if="elsewhere" class="text-sm">
      It was issued before this program stored issued plans. Issue the mark-out again: never drill from a plan that can
      still change.
    </p>
    <p v-else class="text-sm">
      Issue the mark-out first: never drill from a plan that can still change.
    </p>
    <NuxtLink
      v-if="!elsewhere?.id"
      class="press press-first w-full !min-h-12"
      :to="`/sites/${store.site}/walls/${store.id}/mark`"
    >
      Go to Mark
    </NuxtLink>
  </div>
</template>
