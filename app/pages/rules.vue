<script setup lang="ts">
import type { FirmState } from '~~/server/repositories/firm'

/** What the firm chooses for all its sites. */
const session = useSessionStore()
const { state, proposed, failed, says, choose, accept, leave } = await useRules<FirmState>('/rules', '/rules')
const { units } = usePreferences()
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'House rules of the firm' }]" />
    <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <TouchedWalls v-if="proposed" :proposed="proposed" @accept="accept" @leave="leave" />
      <HouseRules
        v-if="state"
        :levels="{ firm: state.rules, site: {}, wall: {} }"
        level="firm"
        :units="units || 'metric'"
        :says="says"
        :fixed="!session.may('firm.rules')"
        @choose="choose"
      />
    </main>
  </div>
</template>
